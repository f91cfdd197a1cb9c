import { type Instrument, type JobEvent, type JobSummary, summarise } from '@fulcrant/core';
import { useQuery } from '@tanstack/react-query';
import { format, isToday } from 'date-fns';
import { Plus } from 'lucide-react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { readThrough } from '../../app/api.ts';
import { Corner } from '../../app/Corner.tsx';
import { stateFrom, useHouseRules, useInstruments } from '../../app/job.ts';
import { useQueue } from '../../app/queue.ts';
import type { StoredJob } from '../../app/sent-events.ts';
import { useSession } from '../../app/session.tsx';
import { useSay } from '../../app/settings.tsx';
import { readCached } from '../../app/store.ts';
import { isOverdue } from '../../ui/GaugePicker.tsx';
import { Mark } from '../../ui/Mark.tsx';
import { FlatRail } from '../../ui/Rail.tsx';

type Line = JobSummary & { id: string; number: string; state: 'open' | 'signed'; updatedAt: string };

/** Jobs with entries still on this device, summed up here, so that the board never shows less than was recorded. */
async function withWaiting(lines: Line[], waiting: readonly JobEvent[]): Promise<Line[]> {
  const ids = [...new Set(waiting.map((e) => e.jobId))];
  const local = await Promise.all(
    ids.map(async (id): Promise<Line | null> => {
      const stored = (await readCached<StoredJob>(`/api/jobs/${id}`))?.events ?? [];
      const known = new Set(stored.map((e) => e.id));
      const events = [...stored, ...waiting.filter((e) => e.jobId === id && !known.has(e.id))];
      const state = stateFrom(events);
      const before = lines.find((l) => l.id === id);
      return state
        ? {
            ...summarise(state),
            id,
            number: before?.number ?? 'not sent',
            state: state.signed ? 'signed' : 'open',
            updatedAt: events.at(-1)?.at ?? state.opened.at,
          }
        : null;
    }),
  );
  const changed = local.filter((l): l is Line => l !== null);
  return [...lines.filter((l) => !changed.some((c) => c.id === l.id)), ...changed];
}

/** What wants a hand first: work that can go on, then what is held, then what is not begun. */
function rank(l: Line): number {
  if (l.held) return 1;
  return l.present === 'safe' ? 2 : 0;
}

export function BoardPage() {
  const { person } = useSession();
  const { waiting } = useQueue();
  const gauges = useInstruments().data?.instruments ?? [];
  // Kept on the device from here, so that a job can be opened by them without network.
  useHouseRules();
  const jobs = useQuery({
    queryKey: ['jobs', waiting.map((w) => w.n).join()],
    queryFn: async () =>
      withWaiting(
        (await readThrough<{ jobs: Line[] }>('/api/jobs?limit=200')).jobs,
        waiting.map((w) => w.event),
      ),
    refetchInterval: 10_000,
    placeholderData: (before) => before,
  });
  useEffect(() => {
    document.title = 'Shift board · Fulcrant';
  }, []);
  const all = jobs.data ?? [];
  const open = all
    .filter((l) => l.state === 'open')
    .sort((a, b) => rank(a) - rank(b) || b.updatedAt.localeCompare(a.updatedAt));
  const signed = all
    .filter((l) => l.state === 'signed')
    .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
  const held = open.filter((l) => l.held).length;
  return (
    <div className="p-2 md:p-3.5">
      <div className="grid min-h-[calc(100dvh-1.75rem)] border border-rule lg:grid-cols-[minmax(0,1fr)_252px] lg:grid-rows-[auto_minmax(0,1fr)_auto]">
        <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-4 py-3 md:px-6 lg:border-r">
          <Mark />
          <h1 className="m-0 text-[1.75rem]">Shift board</h1>
          <p className="m-0 text-muted">
            {open.length} open · {held} held · {open.filter((l) => rank(l) === 0).length} can go on
          </p>
        </header>
        <aside
          className="border-b border-rule px-4 py-4 max-lg:order-3 max-lg:border-t lg:row-span-2"
          aria-label="What is due, gauges, signed sheets"
        >
          <Due lines={open} />
          <Gauges gauges={gauges} />
          <h2 className="kicker mb-1 mt-6">Signed</h2>
          <ul className="m-0 list-none p-0">
            {signed.slice(0, 6).map((l) => (
              <li key={l.id} className="border-t border-faint">
                <Link to={`/jobs/${l.id}/sheet`} className="block min-h-12 py-1.5 leading-tight">
                  <span className="font-label text-lg font-semibold">{l.machine}</span>
                  <span className="block text-sm text-muted">
                    {l.position} · {l.number} · {format(new Date(l.updatedAt), 'd MMM HH:mm')}
                  </span>
                </Link>
              </li>
            ))}
            {signed.length === 0 && <li className="text-sm text-muted">None yet.</li>}
          </ul>
        </aside>
        <main className="min-w-0 px-4 md:px-6 lg:border-r lg:border-rule">
          {jobs.isPending && <p className="py-6 text-lg text-muted">Fetching the board …</p>}
          {jobs.isError && all.length === 0 && (
            <p className="py-6 text-lg">{person ? jobs.error.message : 'Sign in to see the jobs.'}</p>
          )}
          {jobs.isSuccess && open.length === 0 && (
            <p className="py-6 text-lg">Nothing is open. Open a job for a machine position.</p>
          )}
          <ul className="m-0 list-none p-0" aria-label="Open jobs">
            {open.map((l) => (
              <BoardLine key={l.id} line={l} />
            ))}
          </ul>
        </main>
        <footer className="flex flex-wrap items-center gap-4 border-t border-rule px-4 py-3 max-lg:order-2 md:px-6 lg:border-r">
          {person && person.role !== 'viewer' && (
            <Link
              to="/jobs/new"
              className="flex min-h-12 items-center gap-2 bg-ink px-6 font-label text-lg font-semibold text-paper"
            >
              <Plus aria-hidden="true" size={20} /> Open a job
            </Link>
          )}
          <Link to="/bench" className="flex min-h-12 items-center text-steel underline underline-offset-4">
            A sum without a job: the bench
          </Link>
          <div className="min-w-64 flex-1">
            <Corner />
          </div>
        </footer>
        <section aria-label="Title block" className="border-t border-rule max-lg:order-4">
          <dl className="m-0 grid grid-cols-2">
            <div className="col-span-2 border-b border-faint px-3 py-1.5">
              <dt className="kicker">Site</dt>
              <dd className="m-0 font-label text-xl font-semibold leading-tight">
                Holmbeck, between campaigns
              </dd>
            </div>
            <div className="border-r border-faint px-3 py-1.5">
              <dt className="kicker">Date</dt>
              <dd className="m-0">{format(new Date(), 'EEE d MMM')}</dd>
            </div>
            <div className="px-3 py-1.5">
              <dt className="kicker">At the board</dt>
              <dd className="m-0">{person?.name ?? 'nobody'}</dd>
            </div>
          </dl>
        </section>
      </div>
    </div>
  );
}

/** One job: the machine in big letters, its rail laid flat, the next act in words. */
function BoardLine({ line: l }: { line: Line }) {
  const say = useSay();
  const present = l.rail.find((m) => m.status === 'present');
  return (
    <li className="border-b border-faint" data-job={l.number}>
      <Link
        to={`/jobs/${l.id}`}
        className="grid items-center gap-x-6 py-2 hover:bg-shade md:grid-cols-[minmax(0,0.8fr)_minmax(0,1fr)_minmax(0,0.85fr)]"
      >
        <span className="min-w-0 leading-tight">
          <span className="block font-label text-[1.55rem] font-semibold leading-tight">{l.machine}</span>
          <span className="block text-[0.95rem] text-muted">
            {l.position} · <span className="figures text-sm">{l.number}</span>
          </span>
        </span>
        <FlatRail marks={l.rail} />
        <span className="min-w-0 leading-snug">
          {l.held ? (
            <span className="font-medium text-stop">
              <span className="font-label text-lg font-semibold">
                Held at {present?.title.toLowerCase()}.{' '}
              </span>
              {say(l.held)}
            </span>
          ) : (
            <span>
              <span className="font-label text-lg font-semibold text-brass">
                {present?.title ?? 'Done'}.{' '}
              </span>
              {say(l.act)}
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}

/** Readings that fall due, the next one first. */
function Due({ lines }: { lines: Line[] }) {
  const due = lines
    .flatMap((l) => (l.dueAt ? [{ ...l, at: new Date(l.dueAt) }] : []))
    .sort((a, b) => a.at.getTime() - b.at.getTime());
  if (due.length === 0) return null;
  return (
    <>
      <h2 className="kicker m-0 mb-1">Due</h2>
      <ul className="m-0 mb-6 list-none p-0">
        {due.map((l) => {
          const late = l.at.getTime() < Date.now();
          return (
            <li key={l.id} className="border-t border-faint" data-due={l.number}>
              <Link to={`/jobs/${l.id}`} className="block min-h-12 py-1.5 leading-tight">
                <span className="font-label text-lg font-semibold">{l.machine}</span>
                <span className={`block text-sm ${late ? 'font-medium text-stop' : 'text-muted'}`}>
                  {l.rail.find((m) => m.id === l.present)?.title.toLowerCase()}, {late ? 'was due' : 'due'}{' '}
                  {format(l.at, isToday(l.at) ? 'HH:mm' : 'd MMM HH:mm')}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}

function Gauges({ gauges }: { gauges: Instrument[] }) {
  const late = gauges.filter((g) => isOverdue(g) && !g.standIn);
  const soon = gauges
    .filter((g) => !isOverdue(g) && !g.standIn)
    .sort((a, b) => a.calibrationDue.localeCompare(b.calibrationDue))
    .slice(0, 4);
  return (
    <>
      <h2 className="kicker m-0 mb-1">Gauges</h2>
      <ul className="m-0 list-none p-0 leading-snug">
        {late.map((g) => (
          <li key={g.id} className="border-t border-faint py-1.5">
            {g.name}{' '}
            <span className="block font-medium text-stop">
              out of date since {format(new Date(g.calibrationDue), 'd MMM')}
            </span>
          </li>
        ))}
        {soon.map((g) => (
          <li key={g.id} className="border-t border-faint py-1.5">
            {g.name}{' '}
            <span className="block text-sm text-muted">
              good to {format(new Date(g.calibrationDue), 'd MMM yyyy')}
            </span>
          </li>
        ))}
      </ul>
      <p className="m-0 flex flex-wrap gap-x-5">
        <Link
          to="/gauges"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          All gauges
        </Link>
        <Link
          to="/house-rules"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          House rules
        </Link>
      </p>
    </>
  );
}
