import { MessageError } from '../../quantities/message-error.ts';
import {
  FINER_DEVIATION,
  FINER_TOP_MM,
  HOLE_J,
  IT_MICROMETRES,
  type ItGrade,
  RANGE_TOP_MM,
  SHAFT_DEVIATION,
  SHAFT_J,
  type ShaftLetter,
} from './iso286-table.ts';
import { M } from './messages.ts';

export type SizeLimits = {
  lowerMm: number;
  upperMm: number;
  lowerDeviationMm: number;
  upperDeviationMm: number;
  itMm: number;
};

/** Rounded to a nanometre, so that 90 − 0.087 prints and compares as 89.913. */
export const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6;

function rangeOf(nominalMm: number): number {
  const i = RANGE_TOP_MM.findIndex((top) => nominalMm <= top);
  if (!(nominalMm > 0) || i < 0) throw new MessageError(M.iso286TabledHereOver);
  return i;
}

/**
 * Width of a standard tolerance grade, mm.
 * @throws RangeError outside 0–500 mm
 * @example itMm(90, 9) // 0.087
 */
export function itMm(nominalMm: number, grade: ItGrade): number {
  return (IT_MICROMETRES[grade][rangeOf(nominalMm)] ?? Number.NaN) / 1000;
}

/**
 * The finest standard grade a spread of sizes keeps to, 4 to 12; null where it is wider than all of them.
 * Source: ISO 286-1.
 * @example finestGrade(90, 0.018) // 6
 */
export function finestGrade(nominalMm: number, spreadMm: number): ItGrade | null {
  const grades = Object.keys(IT_MICROMETRES).map(Number) as ItGrade[];
  return grades.find((g) => spreadMm <= itMm(nominalMm, g) + 1e-9) ?? null;
}

/** Parts of a tolerance designation such as `h9`, `js7` or `H7`. Null where it is none we table. */
export function parseDesignation(text: string): { letter: string; grade: ItGrade; hole: boolean } | null {
  const m = /^\s*(js|JS|[d-hjkmnprs]|[D-HJKMNP])\s*(?:IT)?(\d{1,2})\s*$/.exec(text);
  if (!m) return null;
  const grade = Number(m[2]);
  if (!(grade in IT_MICROMETRES)) return null;
  const letter = m[1] ?? '';
  return { letter, grade: grade as ItGrade, hole: letter === letter.toUpperCase() };
}

/** The deviation of a shaft that its letter fixes, µm: upper to h, lower from j on. Null where it is not tabled. */
function shaftDeviation(letter: string, grade: ItGrade, nominalMm: number): number | null {
  const range = rangeOf(nominalMm);
  if (letter === 'j')
    return grade === 5 || grade === 6
      ? (SHAFT_J.fine[range] ?? null)
      : grade === 7
        ? (SHAFT_J[7][range] ?? null)
        : null;
  if (letter === 'k' && grade > 7) return 0;
  if (letter === 'r' || letter === 's')
    return FINER_DEVIATION[letter][FINER_TOP_MM.findIndex((top) => nominalMm <= top)] ?? null;
  return SHAFT_DEVIATION[letter as ShaftLetter]?.[range] ?? null;
}

/**
 * The upper deviation of a hole J to P, µm. Holes to grade 8 (P: to 7) press as their shafts do one grade finer: the mirrored
 * deviation plus Δ, the step between the two grades. Source: ISO 286-1, general rules, from memory.
 */
function holeDeviation(letter: string, grade: ItGrade, nominalMm: number): number | null {
  const range = rangeOf(nominalMm);
  if (letter === 'J')
    return grade === 6 || grade === 7 || grade === 8 ? (HOLE_J[grade][range] ?? null) : null;
  // The one place the standard leaves its own rule. Source: ISO 286-1, from memory.
  if (letter === 'M' && grade === 6 && nominalMm > 250 && nominalMm <= 315) return -9;
  const small = letter.toLowerCase() as ShaftLetter;
  const mirrored = -(SHAFT_DEVIATION[small][range] ?? 0);
  const finer = IT_MICROMETRES[(grade - 1) as ItGrade]?.[range];
  const step = finer === undefined ? null : (IT_MICROMETRES[grade][range] ?? 0) - finer;
  const pressed = letter === 'P' ? grade <= 7 : grade <= 8;
  // The smallest sizes have no step; K coarser than 8 is not tabled over 3 mm, N coarser begins at the nominal size.
  if (nominalMm <= 3) return mirrored + 0;
  if (pressed) return step === null ? null : mirrored + step;
  return letter === 'K' ? null : letter === 'N' ? 0 : mirrored;
}

/**
 * Limits of size of a shaft or hole by ISO 286. Shafts d to h, j (5 to 7), js, k, m, n, p, r, s; holes D to H, J (6 to 8), JS, K, M,
 * N, P; the deviation of k is tabled for grades 4 to 7 and zero beyond.
 * @throws RangeError for a size or designation not tabled
 * @example iso286Limits(90, 'h9') // { lowerMm: 89.913, upperMm: 90, … }
 */
export function iso286Limits(nominalMm: number, designation: string): SizeLimits {
  const none = () => new MessageError(M.notTabledHereShaftsD({ designation }));
  const d = parseDesignation(designation);
  if (!d) throw none();
  const it = itMm(nominalMm, d.grade);
  let lower: number;
  let upper: number;
  if (d.letter === 'js' || d.letter === 'JS') {
    lower = -it / 2;
    upper = it / 2;
  } else if (d.hole && d.letter >= 'J') {
    const tabled = holeDeviation(d.letter, d.grade, nominalMm);
    if (tabled === null) throw none();
    upper = tabled / 1000;
    lower = upper - it;
  } else {
    const tabled = shaftDeviation(d.letter.toLowerCase(), d.grade, nominalMm);
    if (tabled === null) throw none();
    const fundamental = tabled / 1000;
    const below = d.letter.toLowerCase() <= 'h';
    lower = below ? fundamental - it : fundamental;
    upper = below ? fundamental : fundamental + it;
    // A hole of the same letter mirrors the shaft about the nominal size (general rule, D to H).
    if (d.hole) [lower, upper] = [-upper, -lower];
  }
  return {
    lowerMm: tidy(nominalMm + lower),
    upperMm: tidy(nominalMm + upper),
    lowerDeviationMm: tidy(lower) + 0,
    upperDeviationMm: tidy(upper) + 0,
    itMm: it,
  };
}

/** Minus tolerance of inch commercial shafting by diameter, in; +0 always. Common practice, no source. */
const INCH_BANDS: Array<{ uptoIn: number; minusIn: number }> = [
  { uptoIn: 4, minusIn: 0.003 },
  { uptoIn: 6, minusIn: 0.004 },
  { uptoIn: 8, minusIn: 0.005 },
  { uptoIn: 20, minusIn: 0.006 },
];

/**
 * Limits of an inch commercial shaft under an adapter sleeve: +0 / −0.003 in round 2½ in, widening to −0.006 in at
 * 8 in and over. Common practice, no source.
 * @throws RangeError outside 0–20 in
 */
export function inchCommercialLimits(nominalMm: number): SizeLimits {
  const inches = nominalMm / 25.4;
  const row = INCH_BANDS.find((b) => inches < b.uptoIn);
  if (!(nominalMm > 0) || !row) throw new MessageError(M.inchCommercialShaftingBandedHere);
  const minus = row.minusIn * 25.4;
  return {
    lowerMm: tidy(nominalMm - minus),
    upperMm: tidy(nominalMm),
    lowerDeviationMm: tidy(-minus),
    upperDeviationMm: 0,
    itMm: tidy(minus),
  };
}
