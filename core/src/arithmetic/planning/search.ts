import type { Text } from '../../message/message.ts';
import { randomFrom } from '../../metrology/random.ts';
import { type Bound, lowerBound } from './bounds.ts';
import type { Network, Placed, Span } from './network.ts';
import { type Compiled, compile, named, type Plan, place } from './place.ts';

export type Planned = {
  placed: Placed[];
  end: number;
  bound: Bound;
  /** How far above the bound it stands, as a share of the bound. */
  gap: number;
  broken: Array<{ task: string; why: Text }>;
  /** Plans looked at. */
  looked: number;
  /** It went on until the bound was reached, or until it was told to stop. */
  proven: boolean;
};

/** What a plan costs: nothing may be broken, then the end counts, then that all is early. */
export function costOf(c: Compiled, plan: Plan): number {
  const mean = plan.finish.reduce((sum, f) => sum + (Number.isFinite(f) ? f : 0), 0) / Math.max(1, c.n);
  return plan.broken.length * 1e9 + plan.end + 1e-4 * mean;
}

/** The same work told backwards from `end`: shifts and windows in the mirror. */
function mirrored(c: Compiled, end: number): Compiled {
  const turn = (spans: readonly Span[]): Span[] =>
    spans.map(([f, t]) => [end - t, end - f] as const).reverse();
  return {
    ...c,
    from: c.from.map(() => 0),
    after: c.next,
    next: c.after,
    within: c.within.map((w) => w && turn(w)),
    fixed: c.fixed.map(
      (f) => f && { start: end - (f.finish ?? f.start), finish: end - f.start, units: f.units },
    ),
    units: c.units.map((u) => ({ ...u, shifts: turn(u.shifts) })),
    stock: c.stock.map((s) => ({ ...s, spans: s.spans && turn(s.spans) })),
  };
}

/**
 * Forward and backward improvement: all as late as it will go without moving the end, then all as early again.
 * Source: K. Y. Li, R. J. Willis, An iterative scheduling technique, 1992; A. Sprecher and others call it justification.
 */
export function improved(c: Compiled, plan: Plan): Plan {
  if (plan.broken.length > 0 || !Number.isFinite(plan.end)) return plan;
  let best = plan;
  for (let round = 0; round < 3; round++) {
    // With something begun, its end is known only where it lies; the mirror needs it.
    const known = {
      ...c,
      fixed: c.fixed.map(
        (f, i) => f && { ...f, finish: best.finish[i] ?? f.finish, units: best.units[i] ?? f.units },
      ),
    };
    const back = place(
      mirrored(known, best.end),
      best.finish.map((f) => -f),
    );
    const again = place(
      c,
      back.finish.map((f) => -f),
    );
    if (costOf(c, again) >= costOf(c, best) - 1e-9) return best;
    best = again;
  }
  return best;
}

/** Rules a hand would plan by: what must be done soonest first, what holds up most, what takes longest. */
function rules(c: Compiled): number[][] {
  const free = place(c, new Float64Array(c.n), true);
  const tails = new Array<number>(c.n).fill(0);
  const order = [...c.ids.keys()].sort((a, b) => (free.finish[b] ?? 0) - (free.finish[a] ?? 0));
  const behind = new Array<number>(c.n).fill(0);
  for (const i of order)
    for (const [then, wait] of c.next[i] ?? []) {
      tails[i] = Math.max(tails[i] ?? 0, wait + (c.minutes[then] ?? 0) + (tails[then] ?? 0));
      behind[i] = (behind[i] ?? 0) + 1 + (behind[then] ?? 0);
    }
  const each = (f: (i: number) => number) => [...c.ids.keys()].map(f);
  return [
    each((i) => -(tails[i] ?? 0)), // latest finish
    each((i) => -(tails[i] ?? 0) - (c.minutes[i] ?? 0)), // latest start
    each((i) => -(behind[i] ?? 0)), // most behind it
    each((i) => -(c.minutes[i] ?? 0) - (c.next[i] ?? []).reduce((s, [t]) => s + (c.minutes[t] ?? 0), 0)), // greatest weight
    each((i) => free.start[i] ?? 0), // earliest start
  ];
}

/**
 * Look for a short plan, a bit at a time: by rules, by rules with luck, then by changing the best. Yields after each plan looked at, so
 * that whoever asks can show how far it is and stop it. The same seed looks at the same plans in the same order.
 */
export function* search(network: Network, seed = 1): Generator<Planned, Planned, void> {
  const c = compile(network);
  const bound = lowerBound(c);
  const random = randomFrom(seed);
  let best: Plan | null = null;
  let order: number[] = [];
  let looked = 0;
  const told = (): Planned => {
    const plan = best as Plan;
    const end = plan.end;
    return {
      placed: named(c, plan),
      end,
      bound,
      gap: bound.end > 0 ? Math.max(0, end / bound.end - 1) : 0,
      broken: plan.broken.map((b) => ({ task: c.ids[b.task] ?? '', why: b.why })),
      looked,
      proven: plan.broken.length === 0 && end <= bound.end + 1e-6,
    };
  };
  const take = (plan: Plan): boolean => {
    looked++;
    if (best && costOf(c, plan) >= costOf(c, best) - 1e-9) return false;
    best = plan;
    order = [...c.ids.keys()].sort((a, b) => (plan.start[a] ?? 0) - (plan.start[b] ?? 0));
    return true;
  };
  const done = () => best !== null && best.broken.length === 0 && best.end <= bound.end + 1e-6;

  const byRule = rules(c);
  for (const rule of byRule) {
    take(improved(c, place(c, rule)));
    yield told();
    if (done()) return told();
  }
  // By rules with luck: a rule’s order, shaken.
  for (let k = 0; k < 40; k++) {
    const rule = byRule[k % 2] as number[];
    const spread = (Math.max(...rule) - Math.min(...rule) || 1) * (0.05 + 0.3 * random());
    take(
      improved(
        c,
        place(
          c,
          rule.map((r) => r + spread * random()),
        ),
      ),
    );
    yield told();
    if (done()) return told();
  }
  // Changing the best: one or a few tasks elsewhere in its order. What is as good is gone on from, so that plateaus are crossed.
  let now = order;
  let cost = best ? costOf(c, best) : Number.POSITIVE_INFINITY;
  let idle = 0;
  for (;;) {
    const at = new Float64Array(c.n);
    now.forEach((i, k) => {
      at[i] = k;
    });
    const moves = 1 + Math.floor(random() * 3) + (idle > 200 ? 3 : 0);
    for (let m = 0; m < moves; m++) at[Math.floor(random() * c.n)] = random() * c.n;
    let plan = place(c, at);
    if (plan.end <= (best as unknown as Plan).end * 1.03) plan = improved(c, plan);
    const its = costOf(c, plan);
    if (its <= cost + (idle > 60 ? 0.004 * cost : 1e-9)) {
      cost = its;
      now = [...c.ids.keys()].sort((a, b) => (plan.start[a] ?? 0) - (plan.start[b] ?? 0));
    }
    if (take(plan)) idle = 0;
    else idle++;
    if (idle > 400) {
      now = order;
      cost = costOf(c, best as unknown as Plan);
      idle = 0;
    }
    yield told();
    if (done()) return told();
  }
}

/**
 * Look for a short plan until the bound is reached, so many plans are looked at, or the time is over.
 * @param looks most plans looked at: with it the result does not hang on how fast the machine is
 * @param seconds most time taken
 */
export function planned(
  network: Network,
  {
    seed = 1,
    looks = 400,
    seconds = Number.POSITIVE_INFINITY,
  }: { seed?: number; looks?: number; seconds?: number } = {},
): Planned {
  const until = Number.isFinite(seconds) ? Date.now() + 1000 * seconds : Number.POSITIVE_INFINITY;
  const bits = search(network, seed);
  for (let bit = bits.next(); ; bit = bits.next()) {
    if (bit.done || bit.value.looked >= looks || Date.now() >= until) return bit.value;
  }
}

/** A plan as it goes on: where each piece lies now, its end, what stands in its way. */
export type Carried = Pick<Planned, 'placed' | 'end' | 'broken'>;

/**
 * A plan carried on: the same order and, where they still can, the same hands, each as early as what has changed lets it. What a crew does
 * of itself when something runs late, or when one piece is pinned elsewhere.
 */
export function carriedOn(network: Network, placed: readonly Placed[]): Carried {
  const before = new Map(placed.map((p) => [p.id, p]));
  const kept: Network = {
    ...network,
    tasks: network.tasks.map((t) => {
      const mine = before.get(t.id)?.units ?? [];
      const able = new Set((t.hands ?? []).flatMap((h) => h.of));
      return t.by || mine.length === 0 || !mine.every((u) => able.has(u)) ? t : { ...t, by: mine };
    }),
  };
  const c = compile(kept);
  const plan = place(
    c,
    c.ids.map((id) => before.get(id)?.start ?? Number.POSITIVE_INFINITY),
  );
  return {
    placed: named(c, plan),
    end: plan.end,
    broken: plan.broken.map((b) => ({ task: c.ids[b.task] ?? '', why: b.why })),
  };
}

/** First come, first served: each task in the order it was written down, as early as it will go. What a plan is measured against. */
export function firstCome(network: Network): { placed: Placed[]; end: number } {
  const c = compile(network);
  const plan = place(c, [...c.ids.keys()]);
  return { placed: named(c, plan), end: plan.end };
}
