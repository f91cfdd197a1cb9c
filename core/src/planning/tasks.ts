import { both, merged, without } from '../arithmetic/planning/calendar.ts';
import type { Network, Span, Task } from '../arithmetic/planning/network.ts';
import type { Doubt } from '../arithmetic/planning/risk.ts';
import type { Setup } from '../engine/setup.ts';
import type { Trade } from '../engine/trade.ts';
import { allTrades, LEADING, workSteps } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import { type Duration, durationsOf, stepsOf } from './durations.ts';
import { M } from './messages.ts';
import type { Outage, OutageJob, Progress } from './outage.ts';
import { minutesFrom, shiftSpans } from './shifts.ts';
import { toolFor, toolKey } from './tools.ts';

/** A piece of an outage as it is told: what the planner’s number stands for. */
export type Piece = {
  id: string;
  job: OutageJob;
  name: Text;
  /** Nothing is done by hand: it holds the machine. */
  waits: boolean;
  skill: string | null;
  hands: number;
  tools: readonly string[];
  /** Tools it wants that nobody here has in the range: said beside the plan, and not waited for. */
  short: readonly string[];
  /** A hold point lies in it: it is done while a lead hand is there. */
  hold: boolean;
  steps: readonly string[];
  duration: Duration;
  state: 'ahead' | 'begun' | 'done';
  pinned: boolean;
};

export type OutageNetwork = {
  network: Network;
  pieces: Map<string, Piece>;
  doubts: Doubt[];
  wall: number;
  now: number;
};

/** What is known of an outage beside what is written in it. */
export type Known = {
  zone: string;
  /** Now, as events write times. */
  at: string;
  /** Setups of its jobs by key; a trade’s own first example where there is none. */
  setups?: Readonly<Record<string, Setup | undefined>>;
  durations?: Readonly<Record<string, Readonly<Record<string, Duration>> | undefined>>;
  progress?: Readonly<Record<string, Progress | undefined>>;
  /** Jobs, by key, that are signed or cancelled: what was touched is done, nothing else of them lies ahead. */
  ended?: Readonly<Record<string, boolean | undefined>>;
};

const setupOf = (trade: Trade, known: Setup | undefined): Setup =>
  known ?? (Object.values(trade.example.setups)[0] as Setup);

/** The pool that stands for room at a machine. */
const machineOf = (machine: string): string => `machine ${machine}`;
/** So many pieces may go on at one machine at once; what holds the machine takes all of it. */
const ROUND_A_MACHINE = 4;

/**
 * An outage as the planner takes it: each job’s pieces in their order, bound to each other, to hands that can do them, to shared tools,
 * to their machine’s windows; what is done or begun stands where it stands, what is pinned too, all else lies ahead of now.
 */
export function networkOf(outage: Outage, known: Known): OutageNetwork {
  const now = Math.max(0, Math.ceil(minutesFrom(outage, known.at)));
  const pieces = new Map<string, Piece>();
  const tasks: Task[] = [];
  const doubts: Doubt[] = [];
  const crew = outage.crew.map((c) => c.id);
  const ends = new Map<string, { first: string; last: string }>();
  const windowsOf = (machine: string): Span[] | undefined => {
    const mine = outage.windows.filter((w) => w.machine === machine);
    return mine.length === 0
      ? undefined
      : mine
          .map((w): Span => [minutesFrom(outage, w.from), minutesFrom(outage, w.to)])
          .sort((a, b) => a[0] - b[0]);
  };
  // Once a shift, not once a hand: every clock of every day goes through the time zone.
  const worked = outage.shifts.map((_, i) => shiftSpans(outage, i, known.zone));
  const shiftsOf = (c: Outage['crew'][number]): Span[] =>
    without(
      worked[c.shift] ?? [],
      c.away.map((a): Span => [minutesFrom(outage, a.from), minutesFrom(outage, a.to)]),
    );
  // A hold point waits for a lead hand who is awake; where the crew has none, somebody from outside it releases.
  const leads = outage.crew.filter((c) => c.skills.includes(LEADING));
  const led = leads.length > 0 ? merged(leads.flatMap(shiftsOf)) : undefined;
  const byName = new Map(outage.crew.map((c) => [c.name, c.id]));
  for (const job of outage.jobs) {
    const trade = allTrades().find((t) => t.id === job.trade);
    if (!trade) continue;
    const setup = setupOf(trade, known.setups?.[job.key]);
    const durations = known.durations?.[job.trade] ?? durationsOf(trade.slots.tasks, []);
    const progress = known.progress?.[job.key] ?? {};
    const within = windowsOf(job.machine);
    const nm = trade.slots.torqueNm?.(setup);
    let before: { id: string } | null = null;
    let first = '';
    const own = stepsOf(trade.slots.tasks, workSteps(setup));
    const over = known.ended?.[job.key] ?? false;
    const lastBegun = own.findLastIndex((o) => o.steps.some((s) => progress[s] && progress[s] !== 'again'));
    for (const [nth, { task, steps }] of own.entries()) {
      const id = `${job.key}:${task.id}`;
      const duration = durations[task.id] ?? { least: 1, likely: 1, most: 1, sheets: 0 };
      const minutes = Math.max(1, Math.round(duration.likely));
      const able = outage.crew.filter((c) => c.skills.includes(task.skill)).map((c) => c.id);
      const touched = steps.flatMap((s) => {
        const told = progress[s];
        return told && told !== 'again' ? [told] : [];
      });
      if (over && touched.length === 0) continue;
      const finished = touched.length === steps.length && touched.every((t) => t.done);
      // Done to its last step, or left behind by what comes after it; not where one of its steps was opened again.
      const left = nth < lastBegun && !steps.some((s) => progress[s] === 'again');
      const done = touched.length > 0 && (over || finished || left);
      const pin = outage.pins.find((p) => p.task === id);
      const start = touched.map((t) => t.first).sort()[0];
      const last = touched
        .map((t) => t.last)
        .sort()
        .at(-1);
      const hand = byName.get(touched.at(-1)?.by ?? '');
      // What it needs and the outage does not know is not waited for: it is said beside the plan instead.
      const wanted = (task.tools ?? []).map((t) => ({ t, tool: toolFor(outage, t, nm) }));
      const needed = wanted.flatMap(({ tool }) => (typeof tool === 'string' ? [] : [toolKey(tool)]));
      const hold = steps.some((s) => (setup.holdBefore as readonly string[]).includes(s));
      const began = start ? Math.floor(minutesFrom(outage, start)) : 0;
      const ended = last ? Math.max(began, Math.ceil(minutesFrom(outage, last))) : 0;
      tasks.push({
        id,
        minutes: done ? ended - began : minutes,
        after: before ? [before] : [],
        hands: [{ of: done || start ? crew : able, count: done || start ? (hand ? 1 : 0) : task.hands }],
        pools: done ? {} : { ...Object.fromEntries(needed.map((t) => [t, 1])), [machineOf(job.machine)]: 1 },
        within: done || start ? undefined : hold && led ? (within ? both(within, led) : led) : within,
        pauses: task.pauses ?? false,
        group: job.key,
        from: start ? undefined : now,
        fixed: done
          ? { start: began, finish: ended, units: hand ? [hand] : [] }
          : start
            ? { start: began, finish: Math.max(began + minutes, now + 1), units: hand ? [hand] : [] }
            : pin?.startsAt
              ? { start: Math.round(minutesFrom(outage, pin.startsAt)) }
              : undefined,
        by: start || !pin || pin.by.length === 0 ? undefined : pin.by,
      });
      pieces.set(id, {
        id,
        job,
        name: task.name,
        waits: false,
        skill: task.skill,
        hands: task.hands,
        tools: task.tools ?? [],
        short: wanted.flatMap(({ t, tool }) => (tool === 'short' ? [t] : [])),
        hold: hold && !done,
        steps,
        duration,
        state: done ? 'done' : start ? 'begun' : 'ahead',
        pinned: pin !== undefined && !start,
      });
      if (!done)
        doubts.push({
          id,
          least: duration.least,
          likely: duration.likely,
          most: duration.most,
          ...(task.finds
            ? {
                found: {
                  odds: duration.odds ?? task.finds.odds,
                  least: task.finds.minutes[0],
                  likely: task.finds.minutes[1],
                  most: task.finds.minutes[2],
                },
              }
            : {}),
        });
      before = { id };
      first ||= id;
      if (task.waits && !done) {
        const wait = `${id}:wait`;
        tasks.push({
          id: wait,
          minutes: task.waits,
          after: [{ id }],
          pools: { [machineOf(job.machine)]: ROUND_A_MACHINE },
          within,
          group: job.key,
        });
        pieces.set(wait, {
          id: wait,
          job,
          name: M.runs({ name: task.name }),
          waits: true,
          skill: null,
          hands: 0,
          tools: [],
          short: [],
          hold: false,
          steps: [],
          duration: { least: task.waits, likely: task.waits, most: task.waits, sheets: 0 },
          state: 'ahead',
          pinned: false,
        });
        before = { id: wait };
      }
    }
    if (before) ends.set(job.key, { first, last: before.id });
  }
  for (const b of outage.bindings) {
    if (b.off) continue;
    const [earlier, later] = [ends.get(b.before), ends.get(b.after)];
    const task = later && tasks.find((t) => t.id === later.first);
    if (earlier && task && pieces.get(task.id)?.state === 'ahead')
      (task.after as Array<{ id: string }>).push({ id: earlier.last });
  }
  const units = outage.crew.map((c) => ({ id: c.id, shifts: shiftsOf(c) }));
  const last = minutesFrom(outage, outage.endsAt) + 21 * 1440;
  const pools = [
    ...outage.tools.map((t) => ({
      id: toolKey(t),
      count: t.count,
      spans:
        t.from || t.until
          ? [
              [
                t.from ? minutesFrom(outage, t.from) : 0,
                t.until ? minutesFrom(outage, t.until) : last,
              ] as Span,
            ]
          : undefined,
    })),
    ...[...new Set(outage.jobs.map((j) => j.machine))].map((m) => ({
      id: machineOf(m),
      count: ROUND_A_MACHINE,
    })),
  ];
  return { network: { tasks, units, pools }, pieces, doubts, wall: minutesFrom(outage, outage.endsAt), now };
}
