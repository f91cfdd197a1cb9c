import {
  IT_MICROMETRES,
  type ItGrade,
  RANGE_TOP_MM,
  SHAFT_DEVIATION,
  type ShaftLetter,
} from './iso286-table.ts';

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
  if (!(nominalMm > 0) || i < 0) throw new RangeError('ISO 286 is tabled here over 0 and up to 500 mm.');
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
  const m = /^\s*(js|JS|[d-hkmnpD-H])\s*(?:IT)?(\d{1,2})\s*$/.exec(text);
  if (!m) return null;
  const grade = Number(m[2]);
  if (!(grade in IT_MICROMETRES)) return null;
  const letter = m[1] ?? '';
  return { letter, grade: grade as ItGrade, hole: letter === letter.toUpperCase() };
}

/**
 * Limits of size of a shaft or hole by ISO 286. Shafts d e f g h js k m n p, holes D E F G H JS; the deviation of k is
 * tabled for grades 4 to 7 and zero beyond.
 * @throws RangeError for a size or designation not tabled
 * @example iso286Limits(90, 'h9') // { lowerMm: 89.913, upperMm: 90, … }
 */
export function iso286Limits(nominalMm: number, designation: string): SizeLimits {
  const d = parseDesignation(designation);
  if (!d)
    throw new RangeError(
      `“${designation}” is not tabled here. Shafts d to h, js, k, m, n, p; holes D to H, JS; grades 4 to 12.`,
    );
  const it = itMm(nominalMm, d.grade);
  const range = rangeOf(nominalMm);
  const letter = d.letter.toLowerCase();
  let lower: number;
  let upper: number;
  if (letter === 'js') {
    lower = -it / 2;
    upper = it / 2;
  } else {
    const tabled = letter === 'k' && d.grade > 7 ? 0 : (SHAFT_DEVIATION[letter as ShaftLetter][range] ?? 0);
    const fundamental = tabled / 1000;
    const below = letter <= 'h';
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
  if (!(nominalMm > 0) || !row) throw new RangeError('Inch commercial shafting is banded here under 20 in.');
  const minus = row.minusIn * 25.4;
  return {
    lowerMm: tidy(nominalMm - minus),
    upperMm: tidy(nominalMm),
    lowerDeviationMm: tidy(-minus),
    upperDeviationMm: 0,
    itMm: tidy(minus),
  };
}
