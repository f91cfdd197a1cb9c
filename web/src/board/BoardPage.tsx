import { inBoardOrder, type Wants, wantsOf } from '@fulcrant/core/forms';
import type { Instrument } from '@fulcrant/core/instruments';
import { records } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, inline, textKey } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { format, isToday } from 'date-fns';
import { Plus, Search } from 'lucide-react';
import { useDeferredValue, useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Line } from '../data/line.ts';
import { useFoundLines, useOpenLines, useSignedLines } from '../data/lines.ts';
import { isOverdue } from '../data/overdue.ts';
import { useSession } from '../data/session.tsx';
import { useHouseRules, useInstruments, usePositions } from '../data/site.ts';
import { Corner } from '../entry/Corner.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { BoardLine } from './BoardLine.tsx';
import { FirstSteps } from './FirstSteps.tsx';
import { M } from './messages.ts';

/** Signed jobs beside the board. */
const SIGNED = 6;
/** Lines a screen shows at most without scrolling. */
const FIRST = 8;
const MINE = 'fulcrant.mine';

const HEADING: Record<Wants, Text> = {
  overdue: M.overdue,
  lead: M.waitsLeadHand,
  hand: M.canGo,
  time: M.waitsTime,
};

/** Home: what wants a hand now. */
export function BoardPage() {
  const say = useSay();
  const { person, plant } = useSession();
  const gauges = useInstruments().data?.instruments ?? [];
  const jobs = useOpenLines();
  // Kept on the device from here, so that a job can be opened by them without network: once the board is there.
  useHouseRules({ enabled: jobs.isSuccess });
  usePositions('', { enabled: jobs.isSuccess });
  const [typed, setTyped] = useState('');
  const [mine, setMine] = useState(() => localStorage.getItem(MINE) === 'yes');
  useEffect(() => {
    document.title = say(M.shiftBoardFulcrant);
  }, [say]);
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
          <div className="mr-auto">
            <h1 className="m-0 text-[1.6rem] leading-none">{say(COMMON.shiftBoard)}</h1>
            <p className="m-0 text-[0.95rem] text-muted" data-counts>
              {say(
                M.openOverdueLeadHand({
                  count: open.length,
                  mine: mine ? 'mine' : 'none',
                  count2: count('overdue'),
                  count3: count('lead'),
                }),
              )}
            </p>
          </div>
          <label className="flex min-h-12 min-w-36 flex-1 items-center gap-2 border-b-2 border-muted focus-within:border-brass md:max-w-72">
            <Search aria-hidden="true" size={20} className="shrink-0 text-muted" />
            <span className="sr-only">{say(M.findMachinePositionNumber)}</span>
            <input
              type="search"
              inputMode="search"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              maxLength={80}
              placeholder={say(COMMON.machinePositionNumber)}
              className="min-h-12 w-full min-w-0 border-0 bg-transparent text-lg placeholder:text-muted"
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
            {say(M.mine)}
          </button>
          {person && records(person.role) && (
            <Link
              to="/jobs/new"
              className="flex min-h-12 items-center gap-2 bg-ink px-5 font-label text-lg font-semibold text-paper"
            >
              <Plus aria-hidden="true" size={20} /> {say(COMMON.openJob)}
            </Link>
          )}
        </header>
        <aside
          className="border-b border-rule px-4 py-4 max-lg:order-3 max-lg:border-t lg:row-span-2"
          aria-label={say(M.whatDueGaugesSignedSheets)}
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
              {jobs.isPending && <p className="py-6 text-lg text-muted">{say(M.fetchingBoard)}</p>}
              {jobs.isError && all.length === 0 && (
                <p className="py-6 text-lg">{person ? say(saidBy(jobs.error)) : say(M.signSeeJobs)}</p>
              )}
              {jobs.isSuccess && open.length === 0 && (
                <p className="py-6 text-lg">
                  {mine && all.length > 0
                    ? say(M.noneOpenJobsYours({ count: all.length }))
                    : say(M.nothingOpenOpenJobMachine)}
                </p>
              )}
              {jobs.isSuccess && <FirstSteps open={all} />}
              <OpenJobs lines={open} now={now} />
            </>
          )}
        </main>
        <footer className="flex flex-wrap items-center gap-4 border-t border-rule px-4 py-2 max-lg:order-2 md:px-6 lg:border-r">
          <div className="min-w-64 flex-1">
            <Corner />
          </div>
        </footer>
        <section aria-label={say(COMMON.titleBlock)} className="border-t border-rule max-lg:order-4">
          <dl className="m-0 grid grid-cols-2">
            <div className="col-span-2 border-b border-faint px-3 py-1.5">
              <dt className="kicker">{say(COMMON.site)}</dt>
              <dd className="m-0 font-label text-xl font-semibold leading-tight">{plant?.site}</dd>
            </div>
            <div className="border-r border-faint px-3 py-1.5">
              <dt className="kicker">{say(M.date)}</dt>
              <dd className="m-0">{format(new Date(), 'EEE d MMM')}</dd>
            </div>
            <div className="px-3 py-1.5">
              <dt className="kicker">{say(COMMON.signedIn)}</dt>
              <dd className="m-0">{person?.name ?? say(M.nobody)}</dd>
            </div>
          </dl>
        </section>
      </div>
    </div>
  );
}

/** Open jobs under what they want, each group under its own words. */
function OpenJobs({ lines: all, now }: { lines: Line[]; now: number }) {
  const say = useSay();
  // The first screenful is there at once, the rest a moment later.
  const many = useDeferredValue(all.length, FIRST);
  const lines = many < all.length ? all.slice(0, many) : all;
  const groups = [...new Set(lines.map((l) => wantsOf(l, now)))];
  return (
    <section aria-label={say(M.openJobs)}>
      {groups.map((w) => (
        <section key={w} aria-label={say(HEADING[w])}>
          <h2 className={`kicker m-0 border-b border-rule pb-1 pt-3 ${w === 'overdue' ? '!text-stop' : ''}`}>
            <Words of={HEADING[w]} />
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
  const say = useSay();
  const { person } = useSession();
  const found = useFoundLines(typed, open);
  const places = usePositions(typed);
  const lines = found.data?.jobs ?? [];
  const positions = places.data?.positions ?? [];
  return (
    <div data-found={found.isFetching ? 'looking' : 'done'}>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-3">{say(M.jobs({ typed }))}</h2>
      <ul className="m-0 list-none p-0" aria-label={say(M.jobsFound)}>
        {lines.map((l) => (
          <BoardLine key={l.id} line={l} wants={l.state === 'open' ? wantsOf(l, now) : null} />
        ))}
      </ul>
      {found.isSuccess && lines.length === 0 && <p className="py-3 text-muted">{say(M.noJobTheseWords)}</p>}
      {found.data?.next && (
        <p className="py-2 text-muted">{say(COMMON.firstShownTypeMore({ count: lines.length }))}</p>
      )}
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-5">{say(COMMON.positions)}</h2>
      <ul className="m-0 list-none p-0" aria-label={say(COMMON.positionsFound)}>
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
                {say(M.openJobHere)}
              </Link>
            )}
          </li>
        ))}
      </ul>
      {places.data?.more && (
        <p className="py-2 text-muted">
          {say(M.firstPositionsShownAnotherWord({ count: positions.length }))}
        </p>
      )}
    </div>
  );
}

/** The last few signed, and the way on to the others. */
function Signed() {
  const say = useSay();
  const signed = useSignedLines(SIGNED);
  const lines = signed.data?.jobs ?? [];
  return (
    <>
      <h2 className="kicker mb-1 mt-6">{say(COMMON.signed)}</h2>
      <ul className="m-0 list-none p-0">
        {lines.map((l) => (
          <li key={l.id} className="border-t border-faint">
            <Link to={`/jobs/${l.id}/sheet`} className="block min-h-12 py-1.5 leading-tight">
              <span className="font-label text-lg font-semibold">{l.machine}</span>
              <span className="block text-sm text-muted">
                {l.position} · <Words of={l.number} /> ·{' '}
                {format(new Date(l.signedAt ?? l.updatedAt), 'd MMM HH:mm')}
              </span>
            </Link>
          </li>
        ))}
        {signed.isSuccess && lines.length === 0 && (
          <li className="text-sm text-muted">{say(COMMON.noneYet)}</li>
        )}
      </ul>
      {signed.data?.next && (
        <Link
          to="/signed"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          {say(M.lastAllSigned({ count: lines.length }))}
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
      <h2 className="kicker m-0 mb-1">{say(COMMON.due)}</h2>
      <ul className="m-0 mb-6 list-none p-0">
        {due.map((l) => {
          const late = l.at.getTime() < Date.now();
          return (
            <li key={l.id} className="border-t border-faint" data-due={textKey(l.number)}>
              <Link to={`/jobs/${l.id}`} className="block min-h-12 py-1.5 leading-tight">
                <span className="font-label text-lg font-semibold">{l.machine}</span>
                <span className={`block text-sm ${late ? 'font-medium text-stop' : 'text-muted'}`}>
                  {say(inline(l.rail.find((m) => m.id === l.present)?.title ?? ''))},{' '}
                  {late ? say(M.due3) : say(M.due4)} {format(l.at, isToday(l.at) ? 'HH:mm' : 'd MMM HH:mm')}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}

const dueOf = (g: Instrument): string => g.calibrationDue ?? '';

function Gauges({ gauges }: { gauges: Instrument[] }) {
  const say = useSay();
  const real = gauges.filter((g) => !g.standIn);
  const late = real.filter((g) => isOverdue(g));
  const soon = real
    .filter((g) => g.calibrationDue !== undefined && !isOverdue(g))
    .sort((a, b) => dueOf(a).localeCompare(dueOf(b)))
    .slice(0, 4);
  return (
    <>
      <h2 className="kicker m-0 mb-1">{say(COMMON.gauges)}</h2>
      <ul className="m-0 list-none p-0 leading-snug">
        {late.map((g) => (
          <li key={g.id} className="border-t border-faint py-1.5">
            {g.name}{' '}
            <span className="block font-medium text-stop">
              {say(M.outDateSince({ calibrationDue: format(new Date(dueOf(g)), 'd MMM') }))}
            </span>
          </li>
        ))}
        {soon.map((g) => (
          <li key={g.id} className="border-t border-faint py-1.5">
            {g.name}{' '}
            <span className="block text-sm text-muted">
              {say(M.good({ calibrationDue: format(new Date(dueOf(g)), 'd MMM yyyy') }))}
            </span>
          </li>
        ))}
      </ul>
      <p className="m-0 flex flex-wrap gap-x-5">
        <Link
          to="/gauges"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          {say(M.allGauges({ count: real.length }))}
        </Link>
        <Link
          to="/house-rules"
          className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
        >
          {say(COMMON.houseRules)}
        </Link>
      </p>
    </>
  );
}
