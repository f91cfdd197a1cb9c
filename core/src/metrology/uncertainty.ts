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
 * The step's share in the doubt of a mean of `count` readings: it falls as √n, but never below half of one reading's, since
 * readings that all land on the same step do not average it away.
 * Source: GUM 4.3.7; the floor is common practice, no source.
 */
export function stepShare(count: number, stepMm: number): number {
  const one = resolutionUncertainty(stepMm);
  return Math.max(one / Math.sqrt(count), one / 2);
}

/**
 * Standard uncertainty of the mean of readings taken at different places or times: the step's share (`stepShare`) and the
 * share of their spread, which falls as √n.
 * Source: GUM 4.2 and 4.3.7.
 */
export function meanUncertainty(values: number[], stepMm: number): number {
  if (values.length === 0) return Number.NaN;
  return inQuadrature(stepShare(values.length, stepMm), sampleDeviation(values) / Math.sqrt(values.length));
}

const T95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228] as const;

/**
 * Student's t, two-sided 95 %, by degrees of freedom: few readings say little of their scatter. Beyond ten 1.96 + 2.6/free, within
 * a hundredth of the table. Source: GUM, table G.2, from memory.
 * @example studentT95(2) // 4.303
 */
export const studentT95 = (free: number): number => T95[free - 1] ?? 1.96 + 2.6 / free;
