import { inQuadrature, resolutionUncertainty, sampleDeviation, studentT95 } from './uncertainty.ts';

/** How far one person's readings with a kind of gauge scatter, from their repeat check: standard deviation in the gauge's own unit. */
export type HandCard = { scatter: number; free: number };

/** What is known of a value read, beside the step of its gauge: who reads it how closely, and how often. All may be left out. */
export type Hand = {
  /** The repeat check of whoever read it; without one only the repeats tell how closely that person reads. */
  card?: HandCard | undefined;
  /** Readings the value is a mean of. */
  count?: number | undefined;
  /** Standard deviation of repeats about their means, with `free` degrees of freedom in it; several places may be pooled. */
  scatterMm?: number | undefined;
  free?: number | undefined;
  /** Do the readings of this value land on more than one step? */
  scattered?: boolean | undefined;
};

/** A value read, with the step of its gauge. */
export type Seen = Hand & {
  count: number;
  stepMm: number;
  /** 2 where each reading is the difference of two, else 1. */
  places?: 1 | 2 | undefined;
};

/**
 * How closely a person reads, judged. All in steps of the gauge; our own choices, each measured by `npm run proof -- uncertainty` for
 * people who scatter by 0.2 to 2 steps: ± holds in at least 94 of 100, and at most 4 of 100 truths on a limit are accepted.
 */
export const HANDS = {
  /** What a person scatters by as a rule: counts as one reading beside the ten of the check. */
  usual: 0.4,
  usualCounts: 1,
  /** Every ± is wider by so much, because the verdict is tried anew after each of up to five readings. */
  factor: 1.3,
  /** More readings than these make a mean no better known. */
  most: 5,
  /** Without a check one or two readings are known to ± so many steps. */
  unknown: 5,
  /** Without a check so many readings of one thing tell how closely it is read. */
  leastAlone: 3,
  /** Three that all show the same are known to ± a step, and never better, however often the same is read. */
  same: 1,
  /** Without a check no mean is known better than this. */
  least: 0.6,
} as const;

/** Scatter seen beyond so many times the card's variance overrules the card. Source: Fisher's F at 95 %, (free, 10), from memory. */
const F95 = [4.96, 4.1, 3.71, 3.48, 3.33, 3.22, 3.14, 3.07, 3.02, 2.98] as const;
const f95 = (free: number): number => F95[Math.min(F95.length, Math.max(1, Math.round(free))) - 1] ?? 2.98;

/** What one reading scatters by: the hand alone, the degrees of freedom in it, and whether anything is known of it. */
export type Scatter = { hand: number; free: number; from: 'card' | 'seen' | 'unknown' };

/**
 * What a hand scatters by, from its card pooled with what its repeats show; from the repeats alone where they are significantly
 * wider, or where there is no card; unknown where there is neither.
 * Source: pooled variance and the F test, any statistics text; weights as in `HANDS`.
 */
export function handScatter({
  stepMm,
  card,
  scatterMm = 0,
  free = 0,
  places = 1,
}: Omit<Seen, 'count'>): Scatter {
  const { usual, usualCounts, unknown } = HANDS;
  const seen = scatterMm ** 2;
  if (card) {
    const known = usualCounts + card.free;
    const own = (places * (usualCounts * (usual * stepMm) ** 2 + card.free * card.scatter ** 2)) / known;
    if (free >= 2 && seen > own * f95(free)) return { hand: scatterMm, free, from: 'seen' };
    const pooled = (known * own + free * seen) / (known + free);
    return { hand: Math.sqrt(pooled), free: known + free, from: 'card' };
  }
  if (free >= HANDS.leastAlone - 1) return { hand: scatterMm, free, from: 'seen' };
  return {
    hand: (Math.sqrt(places) * unknown * stepMm) / 2,
    free: Number.POSITIVE_INFINITY,
    from: 'unknown',
  };
}

/**
 * Standard deviation of what one reading shows, hand and step together, and the degrees of freedom in it: what a fit through
 * readings rests on. `squares` are those of what is left beside the fit, with `left` degrees of freedom.
 */
export function readingDeviation(
  stepMm: number,
  hand: Hand = {},
  squares = 0,
  left = 0,
): { deviation: number; free: number } {
  const before = { stepMm, card: hand.card, scatterMm: hand.scatterMm, free: hand.free };
  const free = (hand.free ?? 0) + Math.max(0, left);
  const all = (hand.free ?? 0) * (hand.scatterMm ?? 0) ** 2 + squares;
  const s = handScatter(free > 0 ? { ...before, free, scatterMm: Math.sqrt(all / free) } : before);
  const step = resolutionUncertainty(stepMm);
  // What is left beside a fit has the step in it already; a card's readings may all lie on one.
  if (s.from === 'seen')
    return { deviation: Math.max(s.hand, inQuadrature(HANDS.usual * stepMm, step)), free: s.free };
  return { deviation: inQuadrature(s.hand, step), free: s.free };
}

/**
 * Standard deviation of a mean, and the degrees of freedom in it. Readings that all show the same tell nothing of where within the
 * step the truth lies, and no more of the hand than one does: the mean of them is no better known than one reading.
 */
export function deviationOfMean(seen: Seen): { deviation: number; free: number; from: Scatter['from'] } {
  const { stepMm, places = 1 } = seen;
  const several = seen.scattered ?? (seen.scatterMm ?? 0) > stepMm / 1000;
  const all = seen.free ?? Math.max(0, seen.count - 1);
  // Beside a card, values that are all the same say nothing more: pressing one again buys nothing.
  const s = handScatter({
    ...seen,
    free: seen.card && !several && (seen.scatterMm ?? 0) < stepMm / 1000 ? 0 : all,
  });
  const n = several ? Math.min(seen.count, HANDS.most) : 1;
  const step = Math.sqrt(places) * resolutionUncertainty(stepMm);
  if (s.from === 'unknown') return { deviation: s.hand, free: s.free, from: s.from };
  if (s.from === 'seen' && !seen.card) {
    const least = ((s.hand > stepMm / 1000 ? HANDS.least : HANDS.same) * Math.sqrt(places) * stepMm) / 2;
    const counts = Math.min(seen.count, HANDS.most);
    // Student's factor belongs to the scatter alone: the step is known for sure.
    const known = (2 * step) / studentT95(s.free);
    const wide = inQuadrature(s.hand / Math.sqrt(counts), known / Math.sqrt(n));
    return {
      deviation: Math.max(wide, (2 * least) / (HANDS.factor * studentT95(s.free))),
      free: s.free,
      from: s.from,
    };
  }
  return { deviation: inQuadrature(s.hand, step) / Math.sqrt(n), free: s.free, from: s.from };
}

/**
 * Doubt of a mean: half of what holds 95 in 100, so that ± 2 of it does, for any hand that scatters by up to two steps.
 * Source: GUM 4.2, 4.3.7, G.3; the factor as in `HANDS`, measured by `npm run proof -- uncertainty`.
 */
export function doubtOfMean(seen: Seen): number {
  const { deviation, free, from } = deviationOfMean(seen);
  return from === 'unknown' ? deviation : (HANDS.factor / 2) * studentT95(free) * deviation;
}

/**
 * Doubt of one value on an instrument that steps by `stepMm`, in the hand that read it. Half of what holds 95 in 100, so that ± 2
 * of it does. Without a hand nothing is known of it: five steps.
 * @example readingUncertainty(0.01, { card: { scatter: 0.004, free: 9 } }) // 0.0068
 */
export const readingUncertainty = (stepMm: number, hand: Hand = {}): number =>
  doubtOfMean({ count: 1, ...hand, stepMm });

/**
 * Doubt of one reading in a usual hand: where a doubt would ease a limit, what is not known of a hand must not. Half of what holds
 * 95 in 100.
 */
export const usualDoubt = (stepMm: number): number =>
  readingUncertainty(stepMm, { card: { scatter: HANDS.usual * stepMm, free: 9 } });

/** Do readings land on more than one step of the gauge? */
export const spreadOver = (values: readonly number[], stepMm: number): boolean =>
  Math.max(...values) - Math.min(...values) > stepMm / 1000;

/**
 * What the readings of one thing show of the hand. @example handOf([0.05, 0.06, 0.05], 0.01, card)
 */
export const handOf = (
  values: readonly number[],
  stepMm: number,
  card?: HandCard,
): Hand & { count: number } => ({
  card,
  count: values.length,
  scatterMm: sampleDeviation([...values]),
  free: Math.max(0, values.length - 1),
  scattered: values.length > 0 && spreadOver(values, stepMm),
});

/** What several values read by one hand show together: the scatter of all their repeats, and the fewest readings any has. */
export function handOver(
  places: ReadonlyArray<readonly number[]>,
  stepMm: number,
  card?: HandCard,
): Hand & { count: number } {
  const read = places.filter((p) => p.length > 0);
  const free = read.reduce((n, p) => n + p.length - 1, 0);
  const squares = read.reduce((s, p) => s + (p.length - 1) * sampleDeviation([...p]) ** 2, 0);
  return {
    card,
    count: read.length === 0 ? 1 : Math.min(...read.map((p) => p.length)),
    scatterMm: free === 0 ? 0 : Math.sqrt(squares / free),
    free,
    scattered: read.length > 0 && read.every((p) => p.length > 1 && spreadOver(p, stepMm)),
  };
}

/**
 * Where nothing is known of a hand, how far values of one size lie apart bounds it from above: what truly differs between the places
 * only makes it wider. Three values at least.
 * @example boundedBy([89.96, 89.97, 89.96], 0.01, {})
 */
export function boundedBy(values: readonly number[], stepMm: number, hand: Hand = {}): Hand {
  if (values.length < HANDS.leastAlone || handScatter({ ...hand, stepMm }).from !== 'unknown') return hand;
  const bounded = {
    ...hand,
    scatterMm: sampleDeviation([...values]),
    free: values.length - 1,
    scattered: hand.scattered ?? false,
  };
  // Where the places truly differ by more than any hand would, their bound says nothing.
  return readingUncertainty(stepMm, bounded) < readingUncertainty(stepMm, hand) ? bounded : hand;
}

/** What two lots of readings show of one hand together: of the first its card, its count and whether it lies on several steps. */
export function bothSeen(own: Hand, besides: Hand | undefined): Hand {
  const free = (own.free ?? 0) + (besides?.free ?? 0);
  const squares =
    (own.free ?? 0) * (own.scatterMm ?? 0) ** 2 + (besides?.free ?? 0) * (besides?.scatterMm ?? 0) ** 2;
  return { ...own, free, scatterMm: free === 0 ? 0 : Math.sqrt(squares / free) };
}

/** Doubt of the mean of readings of one thing: half of what holds 95 in 100, so that ± 2 of it does. NaN of none. */
export function meanUncertainty(values: readonly number[], stepMm: number, card?: HandCard): number {
  return values.length === 0 ? Number.NaN : doubtOfMean({ ...handOf(values, stepMm, card), stepMm });
}

/** The same hand in another unit. @example scaledHand(hand, 1000) // mm to µm */
export const scaledHand = (hand: Hand | undefined, by: number): Hand | undefined =>
  hand && {
    ...hand,
    ...(hand.card ? { card: { ...hand.card, scatter: by * hand.card.scatter } } : {}),
    ...(hand.scatterMm === undefined ? {} : { scatterMm: by * hand.scatterMm }),
  };
