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

/** Half the width that holds 95 in 100, so that the k = 2 of the decision rule says it: Student's factor where scatter is estimated. */
export const half95 = (u: number, free: number): number => (studentT95(free) / 2) * u;

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
