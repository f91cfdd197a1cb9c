import type { Text } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import type { TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';

/** A measured k outside these is queried: the nut, the taper or the readings are not what they seem. */
export const K_QUERIED = { lower: 0.7, upper: 0.88 } as const;

/** Raceway over joint of a usual inner ring. Common practice, no source. */
const RACEWAY_OVER_JOINT = 1.2;

/**
 * Growth of a ring's raceway over the interference it is pressed with, ring and shaft of one steel, as thick cylinders: F the raceway
 * over the joint, c the shaft's bore over the joint. Source: Lamé; any machine-design text.
 * @example ringK(1.2, 0) // 0.8333, the joint over the raceway
 */
export const ringK = (F: number, c: number): number =>
  (2 * F) / (F ** 2 - 1) / ((F ** 2 + 1) / (F ** 2 - 1) + (1 + c ** 2) / (1 - c ** 2));

/**
 * Effective k of a steel bearing on a slit adapter sleeve, settling included: the share of the taper's geometric
 * wedge that shows as lost clearance. 0.77 on a solid shaft of 40 mm bore and over; settling takes more of it in small
 * bores (0.60 at 24 mm, straight between): common practice, no source, with what settling and the slit sleeve take in it. A hollow
 * shaft gives way as thick cylinders do (Lamé), raceway over joint taken as 1.2; the tabled drive-up stands beside it as a check.
 */
export function effectiveK(boreMm: number, hollowRatio = 0): number {
  const solid = boreMm >= 40 ? 0.77 : 0.6 + (0.17 * (Math.max(24, boreMm) - 24)) / 16;
  return (solid * ringK(RACEWAY_OVER_JOINT, hollowRatio)) / ringK(RACEWAY_OVER_JOINT, 0);
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

/** How a thread's pitch is said where it is one of the inch series: “8 threads an inch”. */
const THREADS_AN_INCH = [8, 10, 12, 18] as const;
/** Pitches sleeves are cut with, metric and by threads an inch. Common practice, no source. */
export const USUAL_PITCHES_MM: readonly number[] = [
  1,
  1.5,
  2,
  3,
  4,
  5,
  ...THREADS_AN_INCH.map((n) => 25.4 / n),
];

/** A pitch in words: its length, and threads an inch where it is of that series. */
export function sayPitch(pitchMm: number): Text {
  const threads = THREADS_AN_INCH.find((n) => Math.abs(25.4 / n - pitchMm) < 0.005);
  return threads ? M.threadsInch({ pitch: len(pitchMm, 2), threads }) : len(pitchMm, 2);
}

/**
 * The usual pitch a measured closing fits better than the one supposed, or null where the supposed one does.
 * @param ratio closing a degree as seen over what the supposed pitch would give; `doubt` its relative standard uncertainty
 */
export function pitchSeen(supposedMm: number, ratio: number, doubt: number): number | null {
  if (!(ratio > 0)) return null;
  const off = Math.abs(Math.log(ratio));
  // Taper, fit and friction put a fitting off by a twelfth; twice that and twice the feelers' doubt is no chance.
  if (off < 2 * Math.hypot(0.08, doubt)) return null;
  const of = (mm: number) => Math.abs(Math.log((ratio * supposedMm) / mm));
  const best = USUAL_PITCHES_MM.reduce((a, b) => (of(b) < of(a) ? b : a));
  return of(best) < off / 2 ? best : null;
}
