import type { AutopsyTold, ShaftCardBody } from '@fulcrant/core/api';
import { besideEachOther, livesOf, type PastJob, tracesOf, whenOf } from '@fulcrant/core/history';
import { allTrades, records } from '@fulcrant/core/job';
import { COMMON, inline, textKey } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { type PositionTold, positionOfLabel, usePosition, useRegister } from '../data/register.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Photo } from '../entry/Photo.tsx';
import { StripTrace, sayTraced } from '../figures/StripTrace.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { Whole } from '../ui/Whole.tsx';
import { AutopsyDialog } from './AutopsyDialog.tsx';
import { M } from './messages.ts';
import { ShaftDialog } from './ShaftDialog.tsx';
import { ShaftStrip } from './ShaftStrip.tsx';

/** What a label stands for. */
export function LabelPage() {
  const say = useSay();
  const { label = '' } = useParams();
  const found = useQuery({ queryKey: ['label', label], queryFn: () => positionOfLabel(label), retry: false });
  if (found.data) return <Navigate to={`/positions/${found.data.id}`} replace />;
  return (
    <Page title={label.toUpperCase()}>
      {found.isError ? (
        <Fault>
          <Words of={saidBy(found.error)} />
        </Fault>
      ) : (
        <p>{say(M.lookingUp)}</p>
      )}
    </Page>
  );
}

/** The shafts of the machine, and a way to draw one or change it. */
function Shafts({
  machine,
  shafts,
  here,
}: {
  machine: string;
  shafts: readonly ShaftCardBody[];
  here: string;
}) {
  const say = useSay();
  const { person } = useSession();
  const places = (useRegister(machine).data?.positions ?? []).filter((p) => p.machine === machine);
  const [drawing, setDrawing] = useState<ShaftCardBody | 'new' | null>(null);
  return (
    <>
      {shafts.map((s) => (
        <ShaftStrip key={s.name} shaft={s} here={here} />
      ))}
      {records(person?.role) && places.length > 1 && (
        <p className="m-0 flex flex-wrap gap-x-6 no-print">
          {shafts.map((s) => (
            <Button key={s.name} weight="bare" onClick={() => setDrawing(s)}>
              {say(M.change({ name: s.name }))}
            </Button>
          ))}
          <Button weight="bare" onClick={() => setDrawing('new')}>
            {say(M.drawShaft)}
          </Button>
        </p>
      )}
      {drawing && (
        <ShaftDialog
          machine={machine}
          places={places}
          shaft={drawing === 'new' ? null : drawing}
          onClose={() => setDrawing(null)}
        />
      )}
    </>
  );
}

/** A position with its years: what stands there, every job, its numbers as a strip, two jobs laid over each other, what came out. */
export function PositionPage() {
  const say = useSay();
  const { id = '' } = useParams();
  const told = usePosition(id);
  const { person } = useSession();
  if (!told.data)
    return (
      <Page title={say(COMMON.position)} ways={[['/register', say(COMMON.register)]]} corner={<Corner />}>
        {told.isError ? (
          <Fault>
            <Words of={saidBy(told.error)} />
          </Fault>
        ) : (
          <p className="text-muted">{say(M.fetchingYears)}</p>
        )}
      </Page>
    );
  const { card, past } = told.data;
  return (
    <Page title={card.machine} ways={[['/register', say(COMMON.register)]]} corner={<Corner />}>
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 pb-2">
        <p className="m-0 text-xl">
          {card.position}
          <span className="ml-4 text-base text-muted">
            {[card.area, say(M.label({ label: card.label }))].filter(Boolean).join(' · ')}
          </span>
        </p>
        <span className="flex flex-wrap gap-3 no-print">
          <a
            className="inline-flex min-h-12 items-center px-2 text-steel underline underline-offset-4"
            href={`/api/labels.pdf?position=${card.id}`}
            target="_blank"
            rel="noreferrer"
          >
            {say(M.label2)}
          </a>
          {records(person?.role) && (
            <Link
              to={`/jobs/new?position=${card.id}&q=${encodeURIComponent(`${card.machine} ${card.position}`.slice(0, 80))}`}
              className="inline-flex min-h-12 items-center bg-ink px-5 font-label text-lg font-semibold text-paper"
            >
              {say(M.openJobHere)}
            </Link>
          )}
        </span>
      </div>
      <Shafts machine={card.machine} shafts={told.data.shafts} here={card.id} />
      <Jobs past={past} />
      <Strip past={past} />
      {past.length > 1 && <SideBySide past={past} />}
      <Lives past={past} />
      <Autopsies told={told.data} />
    </Page>
  );
}

function Jobs({ past }: { past: readonly PastJob[] }) {
  const say = useSay();
  if (past.length === 0) return <p className="text-lg">{say(M.nothingDoneHereYet)}</p>;
  return (
    <section aria-label={say(M.jobs)}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-3">{say(M.jobs)}</h2>
      <ul className="m-0 list-none p-0">
        {past.map((j) => (
          <li key={j.jobId} className="border-b border-faint">
            <Link
              to={j.state === 'signed' ? `/jobs/${j.jobId}/sheet` : `/jobs/${j.jobId}`}
              className="grid min-h-12 items-center gap-x-5 py-1 hover:bg-shade md:grid-cols-[7rem_13rem_minmax(0,1fr)]"
            >
              <span className="figures">{format(new Date(whenOf(j)), 'd MMM yyyy')}</span>
              <span>
                <span className="font-label text-lg font-semibold">
                  <Words of={j.sheet} />
                </span>{' '}
                <span className="text-sm text-muted">{j.number}</span>
              </span>
              <span className="text-sm text-muted">
                {j.state === 'open' ? say(M.open2) : ''}
                {j.partNumber ? `${j.partNumber} · ` : ''}
                {j.rows
                  .filter(([, v]) => v !== '–')
                  .slice(0, 4)
                  .map(([k, v]) => `${say(inline(k, 'first'))} ${say(v)}`)
                  .join(' · ')}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Less than anybody measures. */
const SAME = 0.0004;
const PAD_MS = 40 * 86_400_000;

function Strip({ past }: { past: readonly PastJob[] }) {
  const say = useSay();
  const traces = tracesOf(past).filter((t) => t.points.length > 1);
  if (traces.length === 0) return null;
  const times = past.map((j) => Date.parse(whenOf(j)));
  const span = [Math.min(...times) - PAD_MS, Math.max(...times) + PAD_MS] as const;
  return (
    <section aria-label={say(M.overYears)}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">{say(M.overYearsOpenDotsAs)}</h2>
      {traces.map((t) => (
        <Whole key={textKey(t.label)} what={t.label} again={t}>
          <StripTrace trace={t} span={span} />
        </Whole>
      ))}
    </section>
  );
}

function SideBySide({ past }: { past: readonly PastJob[] }) {
  const say = useSay();
  const { unit } = useSettings();
  const [a, setA] = useState(past[1]?.jobId ?? '');
  const [b, setB] = useState(past[0]?.jobId ?? '');
  const [before, after] = [past.find((j) => j.jobId === a), past.find((j) => j.jobId === b)];
  const options = past.map(
    (j) => [j.jobId, `${format(new Date(whenOf(j)), 'd MMM yyyy')}, ${say(j.sheet)}, ${j.number}`] as const,
  );
  const rows = before && after ? besideEachOther(before, after) : [];
  return (
    <section aria-label={say(M.twoJobsSideSide)}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">{say(M.laidOverEachOther)}</h2>
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] border-collapse text-left">
          <thead>
            <tr>
              <th className="w-48 py-1 font-normal text-muted">{say(M.number)}</th>
              <th className="w-72 pr-6 font-normal">
                <Choice label={say(M.earlierJob)} value={a} options={options} onChange={setA} />
              </th>
              <th className="w-72 pr-6 font-normal">
                <Choice label={say(M.laterJob)} value={b} options={options} onChange={setB} />
              </th>
              <th className="font-normal text-muted">{say(M.changed)}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={textKey(r.label)} className="border-t border-faint">
                <td className="py-1">
                  <Words of={r.label} />
                </td>
                {[r.before, r.after].map((v, i) => (
                  <td key={i === 0 ? 'before' : 'after'} className="figures">
                    {v === null ? '–' : <Words of={sayTraced(v, r.quantity, unit)} />}
                  </td>
                ))}
                <td className="figures whitespace-nowrap">
                  {r.changed === null
                    ? ''
                    : Math.abs(r.changed) < SAME
                      ? say(M.asBefore)
                      : `${r.changed >= 0 ? '+' : '−'}${say(sayTraced(Math.abs(r.changed), r.quantity, unit))}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Lives({ past }: { past: readonly PastJob[] }) {
  const say = useSay();
  // Only what was fitted lives; a survey or a watch fits nothing.
  const fits = allTrades().flatMap((t) => (t.slots.part?.failure ? [t.id] : []));
  const lives = livesOf(
    past.filter((j) => fits.includes(j.kind)),
    new Date().toISOString(),
  );
  if (lives.length < 2) return null;
  const sheet = (kind: string) => past.find((j) => j.kind === kind)?.sheet ?? '';
  return (
    <section aria-label={say(M.howLongEachLived)}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">{say(M.howLongEachLived)}</h2>
      <ul className="m-0 list-none p-0">
        {lives.map((l) => (
          <li
            key={`${l.kind} ${l.from}`}
            className="grid gap-x-5 border-b border-faint py-1.5 md:grid-cols-[13rem_minmax(0,1fr)_10rem]"
          >
            <span>
              <Words of={sheet(l.kind)} />
            </span>
            <span className="text-muted">
              {say(
                M.to2({
                  partNumber: l.partNumber ? `${l.partNumber}, ` : '',
                  from: format(new Date(l.from), 'd MMM yyyy'),
                  to: l.to ? format(new Date(l.to), 'd MMM yyyy') : COMMON.now,
                }),
              )}
            </span>
            <span className="figures">
              {l.days} {l.days === 1 ? say(COMMON.day) : say(M.days)}
              {l.to ? '' : say(M.soFar)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const LIKELIHOOD = {
  likely: 'likely',
  possible: 'possible',
  'spoken-against': M.moreSpeaksAgainst,
} as const;

function Autopsies({ told }: { told: PositionTold }) {
  const say = useSay();
  const { person } = useSession();
  const [open, setOpen] = useState(false);
  const { autopsies } = told;
  if (autopsies.length === 0 && !records(person?.role)) return null;
  return (
    <section aria-label={say(COMMON.failureReport)}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">{say(COMMON.failureReport)}</h2>
      {autopsies.map((a) => (
        <Autopsy key={a.id} told={a} />
      ))}
      {records(person?.role) && (
        <Button className="mt-3" onClick={() => setOpen(true)}>
          {say(COMMON.failureReport)}
        </Button>
      )}
      {open && <AutopsyDialog told={told} onClose={() => setOpen(false)} />}
    </section>
  );
}

function Autopsy({ told }: { told: AutopsyTold }) {
  const say = useSay();
  const [first, ...others] = told.causes;
  return (
    <article className="border-b border-faint py-2" data-autopsy={first?.id ?? 'none'}>
      <p className="m-0">
        <span className="font-label text-lg font-semibold">
          {first ? <Words of={first.cause} /> : say(M.nothingPointsAnywhereYet)}
        </span>
        {first && (
          <span className="ml-3 text-brass">
            <Words of={LIKELIHOOD[first.likelihood]} />
          </span>
        )}
        <span className="ml-3 text-sm text-muted">
          {told.by}, {format(new Date(told.at), 'd MMM yyyy')}
          {told.livedDays === null ? '' : say(M.livedDays2({ livedDays: told.livedDays }))}
        </span>
      </p>
      {first && (
        <p className="m-0 text-sm">
          {say(
            M.forIt({
              speaksFor: first.speaksFor
                .map((s) => s.words)
                .map((x) => say(x))
                .join('; '),
            }),
          )}
          {first.speaksAgainst.length > 0 &&
            say(
              M.against({
                speaksAgainst: first.speaksAgainst
                  .map((s) => s.words)
                  .map((x) => say(x))
                  .join('; '),
              }),
            )}
        </p>
      )}
      {first && <p className="m-0 text-sm">{say(M.beforeNext({ next: first.next }))}</p>}
      {told.photos && told.photos.length > 0 && (
        <div className="my-2 flex flex-wrap gap-3">
          {told.photos.map((hash) => (
            <div key={hash} className="w-44">
              <Photo hash={hash} words={say(COMMON.failureReport)} />
            </div>
          ))}
        </div>
      )}
      {others.length > 0 && (
        <p className="m-0 text-sm text-muted">
          {say(
            M.also({
              others: others
                .map((c) => `${say(inline(c.cause))} (${say(LIKELIHOOD[c.likelihood])})`)
                .join('; '),
            }),
          )}
        </p>
      )}
      {told.words && <p className="m-0 text-sm">“{told.words}”</p>}
    </article>
  );
}
