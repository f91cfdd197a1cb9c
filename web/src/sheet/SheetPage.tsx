import type { JobState } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { type FitUpSheet, fitUpSheet, whenIn } from '@fulcrant/core/sheet';
import { useQuery } from '@tanstack/react-query';
import { FileJson, FileText, Printer, Table } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { readThrough } from '../data/api.ts';
import { type JobView, useJob } from '../data/job.ts';
import { useWaiting } from '../data/queue.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Fault } from '../ui/controls.tsx';
import { Loading } from '../ui/Loading.tsx';
import { ReasonDialog } from '../ui/ReasonDialog.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { Blocks } from './Blocks.tsx';
import { M } from './messages.ts';

/** A sheet as the server keeps it under a signature. */
type Kept = FitUpSheet & {
  contentHash: string;
  frozen?: { revision: number; rules: string; origin: 'signed' | 'migrated'; at: string };
  altered?: true;
};

const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const LINK = 'flex min-h-12 items-center gap-2 border border-ink px-4 font-label text-lg font-semibold';

/** The record that stays with the machine, as it will print: as it was signed where it is, else as the work stands. */
export function SheetPage() {
  const say = useSay();
  const { id = '' } = useParams();
  const [query] = useSearchParams();
  const job = useJob(id);
  const unsent = useWaiting(id)?.length ?? 0;
  const asked = query.get('revision');
  const kept = useQuery({
    queryKey: ['sheet', id, asked, job.state?.signed?.revision ?? null],
    enabled: unsent === 0 && (asked !== null || (job.state?.signed ?? null) !== null),
    queryFn: () => readThrough<Kept>(`/api/jobs/${id}/sheet.json${asked ? `?revision=${asked}` : ''}`),
  });
  if (!job.state)
    return (
      <Loading what={say(M.jobSheet)} fault={job.loading ? null : (job.fault ?? COMMON.thereNoSuchJob)} />
    );
  if (kept.isLoading) return <Loading what={say(M.jobSheet)} />;
  const sheet: FitUpSheet & Partial<Kept> = kept.data ?? fitUpSheet(job.state, job.number, HERE);
  return (
    <div className="mx-auto max-w-5xl p-2 md:p-3.5">
      <Ways job={job} state={job.state} id={id} revision={asked} />
      <main className="border border-rule">
        <Head sheet={sheet} state={job.state} id={id} told={kept.error?.message ?? null} />
        <Blocks blocks={sheet.document} />
        {kept.data && asked === null && <Since sheet={sheet} state={job.state} />}
        <TitleBlock sheet={sheet} />
      </main>
      <footer>
        <Corner job={id} />
      </footer>
    </div>
  );
}

/** Where one can go from the sheet, and what can be taken away of it. */
function Ways({
  job,
  state,
  id,
  revision,
}: {
  job: JobView;
  state: JobState;
  id: string;
  revision: string | null;
}) {
  const say = useSay();
  const { unit } = useSettings();
  const { person } = useSession();
  const go = useNavigate();
  const unsent = useWaiting(id)?.length ?? 0;
  const [asking, setAsking] = useState(false);
  const of = revision ? `revision=${revision}` : '';
  const mayCorrect =
    state.signed !== null &&
    revision === null &&
    (person?.role === 'lead' || (person?.role === 'fitter' && person.id === state.signed.author.id));
  return (
    <nav aria-label={say(M.sheet)} className="no-print mb-3 flex flex-wrap items-center gap-3">
      <Link className={LINK} to={`/jobs/${id}`}>
        {say(M.backJob)}
      </Link>
      {job.number && unsent === 0 && (
        <>
          <a
            className={LINK}
            href={`/api/jobs/${id}/sheet.pdf?units=${unit}${of ? `&${of}` : ''}`}
            target="_blank"
            rel="noreferrer"
            data-pdf
          >
            <FileText aria-hidden="true" size={20} /> {say(M.pdf)}
          </a>
          <a
            className={LINK}
            href={`/api/jobs/${id}/sheet.json${of ? `?${of}` : ''}`}
            target="_blank"
            rel="noreferrer"
            data-json
          >
            <FileJson aria-hidden="true" size={20} /> {say(M.json)}
          </a>
          <a className={LINK} href={`/api/jobs/${id}/readings.csv${of ? `?${of}` : ''}`} data-csv>
            <Table aria-hidden="true" size={20} /> {say(COMMON.csv)}
          </a>
        </>
      )}
      {unsent > 0 && (
        <p className="m-0 font-medium text-brass">{say(M.pdfJsonComeWhenWaiting({ unsent }))}</p>
      )}
      <button type="button" className={LINK} onClick={() => print()}>
        <Printer aria-hidden="true" size={20} /> {say(COMMON.print)}
      </button>
      {mayCorrect && (
        <button type="button" className={LINK} onClick={() => setAsking(true)} data-revise>
          {say(M.correctNewRevision)}
        </button>
      )}
      <ReasonDialog
        open={asking}
        title={say(M.openRevision)}
        ask={say(M.whatHasCorrectedSheetAs)}
        does={say(COMMON.start)}
        onClose={() => setAsking(false)}
        onReason={async (reason) => {
          const refused = await job.act('sheet.reopened', { reason });
          if (refused === null) void go(`/jobs/${id}`);
          return refused;
        }}
      />
    </nav>
  );
}

/** What sheet this is, and which other revisions of it were signed. */
function Head({
  sheet,
  state,
  id,
  told,
}: {
  sheet: FitUpSheet & Partial<Kept>;
  state: JobState;
  id: string;
  told: string | null;
}) {
  const say = useSay();
  const when = whenIn(sheet.timeZone);
  const others = state.signatures.filter((s) => s.revision !== sheet.revision || !sheet.frozen);
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-4 px-4 py-3">
        <h1 className="m-0 text-3xl">
          <Words of={sheet.name} />
        </h1>
        <p className="m-0 text-lg">
          <span className="figures">{sheet.number ?? say(COMMON.notSentYet)}</span> · {sheet.title.state}
          {sheet.revision > 1 ? say(M.revision({ revision: sheet.revision })) : ''}
        </p>
      </div>
      {sheet.altered && (
        <div className="px-4 pb-2">
          <Fault>{say(M.sheetNotAsSignedHash)}</Fault>
        </div>
      )}
      <p className="m-0 px-4 pb-2 text-sm text-muted" data-kept={sheet.frozen?.origin ?? 'no'}>
        {sheet.frozen
          ? say(
              M.hash({
                origin: sheet.frozen.origin === 'signed' ? 'keptAsSigned' : 'signedBeforeSheetsWe',
                when: when(sheet.frozen.at),
                contentHash: sheet.contentHash?.slice(0, 12),
              }),
            )
          : sheet.signature
            ? say(M.asDeviceTellsSignedSheet({ told: told ? `: ${told}` : M.untilSent }))
            : say(M.workHandSheetKeptWhen)}{' '}
        {others.map((s) => (
          <Link
            key={s.revision}
            className="mr-3 text-steel underline underline-offset-4"
            to={`/jobs/${id}/sheet?revision=${s.revision}`}
          >
            {say(M.revisionSigned({ revision: s.revision, name: s.name }))}
          </Link>
        ))}
      </p>
    </>
  );
}

/** Notes written under the signature: they stand beside what was signed, not in it. */
function Since({ sheet, state }: { sheet: FitUpSheet; state: JobState }) {
  const say = useSay();
  const when = whenIn(sheet.timeZone);
  const notes = state.notes.filter((n) => !sheet.notes.some((m) => m.at === n.at && m.text === n.text));
  if (notes.length === 0) return null;
  return (
    <Blocks
      blocks={[
        { block: 'heading', text: say(COMMON.notedAfterSignature) },
        ...notes.map((n) => ({
          block: 'line' as const,
          lead: say(COMMON.note),
          text: n.text,
          small: `${n.author.name}, ${when(n.at)}`,
        })),
      ]}
    />
  );
}

function TitleBlock({ sheet }: { sheet: FitUpSheet }) {
  const say = useSay();
  const when = whenIn(sheet.timeZone);
  const cells = [
    [say(COMMON.machine), sheet.title.machine],
    [say(COMMON.position), sheet.title.position],
    [say(COMMON.job), sheet.number ?? say(COMMON.notSentYet)],
    [say(M.part), sheet.title.partNumber ?? say(M.notGiven)],
    [say(COMMON.opened), `${when(sheet.title.openedAt)}, ${sheet.title.openedBy}`],
    [
      say(COMMON.signed),
      sheet.signature ? `${sheet.signature.name}, ${when(sheet.signature.at)}` : say(COMMON.notYet2),
    ],
  ] as const;
  return (
    <dl
      className="m-0 ml-auto grid max-w-xl grid-cols-2 border-l border-t border-rule"
      aria-label={say(COMMON.titleBlock)}
    >
      {cells.map(([k, v]) => (
        <div key={k} className="border-b border-faint px-3 py-1.5">
          <dt className="kicker">{k}</dt>
          <dd className="m-0 font-medium">{v}</dd>
        </div>
      ))}
    </dl>
  );
}
