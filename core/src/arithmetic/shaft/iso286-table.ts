/**
 * Standard tolerance grades and fundamental deviations to 500 mm, micrometres.
 * Source: ISO 286-1 and -2, from memory. The table is shipped because the standard rounds by its own steps, which the
 * plain formula misses by one in many cells.
 */

/** Upper end of each nominal range, mm; a range is "over the one before, up to and including this". */
export const RANGE_TOP_MM = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;

export const IT_MICROMETRES = {
  4: [3, 4, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20],
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20, 23, 25, 27],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29, 32, 36, 40],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46, 52, 57, 63],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72, 81, 89, 97],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115, 130, 140, 155],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160, 185, 210, 230, 250],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250, 290, 320, 360, 400],
  12: [100, 120, 150, 180, 210, 250, 300, 350, 400, 460, 520, 570, 630],
} as const;

export type ItGrade = keyof typeof IT_MICROMETRES;

/** Fundamental deviation of shafts, µm: the upper one for d to h (size below nominal), the lower one for k to p. */
export const SHAFT_DEVIATION = {
  d: [-20, -30, -40, -50, -65, -80, -100, -120, -145, -170, -190, -210, -230],
  e: [-14, -20, -25, -32, -40, -50, -60, -72, -85, -100, -110, -125, -135],
  f: [-6, -10, -13, -16, -20, -25, -30, -36, -43, -50, -56, -62, -68],
  g: [-2, -4, -5, -6, -7, -9, -10, -12, -14, -15, -17, -18, -20],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
  k: [0, 1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5],
  m: [2, 4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23],
  n: [4, 8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68],
} as const;

export type ShaftLetter = keyof typeof SHAFT_DEVIATION;

/** Upper end of the finer ranges r and s are tabled by, and their lower deviations, µm. Source: ISO 286-2, from memory. */
export const FINER_TOP_MM = [
  3, 6, 10, 18, 30, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500,
] as const;
export const FINER_DEVIATION = {
  r: [10, 15, 19, 23, 28, 34, 41, 43, 51, 54, 63, 65, 68, 77, 80, 84, 94, 98, 108, 114, 126, 132],
  s: [14, 19, 23, 28, 35, 43, 53, 59, 71, 79, 92, 100, 108, 122, 130, 140, 158, 170, 190, 208, 232, 252],
} as const;

/** Lower deviation of j5 and j6, and of j7, µm. Source: ISO 286-2, from memory. */
export const SHAFT_J = {
  fine: [-2, -2, -2, -3, -4, -5, -7, -9, -11, -13, -16, -18, -20],
  7: [-4, -4, -5, -6, -8, -10, -12, -15, -18, -21, -26, -28, -32],
} as const;
/** Upper deviation of J6, J7 and J8, µm. Source: ISO 286-2, from memory. */
export const HOLE_J = {
  6: [2, 5, 5, 6, 8, 10, 13, 16, 18, 22, 25, 29, 33],
  7: [4, 6, 8, 10, 12, 14, 18, 22, 26, 30, 36, 39, 43],
  8: [6, 10, 12, 15, 20, 24, 28, 34, 41, 47, 55, 60, 66],
} as const;

/**
 * The plain formula i = 0.45·D^⅓ + 0.001·D (µm, D the geometric mean of the range), times the grade's factor.
 * A check on the table, not its origin.
 */
export function itByFormula(rangeIndex: number, grade: 5 | 6 | 7 | 8 | 9 | 10 | 11): number {
  const factor = { 5: 7, 6: 10, 7: 16, 8: 25, 9: 40, 10: 64, 11: 100 }[grade];
  const low = rangeIndex === 0 ? 1 : (RANGE_TOP_MM[rangeIndex - 1] ?? 1);
  const d = Math.sqrt(low * (RANGE_TOP_MM[rangeIndex] ?? 500));
  return factor * (0.45 * Math.cbrt(d) + 0.001 * d);
}
