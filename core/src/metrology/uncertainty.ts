/**
 * Standard uncertainty of one reading on an instrument that steps by `stepMm`: rectangular over ± half a step.
 * Source: GUM 4.3.7 (u = a/√3 with a = step/2, so step/√12).
 * @example resolutionUncertainty(0.01) // 0.002887
 */
export function resolutionUncertainty(stepMm: number): number {
  return stepMm / Math.sqrt(12);
}

/** Independent contributions in quadrature (GUM 5.1.2). */
export function inQuadrature(...u: number[]): number {
  return Math.sqrt(u.reduce((sum, x) => sum + x * x, 0));
}

/** Mean of a list; NaN of none. */
export function mean(values: number[]): number {
  return values.reduce((a, b) => a + b, 0) / values.length;
}

/** Sample standard deviation (n − 1); 0 under two values. */
export function sampleDeviation(values: number[]): number {
  if (values.length < 2) return 0;
  const m = mean(values);
  return Math.sqrt(values.reduce((s, v) => s + (v - m) ** 2, 0) / (values.length - 1));
}

/**
 * What a hand and a gauge scatter by themselves, as a share of the gauge's step, and how surely that is known before anybody has
 * repeated a reading: as surely as from so many repeats more. Our own choice, measured by `npm run proof -- uncertainty`.
 */
export const REPEATABILITY = { shareOfStep: 0.4, knownAsFrom: 5 } as const;

/** What one reading of a gauge scatters by, step and hand together, before anybody has repeated it: a standard deviation. */
export const aloneDeviation = (stepMm: number): number =>
  inQuadrature(REPEATABILITY.shareOfStep * stepMm, resolutionUncertainty(stepMm));

/**
 * Standard deviation of readings from what is left of them beside a fit, pooled with what they scatter by alone.
 * @param alone known beforehand (`aloneDeviation`), as from `knownAsFrom` readings
 * @returns the deviation, and the degrees of freedom in it
 */
export function pooledDeviation(
  alone: number,
  squares: number,
  free: number,
  knownAsFrom: number = REPEATABILITY.knownAsFrom,
): { deviation: number; free: number } {
  const all = knownAsFrom + Math.max(0, free);
  return { deviation: Math.sqrt((knownAsFrom * alone ** 2 + squares) / all), free: all };
}

/** Half the width that holds 95 in 100, so that the k = 2 of the decision rule says it: Student's factor where scatter is estimated. */
export const half95 = (u: number, free: number): number => (studentT95(free) / 2) * u;

/**
 * The step's share in the doubt of a mean: that of one reading, and it falls as √n only where the readings land on more than one
 * step. Readings that all land on one do not average it away, however many.
 * Source: GUM 4.3.7; when it falls: our own choice, measured by `npm run proof -- uncertainty`.
 */
export function stepShare(count: number, stepMm: number, scattered = false): number {
  const one = resolutionUncertainty(stepMm);
  return scattered ? one / Math.sqrt(count) : one;
}

/** What is known of readings of one thing when their mean is asked for. */
export type Seen = {
  /** Readings the mean is of. */
  count: number;
  stepMm: number;
  /** Standard deviation seen, with `free` degrees of freedom in it; left out where nothing was repeated. */
  scatterMm?: number | undefined;
  free?: number | undefined;
  /** Do the readings land on more than one step? */
  scattered?: boolean | undefined;
  /** 2 where each reading is the difference of two, else 1. */
  places?: 1 | 2 | undefined;
};

/**
 * Standard deviation of a mean, and the degrees of freedom in it (Welch and Satterthwaite: only the scatter is estimated, the step is
 * known): what gauge and hand scatter by themselves (`REPEATABILITY`) pooled with the scatter seen, and the step.
 */
export function deviationOfMean({
  count,
  stepMm,
  scatterMm = 0,
  free = count - 1,
  scattered,
  places = 1,
}: Seen): { deviation: number; free: number } {
  const { shareOfStep, knownAsFrom } = REPEATABILITY;
  const alone = places * (shareOfStep * stepMm) ** 2;
  const pooled = Math.sqrt((knownAsFrom * alone + free * scatterMm ** 2) / (knownAsFrom + free));
  const scatter = pooled / Math.sqrt(count);
  const onSeveral = scattered ?? scatterMm > stepMm / 1000;
  const deviation = inQuadrature(scatter, Math.sqrt(places) * stepShare(count, stepMm, onSeveral));
  return { deviation, free: (knownAsFrom + free) * (deviation / scatter) ** 4 };
}

/** Doubt of a mean: half of what holds 95 in 100, so that ± 2 of it does; `deviationOfMean` with Student's factor. */
export function doubtOfMean(seen: Seen): number {
  const { deviation, free } = deviationOfMean(seen);
  return half95(deviation, free);
}

/**
 * Doubt of one reading on an instrument that steps by `stepMm`: the step, and what gauge and hand scatter by themselves. Half of
 * what holds 95 in 100, so that ± 2 of it does.
 * Source: GUM 4.3.7 for the step; for the scatter `REPEATABILITY`.
 * @example readingUncertainty(0.01) // 0.0054
 */
export const readingUncertainty = (stepMm: number): number =>
  doubtOfMean({ count: 1, stepMm, scattered: false });

/** Do readings land on more than one step of the gauge? */
export const spreadOver = (values: readonly number[], stepMm: number): boolean =>
  Math.max(...values) - Math.min(...values) > stepMm / 1000;

/**
 * Doubt of the mean of readings of one thing: half of what holds 95 in 100, so that ± 2 of it does. Scatter that is seen counts
 * with Student's factor; identical readings only say that the scatter is small, not where within the step the truth lies.
 * Source: GUM 4.2, 4.3.7, G.4; measured by `npm run proof -- uncertainty`.
 */
export function meanUncertainty(values: readonly number[], stepMm: number): number {
  if (values.length === 0) return Number.NaN;
  return doubtOfMean({
    count: values.length,
    stepMm,
    scatterMm: sampleDeviation([...values]),
    scattered: spreadOver(values, stepMm),
  });
}

const T95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228] as const;

/**
 * Student's t, two-sided 95 %, by degrees of freedom: few readings say little of their scatter. Beyond ten 1.96 + 2.6/free, within
 * a hundredth of the table. Source: GUM, table G.2, from memory.
 * @example studentT95(2) // 4.303
 */
export function studentT95(free: number): number {
  const whole = Math.floor(free);
  const at = (n: number) => T95[n - 1] ?? 1.96 + 2.6 / n;
  if (whole < 1) return at(1);
  // Between two whole numbers (Welch and Satterthwaite give such) by their inverses, along which it runs nearly straight.
  const share = whole === free ? 0 : (1 / whole - 1 / free) / (1 / whole - 1 / (whole + 1));
  return at(whole) * (1 - share) + at(whole + 1) * share;
}
