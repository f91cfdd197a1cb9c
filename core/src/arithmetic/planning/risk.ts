import { below, normal, randomFrom } from '../../metrology/random.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { spanAt, workedUntil } from './calendar.ts';
import { M } from './messages.ts';
import type { Network, Placed, Span } from './network.ts';

/** Least, most likely and most minutes of a task; work added where something is found, and how often it is. */
export type Doubt = {
  id: string;
  least: number;
  likely: number;
  most: number;
  found?: { odds: number; least: number; likely: number; most: number } | undefined;
};

export type Risk = {
  draws: number;
  /** Share of draws done by the deadline, and the ends’ 5, 50 and 95 of 100. */
  chance: number;
  ends: { p5: number; p50: number; p95: number };
  /** Of each group: share done by the deadline; how often it was what held up the end in draws that were late, and in all. */
  groups: Array<{ group: string; chance: number; threatens: number; onPath: number }>;
};

/**
 * How far durations go together: what makes one task of an outage long (weather, a crane, a crowd) makes the others so, and so does
 * whoever works slowly. Shares of the variance, from memory; without them a chance is told too surely.
 */
export const TOGETHER = { outage: 0.15, person: 0.3 } as const;

/** A triangular draw by the inverse of its distribution. @param u 0 to 1 */
export function triangular(u: number, least: number, likely: number, most: number): number {
  const width = most - least;
  if (width <= 0) return likely;
  const peak = (likely - least) / width;
  return u < peak
    ? least + Math.sqrt(u * width * (likely - least))
    : most - Math.sqrt((1 - u) * width * (most - likely));
}

/**
 * How likely a plan is done by the deadline: durations drawn again and again, the crew following the plan’s order. Each task begins when those
 * it waits for, those its hands do before it, and those who have its tools before it are done; nobody skips ahead.
 * Durations go together as `TOGETHER` says.
 * Source: Monte Carlo of a scheduled network, as R. M. Van Slyke, 1963; a common factor, any text on portfolio risk.
 * @param wall minutes from the start
 */
export function lateRisk(
  network: Network,
  placed: readonly Placed[],
  doubts: readonly Doubt[],
  wall: number,
  {
    draws = 10_000,
    seed = 1,
    together = TOGETHER,
  }: { draws?: number; seed?: number; together?: { outage: number; person: number } } = {},
): Risk {
  const order = placed.filter((p) => Number.isFinite(p.start));
  const at = new Map(order.map((p, i) => [p.id, i]));
  const tasks = new Map(network.tasks.map((t) => [t.id, t]));
  const shiftsOf = new Map(network.units.map((u) => [u.id, u.shifts]));
  const doubtOf = new Map(doubts.map((d) => [d.id, d]));
  const n = order.length;
  const before: Array<Array<readonly [task: number, wait: number]>> = order.map(() => []);
  const lastOf = new Map<string, number>();
  // A pool’s places, each with who had it last: the plan’s own order hands them on.
  const places = new Map(network.pools.map((p) => [p.id, new Array<number>(p.count).fill(-1)]));
  const shifts: Array<readonly Span[] | null> = [];
  order.forEach((p, i) => {
    const task = tasks.get(p.id);
    if (!task) throw new MessageError(M.planNotNetwork({ id: p.id }));
    const mine = before[i] as Array<readonly [number, number]>;
    for (const a of task.after) {
      const j = at.get(a.id);
      if (j !== undefined && j !== i) mine.push([j, a.wait ?? 0]);
    }
    for (const u of p.units) {
      const j = lastOf.get(u);
      if (j !== undefined) mine.push([j, 0]);
      lastOf.set(u, i);
    }
    for (const [pool, count] of Object.entries(task.pools ?? {})) {
      const slots = places.get(pool) ?? [];
      const free = [...slots.keys()].sort((a, b) => {
        const end = (s: number) => (slots[s] === -1 ? -1 : (order[slots[s] as number]?.finish ?? 0));
        return end(a) - end(b);
      });
      for (const s of free.slice(0, count)) {
        const j = slots[s] as number;
        if (j >= 0) mine.push([j, 0]);
        slots[s] = i;
      }
    }
    shifts.push(p.units.length > 0 ? (shiftsOf.get(p.units[0] as string) ?? null) : null);
  });
  const fixed = order.map((p) => tasks.get(p.id)?.fixed ?? null);
  const from = order.map((p) => tasks.get(p.id)?.from ?? 0);
  const pauses = order.map((p) => tasks.get(p.id)?.pauses ?? false);
  const within = order.map((p) => tasks.get(p.id)?.within ?? null);
  const group = order.map((p) => tasks.get(p.id)?.group ?? p.id);
  const groups = [...new Set(group)];
  const groupAt = group.map((g) => groups.indexOf(g));
  const random = randomFrom(seed);
  const people = [...new Set(order.map((p) => p.units[0] ?? ''))].filter((u) => u !== '');
  const personAt = order.map((p) => people.indexOf(p.units[0] ?? ''));
  const slow = new Float64Array(people.length);
  const [ofOutage, ofPerson] = [Math.sqrt(together.outage), Math.sqrt(together.person)];
  const apart = together.outage + together.person > 0;
  // Of one task alone, of its person, of the outage: a normal deviate again, and even through its distribution.
  const drawn = (i: number, outage: number): number => {
    if (!apart) return random();
    const who = personAt[i] as number;
    const shared = ofOutage * outage + (who < 0 ? 0 : ofPerson * (slow[who] as number));
    const own = Math.sqrt(1 - together.outage - (who < 0 ? 0 : together.person));
    return below(shared + own * normal(random));
  };
  const ends = new Float64Array(draws);
  const inTime = new Float64Array(groups.length);
  const onPath = new Float64Array(groups.length);
  const threat = new Float64Array(groups.length);
  const finish = new Float64Array(n);
  const held = new Int32Array(n);
  const groupEnd = new Float64Array(groups.length);
  let late = 0;
  for (let d = 0; d < draws; d++) {
    groupEnd.fill(0);
    const outage = apart ? normal(random) : 0;
    if (apart) for (let k = 0; k < slow.length; k++) slow[k] = normal(random);
    let end = 0;
    let last = -1;
    for (let i = 0; i < n; i++) {
      const doubt = doubtOf.get(order[i]?.id ?? '');
      const task = tasks.get(order[i]?.id ?? '');
      let minutes = doubt
        ? triangular(drawn(i, outage), doubt.least, doubt.likely, doubt.most)
        : (task?.minutes ?? 0);
      if (doubt?.found) {
        const happens = random();
        const u = random();
        if (happens < doubt.found.odds)
          minutes += triangular(u, doubt.found.least, doubt.found.likely, doubt.found.most);
      }
      let start = from[i] as number;
      let by = -1;
      for (const [j, wait] of before[i] as Array<readonly [number, number]>)
        if ((finish[j] as number) + wait > start) {
          start = (finish[j] as number) + wait;
          by = j;
        }
      const stands = fixed[i];
      if (stands?.finish != null) {
        finish[i] = stands.finish;
        held[i] = -1;
      } else {
        if (stands && start < stands.start) {
          start = stands.start;
          by = -1;
        }
        const f = seenThrough(
          start,
          task?.minutes ?? 0,
          minutes,
          shifts[i] ?? null,
          pauses[i] as boolean,
          within[i] ?? null,
        );
        finish[i] = f;
        held[i] = by;
      }
      const g = groupAt[i] as number;
      const f = finish[i] as number;
      if (f > (groupEnd[g] as number)) groupEnd[g] = f;
      if (f > end) {
        end = f;
        last = i;
      }
    }
    ends[d] = end;
    const isLate = end > wall + 1e-6;
    if (isLate) late++;
    for (let g = 0; g < groups.length; g++)
      if ((groupEnd[g] as number) <= wall + 1e-6) inTime[g] = (inTime[g] as number) + 1;
    // Back along what held up what, to the beginning.
    const seen = new Set<number>();
    for (let i = last; i >= 0; i = held[i] as number) seen.add(groupAt[i] as number);
    for (const g of seen) {
      onPath[g] = (onPath[g] as number) + 1;
      if (isLate) threat[g] = (threat[g] as number) + 1;
    }
  }
  ends.sort();
  const quantile = (q: number) => ends[Math.min(draws - 1, Math.floor(q * draws))] ?? 0;
  return {
    draws,
    chance: 1 - late / draws,
    ends: { p5: quantile(0.05), p50: quantile(0.5), p95: quantile(0.95) },
    groups: groups
      .map((g, i) => ({
        group: g,
        chance: (inTime[i] as number) / draws,
        threatens: late === 0 ? 0 : (threat[i] as number) / late,
        onPath: (onPath[i] as number) / draws,
      }))
      .sort((a, b) => b.threatens - a.threatens || b.onPath - a.onPath),
  };
}

/**
 * When work that may begin at `start` is done. Nobody knows beforehand how long it will take: it is begun where what was planned would
 * fit, and seen through.
 */
function seenThrough(
  start: number,
  planned: number,
  minutes: number,
  shifts: readonly Span[] | null,
  pauses: boolean,
  within: readonly Span[] | null,
): number {
  const fits = (spans: readonly Span[], at: number): number => {
    for (let k = spanAt(spans, at); k < spans.length; k++) {
      const [f, t] = spans[k] as Span;
      if (t - Math.max(f, at) >= planned) return Math.max(f, at);
    }
    return at;
  };
  let at = start;
  if (within && !(pauses && shifts)) at = fits(within, at);
  if (!shifts) return at + minutes;
  if (!pauses) return fits(shifts, at) + minutes;
  const done = workedUntil(shifts, at, minutes);
  return Number.isFinite(done) ? done : at + minutes;
}
