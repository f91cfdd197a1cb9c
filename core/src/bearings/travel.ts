import type { TaperRatio } from './clearance-table.ts';

/** A measured k outside these is queried: the nut, the taper or the readings are not what they seem. */
export const K_QUERIED = { lower: 0.7, upper: 0.88 } as const;

/**
 * Effective k of a steel bearing on a slit adapter sleeve, settling included: the share of the taper's geometric
 * wedge that shows as lost clearance. 0.77 on a solid shaft of 40 mm bore and over; settling takes more of it in small
 * bores (0.60 at 24 mm, straight between); a hollow shaft gives way (0.715 at half bore, by the square of the ratio).
 * Common practice, no source; the tabled drive-up stands beside it as a check.
 */
export function effectiveK(boreMm: number, hollowRatio = 0): number {
  const solid = boreMm >= 40 ? 0.77 : 0.6 + (0.17 * (Math.max(24, boreMm) - 24)) / 16;
  return solid * (1 - 0.2857 * hollowRatio ** 2);
}

/** Axial travel that takes out `reductionMm` of radial clearance, mm: taper ratio × reduction / k. */
export function travelForReduction(reductionMm: number, taper: TaperRatio, k: number): number {
  return (taper * reductionMm) / k;
}

/** Reduction by an axial travel, mm: k × travel / taper ratio. */
export function reductionForTravel(travelMm: number, taper: TaperRatio, k: number): number {
  return (k * travelMm) / taper;
}

/** Nut angle in degrees for a travel on a thread of pitch `pitchMm`. */
export function nutAngleForTravel(travelMm: number, pitchMm: number): number {
  return (360 * travelMm) / pitchMm;
}

/**
 * Pitch of the sleeve's nut thread for a bearing bore, mm. Source: ISO 2982 (from memory); trapezoidal above 200 mm.
 * @example sleevePitch(100) // 2
 */
export function sleevePitch(boreMm: number): number {
  if (boreMm <= 20) return 1;
  if (boreMm <= 50) return 1.5;
  if (boreMm <= 150) return 2;
  if (boreMm <= 200) return 3;
  if (boreMm <= 300) return 4;
  return 5;
}
