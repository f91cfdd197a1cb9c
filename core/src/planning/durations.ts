import type { JobEvent } from '../engine/events.ts';
import type { TradeTask } from '../engine/slots.ts';

/** Longer than this between two entries is a break, not work. */
export const BREAK_MINUTES = 60;
/** Fewer sheets than this tell nothing of a trade yet. */
export const LEAST_SHEETS = 3;
/** A piece entered in less than this share of the least it can take was written up afterwards: its times tell nothing. Our own choice. */
const WRITTEN_UP = 0.1;
/** Fewer than this tell how long it takes mostly, and not yet how far it may stray. */
const FOR_SPREAD = 12;

export type Duration = {
  least: number;
  likely: number;
  most: number;
  /** How many of the plant’s own sheets it is from; 0: common practice. */
  sheets: number;
  /** How often something was found there on the plant’s own sheets; left out where they are too few to say. */
  odds?: number;
};

/** Fewer sheets than this say nothing of how often something is found. */
export const FOR_ODDS = 8;

/** The step an event belongs to; null where it belongs to none. */
const stepOf = (e: JobEvent): string | null => {
  const data = e.data as { step?: unknown };
  return typeof data.step === 'string' ? data.step : null;
};

/**
 * Minutes worked on each step of a job, by the times of its events: what lies between two entries belongs to the step of the later one;
 * what is longer than an hour is a break and belongs to nobody.
 */
export function workedByStep(events: readonly JobEvent[]): Map<string, number> {
  const minutes = new Map<string, number>();
  let before: number | null = null;
  for (const e of events) {
    const at = Date.parse(e.at);
    const step = stepOf(e);
    const gap = before === null ? 0 : (at - before) / 60_000;
    if (step && gap > 0 && gap <= BREAK_MINUTES) minutes.set(step, (minutes.get(step) ?? 0) + gap);
    before = at;
  }
  return minutes;
}

/** Does a piece’s list of steps name this one? */
export const named = (pattern: string, step: string): boolean => {
  const [head = '', tail] = pattern.split('*');
  return tail === undefined ? pattern === step : step.startsWith(head) && step.endsWith(tail);
};

/** Steps of the work by the piece they belong to. One nobody names belongs to the piece before it. */
export function stepsOf(
  tasks: readonly TradeTask[],
  steps: readonly string[],
): Array<{ task: TradeTask; steps: string[] }> {
  const out = tasks.map((task) => ({ task, steps: [] as string[] }));
  let last = out[0];
  for (const step of steps) {
    const mine = out.find((t) => t.task.steps.some((p) => named(p, step)));
    (mine ?? last)?.steps.push(step);
    // Chapter one of every job comes first; what follows it is told by what is named.
    if (mine) last = mine;
  }
  return out.filter((t) => t.steps.length > 0);
}

/** Steps at which something was found: measured anew after something was done about it, or accepted as a deviation. */
export const foundAt = (events: readonly JobEvent[]): Set<string> =>
  new Set(
    events.flatMap((e) =>
      e.type === 'measure.repeated' || e.type === 'deviation.accepted' ? [e.data.step] : [],
    ),
  );

/**
 * How often something was found at a piece, by the plant’s own sheets that had it; null where they are too few.
 * Source: the Jeffreys estimate of a share, (k + ½)/(n + 1); none found in ten is not never.
 */
export function oddsOf(
  task: TradeTask,
  sheets: ReadonlyArray<{ minutes: ReadonlyMap<string, number>; found: ReadonlySet<string> }>,
): number | null {
  const mine = (steps: Iterable<string>) => [...steps].some((s) => task.steps.some((p) => named(p, s)));
  const had = sheets.filter((s) => mine(s.minutes.keys()));
  if (!task.finds || had.length < FOR_ODDS) return null;
  return (had.filter((s) => mine(s.found)).length + 0.5) / (had.length + 1);
}

const quantile = (sorted: readonly number[], q: number): number => {
  const at = q * (sorted.length - 1);
  const [a, b] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return a + (b - a) * (at - Math.floor(at));
};

/**
 * How long the pieces of a trade take, from the plant’s own sheets where there are enough: the median, and the tenth and ninetieth of a
 * hundred, a piece at least a minute; common practice, from the trade itself, where there are fewer than three. Under a dozen sheets the
 * spread is no narrower than common practice has it, in proportion: three jobs alike prove nothing about the fourth.
 * @param sheets of each signed job, minutes by step
 */
export function durationsOf(
  tasks: readonly TradeTask[],
  sheets: ReadonlyArray<ReadonlyMap<string, number>>,
): Record<string, Duration> {
  return Object.fromEntries(
    tasks.map((task): [string, Duration] => {
      const took = sheets
        .map((s) =>
          [...s].reduce((sum, [step, m]) => sum + (task.steps.some((p) => named(p, step)) ? m : 0), 0),
        )
        .filter((m) => m > 0 && m >= WRITTEN_UP * task.minutes[0])
        .sort((a, b) => a - b);
      if (took.length < LEAST_SHEETS) {
        const [least, likely, most] = task.minutes;
        return [task.id, { least, likely, most, sheets: 0 }];
      }
      const likely = Math.max(1, quantile(took, 0.5));
      const [least, usual, most] = task.minutes;
      const few = took.length < FOR_SPREAD;
      return [
        task.id,
        {
          least: Math.max(1, Math.min(likely, quantile(took, 0.1), few ? (likely * least) / usual : likely)),
          likely,
          most: Math.max(likely, quantile(took, 0.9), few ? (likely * most) / usual : likely),
          sheets: took.length,
        },
      ];
    }),
  );
}
