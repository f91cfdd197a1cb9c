import { inBoardOrder, type Wants, wantsOf } from '@fulcrant/core/forms';
import type { Instrument } from '@fulcrant/core/instruments';
import { records } from '@fulcrant/core/job';
import { format, isToday } from 'date-fns';
import { Plus, Search } from 'lucide-react';
import { useDeferredValue, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useHouseRules, useInstruments, usePositions } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { isOverdue } from '../entry/GaugePicker.tsx';
import { Mark } from '../ui/Mark.tsx';
import { useSay } from '../ui/settings.tsx';
import { BoardLine } from './BoardLine.tsx';
import { type Line, useFoundLines, useOpenLines, useSignedLines } from './lines.ts';
import { PlantMenu } from './PlantMenu.tsx';

/** Signed jobs beside the board. */
const SIGNED = 6;
const MINE = 'fulcrant.mine';

const HEADING: Record<Wants, string> = {
  overdue: 'Overdue',
  lead: 'Waits for a lead hand',
  hand: 'Can go on',
  time: 'Waits for its time',
};

/** Home: what wants a hand now. */
export function BoardPage() {
  const { person, plant } = useSession();
  const gauges = useInstruments().data?.instruments ?? [];
  // Kept on the device from here, so that a job can be opened by them without network.
  useHouseRules();
  usePositions('');
  const [typed, setTyped] = useState('');
  const [mine, setMine] = useState(() => localStorage.getItem(MINE) === 'yes');
  const jobs = useOpenLines();
  useEffect(() => {
    document.title = 'Shift board · Fulcrant';
  }, []);
  const now = Date.now();
  const all = jobs.data ?? [];
  const open = inBoardOrder(
    all.filter((l) => !mine || (person !== null && l.hands.includes(person.id))),
    now,
  );
  const looked = useDeferredValue(typed.trim());
  const count = (w: Wants) => open.filter((l) => wantsOf(l, now) === w).length;
  return (
    <div className="p-2 md:p-3.5">
      <div className="grid min-h-[calc(100dvh-1.75rem-var(--plate,0px))] border border-rule lg:grid-cols-[minmax(0,1fr)_252px] lg:grid-rows-[auto_minmax(0,1fr)_auto]">
        <header className="sticky top-0 z-10 flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-rule bg-paper px-4 py-2.5 md:px-6 lg:border-r">
          <Mark />
          <div className="mr-auto">
            <h1 className="m-0 text-[1.6rem] leading-none">Shift board</h1>
            <p className="m-0 text-[0.95rem] text-muted" data-counts>
              {open.length} open{mine ? ' of mine' : ''} · {count('overdue')} overdue · {count('lead')} for a
              lead hand
            </p>
          </div>
          <label className="flex min-h-12 min-w-36 flex-1 items-center gap-2 border-b-2 border-muted focus-within:border-brass md:max-w-72">
            <Search aria-hidden="true" size={20} className="shrink-0 text-muted" />
            <span className="sr-only">Find a machine, position or number</span>
            <input
              type="search"
              inputMode="search"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              maxLength={80}
              placeholder="machine, position, number"
              className="min-h-11 w-full min-w-0 border-0 bg-transparent text-lg placeholder:text-muted"
            />
          </label>
          <button
            type="button"
            aria-pressed={mine}
            onClick={() => {
              localStorage.setItem(MINE, mine ? 'no' : 'yes');
              setMine(!mine);
            }}
            className="min-h-12 border border-muted px-4 font-label text-lg font-semibold aria-pressed:border-2 aria-pressed:border-brass"
          >
            Mine
          </button>
          <PlantMenu />
          {person && records(person.role) && (
            <Link
              to="/jobs/new"
              className="flex min-h-12 items-center gap-2 bg-ink px-5 font-label text-lg font-semibold text-paper"
            >
              <Plus aria-hidden="true" size={20} /> Open a job
            </Link>
          )}
        </header>
        <aside
          className="border-b border-rule px-4 py-4 max-lg:order-3 max-lg:border-t lg:row-span-2"
          aria-label="What is due, gauges, signed sheets"
        >
          <Due lines={open} />
          <Gauges gauges={gauges} />
          <Signed />
        </aside>
        <main className="min-w-0 px-4 md:px-6 lg:border-r lg:border-rule">
          {looked !== '' ? (
            <Found typed={looked} open={all} now={now} />
          ) : (
            <>
              {jobs.isPending && <p className="py-6 text-lg text-muted">Fetching the board …</p>}
              {jobs.isError && all.length === 0 && (
                <p className="py-6 text-lg">{person ? jobs.error.message : 'Sign in to see the jobs.'}</p>
              )}
              {jobs.isSuccess && open.length === 0 && (
                <p className="py-6 text-lg">
                  {mine && all.length > 0
                    ? `None of the ${all.length} open jobs is yours.`
                    : 'Nothing is open. Open a job for a machine position.'}
                </p>
              )}
              <OpenJobs lines={open} now={now} />
            </>
          )}
        </main>
        <footer className="flex flex-wrap items-center gap-4 border-t border-rule px-4 py-2 max-lg:order-2 md:px-6 lg:border-r">
          <Link to="/bench" className="flex min-h-12 items-center text-steel underline underline-offset-4">
            Calculators
          </Link>
          <div className="min-w-64 flex-1">
            <Corner />
          </div>
        </footer>
        <section aria-label="Title block" className="border-t border-rule max-lg:order-4">
          <dl className="m-0 grid grid-cols-2">
            <div className="col-span-2 border-b border-faint px-3 py-1.5">
              <dt className="kicker">Site</dt>
              <dd className="m-0 font-label text-xl font-semibold leading-tight">{plant?.site}</dd>
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

/** Open jobs under what they want, each group under its own words. */
function OpenJobs({ lines, now }: { lines: Line[]; now: number }) {
  const groups = [...new Set(lines.map((l) => wantsOf(l, now)))];
  return (
    <section aria-label="Open jobs">
      {groups.map((w) => (
        <section key={w} aria-label={HEADING[w]}>
          <h2 className={`kicker m-0 border-b border-rule pb-1 pt-3 ${w === 'overdue' ? '!text-stop' : ''}`}>
            {HEADING[w]}
          </h2>
          <ul className="m-0 list-none p-0">
            {lines
              .filter((l) => wantsOf(l, now) === w)
              .map((l) => (
                <BoardLine key={l.id} line={l} wants={w} />
              ))}
          </ul>
        </section>
      ))}
    </section>
  );
}

/** What was looked for: jobs, and positions a job can be opened at. */
function Found({ typed, open, now }: { typed: string; open: Line[]; now: number }) {
  const { person } = useSession();
  const found = useFoundLines(typed, open);
  const places = usePositions(typed);
  const lines = found.data?.jobs ?? [];
  const positions = places.data?.positions ?? [];
  return (
    <div data-found={found.isFetching ? 'looking' : 'done'}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-3">Jobs: “{typed}”</h2>
      <ul className="m-0 list-none p-0" aria-label="Jobs found">
        {lines.map((l) => (
          <BoardLine key={l.id} line={l} wants={l.state === 'open' ? wantsOf(l, now) : null} />
        ))}
      </ul>
      {found.isSuccess && lines.length === 0 && <p className="py-3 text-muted">No job by these words.</p>}
      {found.data?.next && (
        <p className="py-2 text-muted">The first {lines.length} are shown: another word finds the rest.</p>
      )}
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">Positions</h2>
      <ul className="m-0 list-none p-0" aria-label="Positions found">
        {positions.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center gap-x-4 border-b border-faint">
            <span className="min-w-0 flex-1 py-2">
              <span className="font-label text-lg font-semibold">{p.machine}</span>, {p.position}
            </span>
            {person && records(person.role) && (
              <Link
                to={`/jobs/new?position=${p.id}&q=${encodeURIComponent(typed)}`}
                className="flex min-h-12 items-center text-steel underline underline-offset-4"
              >
                open a job here
              </Link>
            )}
          </li>
        ))}
      </ul>
      {places.data?.more && (
        <p className="py-2 text-muted">
          The first {positions.length} positions are shown: another word finds the rest.
        </p>
      )}
    </div>
  );
}

/** The last few signed, and the way on to the others. */
function Signed() {
  const signed = useSignedLines(SIGNED);
  const lines = signed.data?.jobs ?? [];
  return (
    <>
      <h2 className="kicker mb-1 mt-6">Signed</h2>
      <ul className="m-0 list-none p-0">
        {lines.map((l) => (
          <li key={l.id} className="border-t border-faint">
            <Link to={`/jobs/${l.id}/sheet`} className="block min-h-12 py-1.5 leading-tight">
              <span className="font-label text-lg font-semibold">{l.machine}</span>
              <span className="block text-sm text-muted">
                {l.position} · {l.number} · {format(new Date(l.signedAt ?? l.updatedAt), 'd MMM HH:mm')}
              </span>
            </Link>
          </li>
        ))}
        {signed.isSuccess && lines.length === 0 && <li className="text-sm text-muted">None yet.</li>}
      </ul>
      {signed.data?.next && (
        <Link
          to="/signed"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          The last {lines.length}; all signed
        </Link>
      )}
    </>
  );
}

/** Readings that fall due, the next one first. */
function Due({ lines }: { lines: Line[] }) {
  const say = useSay();
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
                  {say(l.rail.find((m) => m.id === l.present)?.title).toLowerCase()},{' '}
                  {late ? 'was due' : 'due'} {format(l.at, isToday(l.at) ? 'HH:mm' : 'd MMM HH:mm')}
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
  const real = gauges.filter((g) => !g.standIn);
  const late = real.filter((g) => isOverdue(g));
  const soon = real
    .filter((g) => !isOverdue(g))
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
          All {real.length} gauges
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
