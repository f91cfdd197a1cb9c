import type { Text } from '../../message/message.ts';
import { isMessage, textKey } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { both, spanAt, workedUntil } from './calendar.ts';
import { M } from './messages.ts';
import type { Network, Placed, Span } from './network.ts';

/** A network in numbers: tasks, hands and pools by their place in the lists. */
export type Compiled = {
  n: number;
  ids: string[];
  minutes: number[];
  from: number[];
  after: Array<ReadonlyArray<readonly [task: number, wait: number]>>;
  next: Array<ReadonlyArray<readonly [task: number, wait: number]>>;
  hands: Array<ReadonlyArray<{ of: readonly number[]; count: number }>>;
  pools: Array<ReadonlyArray<readonly [pool: number, count: number]>>;
  within: Array<readonly Span[] | null>;
  pauses: boolean[];
  fixed: Array<{ start: number; finish: number | null; units: readonly number[] | null } | null>;
  group: number[];
  units: Array<{ id: string; shifts: readonly Span[] }>;
  /** How many tasks could use a hand: the one fewest want is taken first. */
  wanted: number[];
  stock: Array<{ id: string; count: number; spans: readonly Span[] | null }>;
};

/** @throws RangeError where the network names what is not there; see `faultsOf` for sentences */
export function compile({ tasks, units, pools }: Network): Compiled {
  const at = new Map(tasks.map((t, i) => [t.id, i]));
  const unitAt = new Map(units.map((u, i) => [u.id, i]));
  const poolAt = new Map(pools.map((p, i) => [p.id, i]));
  const find = (map: Map<string, number>, id: string): number => {
    const i = map.get(id);
    if (i === undefined) throw new MessageError(M.notThere({ id }));
    return i;
  };
  const after = tasks.map((t) => t.after.map((a) => [find(at, a.id), a.wait ?? 0] as const));
  const next: Array<Array<readonly [number, number]>> = tasks.map(() => []);
  after.forEach((list, i) => {
    for (const [a, wait] of list) next[a]?.push([i, wait]);
  });
  const hands = tasks.map((t) =>
    (t.hands ?? []).map((h) => {
      const able = h.of.flatMap((u) => (unitAt.has(u) ? [find(unitAt, u)] : []));
      const pinned = (t.by ?? []).flatMap((u) => (unitAt.has(u) ? [find(unitAt, u)] : []));
      const of = pinned.filter((u) => able.includes(u));
      // Pinned hands first; others only fill up where more are needed.
      return { of: of.length >= h.count ? of : able, count: h.count };
    }),
  );
  // Calendars that are alike are one, so that what two have in common is worked out once.
  const seen = new Map<string, readonly Span[]>();
  const one = (spans: readonly Span[]): readonly Span[] => {
    const key = spans.join(';');
    const same = seen.get(key) ?? spans;
    seen.set(key, same);
    return same;
  };
  const groups = [...new Set(tasks.map((t) => t.group ?? t.id))];
  const wanted = units.map((_, u) => hands.filter((list) => list.some((h) => h.of.includes(u))).length);
  return {
    n: tasks.length,
    ids: tasks.map((t) => t.id),
    minutes: tasks.map((t) => t.minutes),
    from: tasks.map((t) => t.from ?? 0),
    after,
    next,
    hands,
    pools: tasks.map((t) =>
      Object.entries(t.pools ?? {}).flatMap(([p, c]) => (c > 0 ? [[find(poolAt, p), c] as const] : [])),
    ),
    within: tasks.map((t) => (t.within ? one(t.within) : null)),
    pauses: tasks.map((t) => t.pauses ?? false),
    fixed: tasks.map((t) =>
      t.fixed
        ? {
            start: t.fixed.start,
            finish: t.fixed.finish ?? null,
            units: t.fixed.units?.flatMap((u) => (unitAt.has(u) ? [find(unitAt, u)] : [])) ?? null,
          }
        : null,
    ),
    group: tasks.map((t) => groups.indexOf(t.group ?? t.id)),
    units: units.map((u) => ({ id: u.id, shifts: one(u.shifts) })),
    wanted,
    stock: pools.map((p) => ({ id: p.id, count: p.count, spans: p.spans ?? null })),
  };
}

/** A plan in numbers. `why` says of a task what kept it from where it was fixed, or from being placed at all. */
export type Plan = {
  start: number[];
  finish: number[];
  units: Array<readonly number[]>;
  end: number;
  broken: Array<{ task: number; why: Text }>;
};

type Booking = { start: number; finish: number };
const NEVER = Number.POSITIVE_INFINITY;

/** The hours two calendars share, remembered: a plan asks for the same few thousands of times. */
const overlaid = new WeakMap<readonly Span[], WeakMap<readonly Span[], readonly Span[]>>();
function shared(a: readonly Span[], b: readonly Span[]): readonly Span[] {
  if (a === b) return a;
  let of = overlaid.get(a);
  if (!of) {
    of = new WeakMap();
    overlaid.set(a, of);
  }
  let spans = of.get(b);
  if (!spans) {
    spans = both(a, b);
    of.set(b, spans);
  }
  return spans;
}

/** Bookings of one hand, in order. */
function book(list: Booking[], b: Booking): void {
  let i = list.length;
  while (i > 0 && (list[i - 1] as Booking).start > b.start) i--;
  list.splice(i, 0, b);
}

/** The first booking that ends after `t`, by halving: most of a long list lies behind. */
function bookedAfter(list: readonly Booking[], t: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if ((list[mid] as Booking).finish <= t) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** When a hand can begin so much work at the earliest from `t`, and when it would be done. */
function fit(
  shifts: readonly Span[],
  booked: readonly Booking[],
  t: number,
  minutes: number,
  pauses: boolean,
): readonly [start: number, finish: number] {
  let at = t;
  for (;;) {
    const s = spanAt(shifts, at);
    const span = shifts[s];
    if (!span) return [NEVER, NEVER];
    at = Math.max(at, span[0]);
    const finish = pauses ? workedUntil(shifts, at, minutes) : at + minutes;
    if (finish === NEVER) return [NEVER, NEVER];
    if (!pauses && finish > span[1]) {
      at = span[1];
      continue;
    }
    const clash = booked[bookedAfter(booked, at)];
    if (clash && clash.start < finish) {
      at = clash.finish;
      continue;
    }
    return [at, finish];
  }
}

/**
 * The serial schedule generation scheme: tasks in the order of their priority, each as early as those before it, hands, tools and its
 * machine's windows let it; what is fixed is laid down first.
 * Source: J. E. Kelley, The Critical-Path Method: Resources Planning and Scheduling, 1963; R. Kolisch, Serial and parallel
 * resource-constrained project scheduling methods revisited, 1996.
 * @param priority smaller goes first; those before a task go before it whatever their priority
 * @param free hands and tools without end: the earliest each could lie, calendars counted
 */
export function place(c: Compiled, priority: ArrayLike<number>, free = false): Plan {
  const plan: Plan = {
    start: new Array<number>(c.n).fill(0),
    finish: new Array<number>(c.n).fill(0),
    units: new Array<readonly number[]>(c.n).fill([]),
    end: 0,
    broken: [],
  };
  const booked: Booking[][] = c.units.map(() => []);
  const drawn: Array<Array<Booking & { count: number }>> = c.stock.map(() => []);
  const lastOf = new Map<number, readonly number[]>();

  const take = (i: number, start: number, finish: number, units: readonly number[]) => {
    plan.start[i] = start;
    plan.finish[i] = finish;
    plan.units[i] = units;
    if (finish !== NEVER) plan.end = Math.max(plan.end, finish);
    lastOf.set(c.group[i] ?? i, units);
    if (free || finish === start) return;
    for (const u of units) book(booked[u] as Booking[], { start, finish });
    for (const [p, count] of c.pools[i] ?? []) drawn[p]?.push({ start, finish, count });
  };

  /** The first moment from `start` on at which a pool might have enough, `start` itself where it has for all of the time. */
  const poolFrom = (p: number, count: number, start: number, finish: number): number => {
    const stock = c.stock[p] as Compiled['stock'][number];
    // More than there are at all: no waiting helps.
    if (count > stock.count) return NEVER;
    if (stock.spans) {
      const span = stock.spans[spanAt(stock.spans, start)];
      if (!span) return NEVER;
      if (start < span[0]) return span[0];
      if (finish > span[1]) return stock.spans[spanAt(stock.spans, span[1])]?.[0] ?? NEVER;
    }
    const over = (drawn[p] ?? []).filter((d) => d.start < finish && d.finish > start);
    if (over.length === 0) return start;
    // Used most at one of their beginnings.
    let soonest = NEVER;
    for (const at of [start, ...over.map((d) => d.start).filter((s) => s > start)]) {
      const there = over.filter((d) => d.start <= at && d.finish > at);
      const used = there.reduce((sum, d) => sum + d.count, 0);
      if (used + count <= stock.count) continue;
      soonest = Math.min(...there.map((d) => d.finish));
      return Math.max(soonest, start + 1e-9);
    }
    return start;
  };

  const choose = (i: number, t: number): { start: number; finish: number; units: number[] } | null => {
    const minutes = c.minutes[i] ?? 0;
    const pauses = c.pauses[i] ?? false;
    const within = c.within[i];
    let at = t;
    for (let tries = 0; tries < 10_000; tries++) {
      if (at === NEVER) return null;
      let finish = at + minutes;
      const units: number[] = [];
      let late = at;
      for (const need of c.hands[i] ?? []) {
        const fits = need.of
          .filter((u) => !units.includes(u))
          .map((u) => {
            const shifts = (c.units[u] as Compiled['units'][number]).shifts;
            const own = within && pauses ? shared(shifts, within) : shifts;
            const [start, end] = fit(own, free ? [] : (booked[u] as Booking[]), at, minutes, pauses);
            return { u, start, end };
          });
        if (fits.length < need.count) return null;
        const starts = fits.map((f) => f.start).sort((a, b) => a - b);
        const able = fits.filter((f) => f.start <= at);
        if (able.length < need.count) {
          late = Math.max(late, starts[need.count - 1] ?? NEVER);
          continue;
        }
        const mine = lastOf.get(c.group[i] ?? i) ?? [];
        able.sort(
          (a, b) =>
            a.end - b.end ||
            Number(mine.includes(b.u)) - Number(mine.includes(a.u)) ||
            (c.wanted[a.u] ?? 0) - (c.wanted[b.u] ?? 0) ||
            a.u - b.u,
        );
        for (const f of able.slice(0, need.count)) {
          units.push(f.u);
          finish = Math.max(finish, f.end);
        }
      }
      if (late > at) {
        at = late;
        continue;
      }
      if (pauses && units.length > 1) {
        // They rest and go on together.
        const common = units.map((u) => (c.units[u] as Compiled['units'][number]).shifts).reduce(shared);
        const own = within ? shared(common, within) : common;
        const [start, end] = fit(
          own,
          free ? [] : units.flatMap((u) => booked[u] ?? []).sort((a, b) => a.start - b.start),
          at,
          minutes,
          true,
        );
        if (start > at) {
          at = start;
          continue;
        }
        finish = end;
      }
      if (within) {
        const span = within[spanAt(within, at)];
        if (!span) return null;
        if (at < span[0]) {
          at = span[0];
          continue;
        }
        // Work with hands that may rest goes on in the next window; what waits, and what may not rest, lies in one.
        if (finish > span[1] && !(pauses && units.length > 0)) {
          at = within[spanAt(within, span[1])]?.[0] ?? NEVER;
          continue;
        }
      }
      if (!free && finish > at) {
        let wait = at;
        for (const [p, count] of c.pools[i] ?? []) wait = Math.max(wait, poolFrom(p, count, at, finish));
        if (wait > at) {
          at = wait === NEVER ? NEVER : Math.ceil(wait);
          continue;
        }
      }
      return { start: at, finish, units };
    }
    return null;
  };

  for (let i = 0; i < c.n; i++) {
    const fixed = c.fixed[i];
    if (!fixed) continue;
    const found = fixed.finish === null || fixed.units === null ? choose(i, fixed.start) : null;
    const units = fixed.units ?? found?.units ?? [];
    const ends =
      fixed.finish ??
      (found && found.start === fixed.start
        ? found.finish
        : units.length > 0 && c.pauses[i]
          ? workedUntil(
              (c.units[units[0] ?? 0] as Compiled['units'][number]).shifts,
              fixed.start,
              c.minutes[i] ?? 0,
            )
          : fixed.start + (c.minutes[i] ?? 0));
    // Pinned, not begun: somebody must be at work and free there, and what it needs too.
    if (fixed.finish === null && found?.start !== fixed.start)
      plan.broken.push({ task: i, why: M.doesNotFitThereHands });
    take(i, fixed.start, ends, units);
  }

  const left = c.after.map((a) => a.length);
  const ready: number[] = [];
  for (let i = 0; i < c.n; i++) if (left[i] === 0) ready.push(i);
  for (let done = 0; done < c.n; done++) {
    let best = 0;
    for (let k = 1; k < ready.length; k++) {
      const [a, b] = [ready[k] as number, ready[best] as number];
      const by = (priority[a] ?? 0) - (priority[b] ?? 0);
      if (by < 0 || (by === 0 && a < b)) best = k;
    }
    const i = ready[best];
    if (i === undefined) throw new MessageError(M.tasksWaitEachOtherCircle);
    ready[best] = ready.at(-1) as number;
    ready.pop();
    let earliest = c.from[i] ?? 0;
    for (const [a, wait] of c.after[i] ?? []) earliest = Math.max(earliest, (plan.finish[a] ?? 0) + wait);
    const fixed = c.fixed[i];
    if (fixed) {
      // What has been begun stood before what it should have waited for: that is so, and no plan changes it.
      if (fixed.finish === null && earliest > fixed.start + 1e-6) {
        const [holds] = [...(c.after[i] ?? [])].sort(
          (a, b) => (plan.finish[b[0]] ?? 0) + b[1] - (plan.finish[a[0]] ?? 0) - a[1],
        );
        plan.broken.push({ task: i, why: holds ? M.waits({ id: c.ids[holds[0]] }) : M.mayNotBeginSoEarly });
      }
    } else if (earliest === NEVER) {
      plan.broken.push({ task: i, why: M.waitsWhatHasNoPlace });
      take(i, NEVER, NEVER, []);
    } else {
      const found = choose(i, earliest);
      if (found) take(i, found.start, found.finish, found.units);
      else {
        plan.broken.push({ task: i, why: M.hasNoPlaceNoHands });
        take(i, NEVER, NEVER, []);
      }
    }
    for (const [then] of c.next[i] ?? []) {
      const n = (left[then] ?? 0) - 1;
      left[then] = n;
      if (n === 0) ready.push(then);
    }
  }
  return plan;
}

/** A plan by names, in the order of its starts. A task without a place is left out: it is named among what is broken. */
export const named = (c: Compiled, plan: Plan): Placed[] =>
  c.ids
    .map((id, i) => ({
      id,
      start: plan.start[i] ?? 0,
      finish: plan.finish[i] ?? 0,
      units: (plan.units[i] ?? []).map((u) => c.units[u]?.id ?? ''),
    }))
    .filter((p) => Number.isFinite(p.start) && Number.isFinite(p.finish))
    .sort((a, b) => a.start - b.start || a.id.localeCompare(b.id));

/** The task a broken one waits for, by why it is broken; null where it is another reason. */
export const waitedFor = (why: Text): string | null =>
  isMessage(why) && why.id === M.waits.id ? textKey(why.params.id) : null;

/** Whether a task is broken because nobody, nothing and no window takes it. */
export const isWithoutPlace = (why: Text): boolean => isMessage(why) && why.id === M.hasNoPlaceNoHands.id;
