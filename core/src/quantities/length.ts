import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
/** Lengths: what people type, kept as millimetres, said back in either unit. */

export type LengthUnit = 'mm' | 'in';

export type ParsedLength = {
  ok: true;
  mm: number;
  /** How it was understood: the unit the typed number was in. */
  unit: 'mm' | 'µm' | 'cm' | 'm' | 'in' | 'ft' | 'thou' | 'tenth';
  /** Set when a unit was assumed from the way the number was written, not given. */
  assumed?: Text;
};

export type ParseFault = { ok: false; message: Text };

/** Exact by definition (1959): one inch is 25.4 mm. */
export const MM_PER_INCH = 25.4;

const UNIT_MM: Record<ParsedLength['unit'], number> = {
  mm: 1,
  µm: 0.001,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  thou: MM_PER_INCH / 1000,
  tenth: MM_PER_INCH / 10000,
};

const UNIT_WORDS: Record<string, ParsedLength['unit']> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  µm: 'µm',
  um: 'µm',
  µ: 'µm',
  micron: 'µm',
  microns: 'µm',
  micrometre: 'µm',
  micrometres: 'µm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  "''": 'in',
  thou: 'thou',
  thous: 'thou',
  thousandth: 'thou',
  thousandths: 'thou',
  mil: 'thou',
  mils: 'thou',
  tenth: 'tenth',
  tenths: 'tenth',
};

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Typed text with typographic variants folded: micro signs, minus signs, vulgar fractions, curly quotes. */
function fold(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[μ]/g, 'µ')
    .replace(/[−–—]/g, '-')
    .replace(/[”“″]/g, '"')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/\s+/g, ' ')
    .trim();
}

type TypedNumber = { value: number; fraction: boolean; comma: boolean };

/**
 * A number as written at the plinth: `0.077`, `0,077`, `.0015`, `7/16`, `2 7/16`, `2-7/16`, `+3`.
 * Returns null where it is not a number.
 */
export function parseTypedNumber(text: string): TypedNumber | null {
  const t = fold(text);
  const mixed = /^([+-]?)\s*(?:(\d+)[ -])?\s*(\d+)\s*\/\s*(\d+)$/.exec(t);
  if (mixed) {
    const den = Number(mixed[4]);
    if (den === 0) return null;
    const size = Number(mixed[2] ?? 0) + Number(mixed[3]) / den;
    return { value: mixed[1] === '-' ? -size : size, fraction: true, comma: false };
  }
  const decimal = /^([+-]?)\s*(\d*)(?:[.,](\d*))?$/.exec(t);
  if (!decimal || (!decimal[2] && !decimal[3])) return null;
  const size = Number(`${decimal[2] || '0'}.${decimal[3] || '0'}`);
  return {
    value: decimal[1] === '-' ? -size : size,
    fraction: false,
    comma: t.includes(','),
  };
}

/**
 * Read a length as a person says it. Without a unit: a fraction (`2 7/16`) is inches, a decimal comma millimetres; anything
 * else, a number that begins with its point too, is in `inForce`.
 *
 * @example parseLength('3 thou', 'mm') // { ok: true, mm: 0.0762, unit: 'thou' }
 * @example parseLength(',05', 'in')    // { ok: true, mm: 0.05, unit: 'mm', assumed: … }
 */
export function parseLength(text: string, inForce: LengthUnit): ParsedLength | ParseFault {
  const t = fold(text);
  if (t === '') return { ok: false, message: M.typeReadingExample0077 };
  const split = /^([+-]?[\d\s.,/-]*\d[.,]?)\s*([a-zµ"']*)$/.exec(t);
  if (!split) {
    return {
      ok: false,
      message: M.notLengthWriteAs0({ text: text.trim() }),
    };
  }
  const word = (split[2] ?? '').trim();
  const number = parseTypedNumber(split[1] ?? '');
  if (!number) {
    return {
      ok: false,
      message: M.notNumberOnePointComma({ split: (split[1] ?? '').trim() }),
    };
  }
  if (word === 'tpi')
    return number.value > 0
      ? { ok: true, mm: MM_PER_INCH / number.value, unit: 'in', assumed: M.pitchThreadsInch }
      : { ok: false, message: M.threadsInchCounted8Tpi };
  if (word !== '') {
    const unit = UNIT_WORDS[word];
    if (!unit) return { ok: false, message: M.notUnitKnownHereUse({ word }) };
    return { ok: true, mm: number.value * UNIT_MM[unit], unit };
  }
  if (number.fraction) {
    return { ok: true, mm: number.value * MM_PER_INCH, unit: 'in', assumed: M.fractionReadAsInches };
  }
  if (number.comma && inForce === 'in')
    return { ok: true, mm: number.value, unit: 'mm', assumed: M.decimalCommaReadAsMm };
  return { ok: true, mm: number.value * UNIT_MM[inForce], unit: inForce };
}

/**
 * A number that begins with its point and names no unit is said of thousandths of an inch as often as of millimetres. On a
 * metric sheet the place tells: believable in one unit only, it is that one; in both, it is asked.
 * @param believable could a reading here be so many mm?
 * @returns null where it is no such number
 * @example leadingPoint('.0015', (mm) => mm > 0.02) // { mm: 0.0381 }
 */
export function leadingPoint(
  text: string,
  believable: (mm: number) => boolean,
): { mm: number } | { ask: Text } | null {
  const t = fold(text);
  if (!/^[+-]?\.\d+$/.test(t)) return null;
  const mm = Number(t);
  const inch = mm * MM_PER_INCH;
  if (believable(mm) && believable(inch))
    return {
      ask: M.couldWrite({
        t,
        formatLength: formatLength(mm, 'mm'),
        formatLength2: formatLength(inch, 'in'),
        replace: t.replace('.', '0.'),
      }),
    };
  return { mm: !believable(mm) && believable(inch) ? inch : mm };
}

/**
 * A diameter said by what it is over or under the nominal, as it is called across a shaft: `-26` is 26 µm under on a metric sheet, 26
 * ten-thousandths of an inch under on an inch sheet. Signed and whole, so that nothing else can be meant by it.
 * @returns null where it is no such number
 * @example fromNominal('-26', 90, 'mm') // { mm: 89.974, said: '26 µm under 90.000 mm' }
 */
export function fromNominal(
  text: string,
  nominalMm: number,
  unit: LengthUnit,
): { mm: number; said: string } | null {
  const t = fold(text);
  if (!/^[+-]\d{1,3}$/.test(t)) return null;
  const n = Number(t);
  const step = unit === 'mm' ? 'µm' : 'tenth';
  const size = `${Math.abs(n)} ${unit === 'mm' ? 'µm' : Math.abs(n) === 1 ? 'tenth' : 'tenths'}`;
  return {
    mm: nominalMm + n * UNIT_MM[step],
    said: `${size} ${n < 0 ? 'under' : 'over'} ${formatLength(nominalMm, unit)}`,
  };
}

/** Decimals shown in inches for a number of decimals in millimetres: one more keeps about the same step. */
const inchDecimals = (mmDecimals: number) => mmDecimals + 1;

/**
 * A length for reading, without its unit: 3 decimals of mm or 4 of an inch unless told otherwise.
 * @example lengthDigits(0.0762, 'in') // '0.0030'
 */
export function lengthDigits(mm: number, unit: LengthUnit, mmDecimals = 3): string {
  const value = unit === 'mm' ? mm : mm / MM_PER_INCH;
  const text = value.toFixed(unit === 'mm' ? mmDecimals : inchDecimals(mmDecimals));
  return /^-0\.?0*$/.test(text) ? text.slice(1) : text;
}

/** A length with its unit. @example formatLength(0.0762, 'mm') // '0.076 mm' */
export function formatLength(mm: number, unit: LengthUnit, mmDecimals = 3): string {
  return `${lengthDigits(mm, unit, mmDecimals)} ${unit}`;
}
