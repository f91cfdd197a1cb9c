import { mean } from './uncertainty.ts';

export type Point = { x: number; y: number };

export type FittedLine = {
  slope: number;
  intercept: number;
  count: number;
  /** Standard deviation the uncertainties rest on: of the residuals, never under the readings' own. */
  deviation: number;
  slopeUncertainty: number;
  at(x: number): { y: number; u: number };
};

/**
 * Least-squares line of y on x, with the standard uncertainty of its slope and of any point on it. `readingU` is the
 * standard uncertainty of one y; the scatter about the line replaces it where it is larger.
 * Returns null under two different x.
 * Source: GUM annex H.3; any statistics text.
 *
 * @example fitLine([{ x: 0, y: 1 }, { x: 2, y: 0 }], 0.1)?.slope // -0.5
 */
export function fitLine(points: Point[], readingU: number): FittedLine | null {
  const n = points.length;
  if (n < 2) return null;
  const xm = mean(points.map((p) => p.x));
  const ym = mean(points.map((p) => p.y));
  const sxx = points.reduce((s, p) => s + (p.x - xm) ** 2, 0);
  if (sxx === 0) return null;
  const slope = points.reduce((s, p) => s + (p.x - xm) * (p.y - ym), 0) / sxx;
  const intercept = ym - slope * xm;
  const residual = points.reduce((s, p) => s + (p.y - intercept - slope * p.x) ** 2, 0);
  const scatter = n > 2 ? Math.sqrt(residual / (n - 2)) : 0;
  const deviation = Math.max(scatter, readingU);
  return {
    slope,
    intercept,
    count: n,
    deviation,
    slopeUncertainty: deviation / Math.sqrt(sxx),
    at: (x) => ({ y: intercept + slope * x, u: deviation * Math.sqrt(1 / n + (x - xm) ** 2 / sxx) }),
  };
}
