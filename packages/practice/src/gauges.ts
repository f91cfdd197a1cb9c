import { INSTRUMENT_KINDS, type Instrument } from '@fulcrant/core/instruments';

type Kind = Instrument['kind'];

/** Smallest step, range, how far one careful reading scatters, and how far off it may be and still be well read. By kind, unit inside. */
const OF: Record<Kind, readonly [step: number, low: number, high: number, scatter: number, well: number]> = {
  micrometer: [0.001, 0, 500, 0.0005, 0.004],
  feeler: [0.01, 0.02, 5, 0, 0.004],
  dial: [0.002, -10, 10, 0.0006, 0.006],
  caliper: [0.02, 0, 500, 0.01, 0.06],
  roughness: [0.00001, 0, 0.02, 0.00002, 0.0002],
  laser: [0.01, 0, 50, 0.01, 0.05],
  wrench: [0.5, 0.5, 1000, 0.3, 2],
  protractor: [1, 0, 720, 0.5, 2],
  pressure: [0.1, 0, 200, 0.05, 0.4],
  thermometer: [0.1, -20, 300, 0.1, 1],
  gun: [1, 0, 1000, 0, 1],
  counter: [1, 0, 5000, 1, 6],
  vibration: [0.1, 0, 100, 0.05, 0.3],
  tension: [1, 1, 1000, 0.5, 3],
  force: [0.5, 0, 1000, 0.5, 3],
};

/** A gauge of each kind, as they lie at every practice bench; none of them is any plant’s. */
export const PRACTICE_GAUGES = Object.fromEntries(
  INSTRUMENT_KINDS.map((kind): [Kind, Instrument] => {
    const [step, low, high] = OF[kind];
    return [
      kind,
      {
        id: `practice-${kind}`,
        name: `practice ${kind === 'feeler' ? 'blades' : kind}`,
        kind,
        step,
        low,
        high,
        calibrationDue: '2099-12-31',
        // The hand that drives them scatters little: it teaches the work, and never judges any.
        hand: { scatter: step / 4, free: 9 },
      },
    ];
  }),
) as Record<Kind, Instrument>;

/** How far one careful reading of a kind of gauge scatters, standard deviation, unit inside. */
export const scatterOf = (kind: Kind): number => OF[kind][3];

/** Blades there are, mm. */
export const BLADES_MM = [
  0.02, 0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.11, 0.12, 0.13, 0.14, 0.15, 0.2, 0.25, 0.3, 0.35,
  0.4, 0.45, 0.5, 0.55, 0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1, 1.1, 1.2, 1.3, 1.4, 1.5,
] as const;

/** How far a reading may lie from the truth and still be as good as its gauge lets it: for blades, half the step to the next, mm. */
export function wellWithin(kind: Kind, trueValue: number): number {
  if (kind !== 'feeler') return OF[kind][4];
  const above = BLADES_MM.find((b) => b > trueValue) ?? 1.6;
  const below = BLADES_MM.findLast((b) => b <= trueValue) ?? 0;
  return OF.feeler[4] + (above - below) / 2;
}
