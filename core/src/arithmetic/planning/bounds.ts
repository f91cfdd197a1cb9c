import type { Text } from '../../message/message.ts';
import { listOf } from '../../message/message.ts';
import { minutesIn } from './calendar.ts';
import { M } from './messages.ts';
import type { Span } from './network.ts';
import { type Compiled, place } from './place.ts';

/** What cannot be beaten, and what says so. */
export type Bound = { end: number; by: Text };

/** So much of something between two moments, and when so much of it is worked off at the earliest. */
type Capacity = { name: Text; spans: ReadonlyArray<readonly [readonly Span[] | null, count: number]> };

/** When `work` minutes are worked off at the earliest from `a`, all of a capacity at it. */
function workedOff({ spans }: Capacity, a: number, work: number): number {
  const rate = spans.reduce((sum, [s, count]) => sum + (s === null ? count : 0), 0);
  const timed = spans.filter((s): s is readonly [readonly Span[], number] => s[0] !== null);
  if (timed.length === 0) return rate > 0 ? a + work / rate : Number.POSITIVE_INFINITY;
  const done = (t: number) =>
    rate * (t - a) + timed.reduce((sum, [s, count]) => sum + count * minutesIn(s, a, t), 0);
  const end = Math.max(...timed.map(([s]) => s.at(-1)?.[1] ?? 0));
  if (done(end) < work) return rate > 0 ? a + work / rate : Number.POSITIVE_INFINITY;
  let [low, high] = [a, end];
  // Whole minutes suffice: nothing begins between them.
  while (high - low > 0.5) {
    const mid = (low + high) / 2;
    if (done(mid) < work) low = mid;
    else high = mid;
  }
  return Math.floor(low);
}

/**
 * A time no plan can be done before: the longer of the critical path, calendars counted, and of the work on each tool and each set of
 * hands, with what must come before it and after it.
 * Source: the energy argument of A. Mingozzi and others, 1998, in its plain form; heads and tails after J. Carlier, 1982.
 */
export function lowerBound(c: Compiled): Bound {
  const alone = place(c, new Float64Array(c.n), true);
  const heads = alone.start;
  const tails = new Array<number>(c.n).fill(0);
  // Latest first: what comes after a task stands before it in this order.
  const order = [...heads.keys()].sort(
    (a, b) => (alone.finish[b] ?? 0) - (alone.finish[a] ?? 0) || (heads[b] ?? 0) - (heads[a] ?? 0),
  );
  for (let pass = 0; pass < 2; pass++)
    for (const i of order)
      for (const [then, wait] of c.next[i] ?? [])
        tails[i] = Math.max(tails[i] ?? 0, wait + (c.minutes[then] ?? 0) + (tails[then] ?? 0));
  let best: Bound = { end: alone.end, by: M.longestChain };
  const better = (end: number, by: Text) => {
    if (Number.isFinite(end) && end > best.end + 1e-6) best = { end, by };
  };
  const energy = (capacity: Capacity, mine: Array<readonly [task: number, work: number]>) => {
    const byTail = [...mine].sort((a, b) => (tails[b[0]] ?? 0) - (tails[a[0]] ?? 0));
    for (const from of new Set(mine.map(([i]) => heads[i] ?? 0))) {
      let work = 0;
      for (const [i, w] of byTail) {
        if ((heads[i] ?? 0) < from) continue;
        work += w;
        better(workedOff(capacity, from, work) + (tails[i] ?? 0), capacity.name);
      }
    }
  };
  c.stock.forEach((stock, p) => {
    const mine = [...c.ids.keys()].flatMap((i) =>
      (c.pools[i] ?? [])
        .filter(([q]) => q === p)
        .map(([, count]) => [i, count * (c.minutes[i] ?? 0)] as const),
    );
    if (mine.length > 0) energy({ name: stock.id, spans: [[stock.spans, stock.count]] }, mine);
  });
  const sets = new Map<string, readonly number[]>();
  for (const list of c.hands) for (const h of list) sets.set([...h.of].sort((a, b) => a - b).join(), h.of);
  if (c.units.length > 0) sets.set('all', [...c.units.keys()]);
  for (const [key, set] of sets) {
    const mine = [...c.ids.keys()].flatMap((i) => {
      const count = (c.hands[i] ?? []).reduce(
        (sum, h) => sum + (h.of.every((u) => set.includes(u)) ? h.count : 0),
        0,
      );
      return count > 0 ? [[i, count * (c.minutes[i] ?? 0)] as const] : [];
    });
    const name =
      key === 'all'
        ? M.allHands
        : listOf(
            set.map((u) => c.units[u]?.id ?? ''),
            ', ',
          );
    if (mine.length > 0)
      energy({ name, spans: set.map((u) => [c.units[u]?.shifts ?? [], 1] as const) }, mine);
  }
  return best;
}
