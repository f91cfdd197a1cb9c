import type { JobState } from '@fulcrant/core/job';
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
import { useSettings, Words } from '../ui/settings.tsx';
import { Blocks } from './Blocks.tsx';

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
    return <Loading what="Job sheet" fault={job.loading ? null : (job.fault ?? 'There is no such job.')} />;
  if (kept.isLoading) return <Loading what="Job sheet" />;
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
    <nav aria-label="This sheet" className="no-print mb-3 flex flex-wrap items-center gap-3">
      <Link className={LINK} to={`/jobs/${id}`}>
        Back to the job
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
            <FileText aria-hidden="true" size={20} /> PDF
          </a>
          <a
            className={LINK}
            href={`/api/jobs/${id}/sheet.json${of ? `?${of}` : ''}`}
            target="_blank"
            rel="noreferrer"
            data-json
          >
            <FileJson aria-hidden="true" size={20} /> JSON
          </a>
          <a className={LINK} href={`/api/jobs/${id}/readings.csv${of ? `?${of}` : ''}`} data-csv>
            <Table aria-hidden="true" size={20} /> CSV
          </a>
        </>
      )}
      {unsent > 0 && (
        <p className="m-0 font-medium text-brass">
          PDF and JSON come when the {unsent} waiting entries are sent.
        </p>
      )}
      <button type="button" className={LINK} onClick={() => print()}>
        <Printer aria-hidden="true" size={20} /> Print
      </button>
      {mayCorrect && (
        <button type="button" className={LINK} onClick={() => setAsking(true)} data-revise>
          Correct it: a new revision
        </button>
      )}
      <ReasonDialog
        open={asking}
        title="Open a revision"
        ask="What has to be corrected? The sheet as it was signed is kept; the revision says what it replaces, and is signed anew."
        does="Open it"
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
  const when = whenIn(sheet.timeZone);
  const others = state.signatures.filter((s) => s.revision !== sheet.revision || !sheet.frozen);
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-4 px-4 py-3">
        <h1 className="m-0 text-3xl">
          <Words of={sheet.name} />
        </h1>
        <p className="m-0 text-lg">
          <span className="figures">{sheet.number ?? 'not sent yet'}</span> · {sheet.title.state}
          {sheet.revision > 1 ? ` · revision ${sheet.revision}` : ''}
        </p>
      </div>
      {sheet.altered && (
        <div className="px-4 pb-2">
          <Fault>
            This sheet is not as it was signed: its hash is another. It is no record; a backup has the one
            that was signed.
          </Fault>
        </div>
      )}
      <p className="m-0 px-4 pb-2 text-sm text-muted" data-kept={sheet.frozen?.origin ?? 'no'}>
        {sheet.frozen
          ? `${sheet.frozen.origin === 'signed' ? 'Kept as it was signed' : 'Signed before sheets were kept: laid down as it folded'} ${when(sheet.frozen.at)}. Hash ${sheet.contentHash?.slice(0, 12)}…`
          : sheet.signature
            ? `As this device tells it${told ? `: ${told}` : ', until it is sent'}. The signed sheet itself is kept on the server.`
            : 'Work in hand: the sheet is kept when it is signed.'}{' '}
        {others.map((s) => (
          <Link
            key={s.revision}
            className="mr-3 text-steel underline underline-offset-4"
            to={`/jobs/${id}/sheet?revision=${s.revision}`}
          >
            Revision {s.revision}, signed by {s.name}
          </Link>
        ))}
      </p>
    </>
  );
}

/** Notes written under the signature: they stand beside what was signed, not in it. */
function Since({ sheet, state }: { sheet: FitUpSheet; state: JobState }) {
  const when = whenIn(sheet.timeZone);
  const notes = state.notes.filter((n) => !sheet.notes.some((m) => m.at === n.at && m.text === n.text));
  if (notes.length === 0) return null;
  return (
    <Blocks
      blocks={[
        { block: 'heading', text: 'Noted after the signature' },
        ...notes.map((n) => ({
          block: 'line' as const,
          lead: 'Note:',
          text: n.text,
          small: `${n.author.name}, ${when(n.at)}`,
        })),
      ]}
    />
  );
}

function TitleBlock({ sheet }: { sheet: FitUpSheet }) {
  const when = whenIn(sheet.timeZone);
  const cells = [
    ['Machine', sheet.title.machine],
    ['Position', sheet.title.position],
    ['Job', sheet.number ?? 'not sent yet'],
    ['Part', sheet.title.partNumber ?? 'not given'],
    ['Opened', `${when(sheet.title.openedAt)}, ${sheet.title.openedBy}`],
    ['Signed', sheet.signature ? `${sheet.signature.name}, ${when(sheet.signature.at)}` : 'not yet'],
  ] as const;
  return (
    <dl
      className="m-0 ml-auto grid max-w-xl grid-cols-2 border-l border-t border-rule"
      aria-label="Title block"
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
