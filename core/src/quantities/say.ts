import { formatForce } from './force.ts';
import { formatLength, type LengthUnit, lengthDigits } from './length.ts';
import { formatPressure } from './pressure.ts';
import { formatRoughness } from './roughness.ts';
import { formatTemperature } from './temperature.ts';
import { formatTorque } from './torque.ts';
import { formatVelocity } from './velocity.ts';

/**
 * Core writes sentences without knowing whether the reader thinks in millimetres or inches. A quantity goes into
 * the sentence as a mark, and `say` turns the marks into numbers at the edge, so the same finding reads in both.
 */
const MARK = /⟦([LDTRPCAFKVU])(-?[\d.e+-]+)(?:\|(\d)(?:,(\d))?)?⟧/g;

/** A length with its unit, inside a sentence. */
export const len = (mm: number, mmDecimals = 3): string => `⟦L${mm}|${mmDecimals}⟧`;
/**
 * The digits of a length, no unit: for sums such as (0.077 + 0.076)/2.
 * @param inDecimals digits in inches, where one more than in millimetres will not do
 */
export const num = (mm: number, mmDecimals = 3, inDecimals?: number): string =>
  `⟦D${mm}|${mmDecimals}${inDecimals === undefined ? '' : `,${inDecimals}`}⟧`;
/** A roughness in µm, with its unit. */
export const rough = (um: number): string => `⟦R${um}⟧`;
/** A torque with its unit. */
export const tor = (nm: number): string => `⟦T${nm}⟧`;

/** A pressure with its unit. */
export const pres = (mpa: number): string => `⟦P${mpa}⟧`;
/** A temperature with its unit. */
export const temp = (c: number): string => `⟦C${c}⟧`;
/** The unit of lengths itself, where a figure says what its numbers are in. */
export const UNIT = '⟦U0⟧';
/** How much warmer or colder: a difference of temperatures, with its unit. */
export const warmer = (k: number): string => `⟦K${k}⟧`;
/** An area in mm², with its unit. */
export const area = (mm2: number): string => `⟦A${mm2}⟧`;
/** A force in N, with its unit. */
export const force = (n: number): string => `⟦F${n}⟧`;

/** A vibration velocity in mm/s rms, with its unit. */
export const velocity = (mmPerS: number): string => `⟦V${mmPerS}⟧`;

const formatArea = (mm2: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${mm2.toFixed(1)} mm²` : `${(mm2 / 25.4 ** 2).toFixed(4)} in²`;
const formatWarmer = (k: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${k.toFixed(0)} K` : `${((k * 9) / 5).toFixed(0)} °F`;

/**
 * Put the quantities of a sentence into people's units.
 * @example say(`least ${len(0.035)}`, 'in') // 'least 0.0014 in'
 */
export function say(text: string, unit: LengthUnit): string {
  return text.replace(MARK, (_all, kind: string, value: string, decimals?: string, inches?: string) => {
    const n = Number(value);
    if (kind === 'U') return unit;
    if (kind === 'T') return formatTorque(n, unit);
    if (kind === 'R') return formatRoughness(n, unit);
    if (kind === 'P') return formatPressure(n, unit);
    if (kind === 'C') return formatTemperature(n, unit);
    if (kind === 'K') return formatWarmer(n, unit);
    if (kind === 'A') return formatArea(n, unit);
    if (kind === 'V') return formatVelocity(n, unit);
    if (kind === 'F') return formatForce(n, unit);
    // One digit more is shown in inches than is said here.
    const own = unit === 'in' && inches !== undefined ? String(Number(inches) - 1) : decimals;
    const places = own === undefined ? 3 : Number(own);
    return kind === 'L' ? formatLength(n, unit, places) : lengthDigits(n, unit, places);
  });
}

/** A text as it is kept on a record: said once in each unit where it holds a quantity, else as it is. */
export type Said = string | { mm: string; in: string };

/** A kept text in the reader's unit. */
export const sayIn = (text: Said, unit: LengthUnit): string => (typeof text === 'string' ? text : text[unit]);

/** Keep a text: its quantities said in both units. */
export function keepSaid(text: Said): Said {
  if (typeof text !== 'string' || !text.includes('⟦')) return text;
  return { mm: say(text, 'mm'), in: say(text, 'in') };
}

/** `keepSaid` through a whole result: every text with a quantity in a plain JSON value becomes one said in both units. */
export function keepAllSaid<T>(value: T): T {
  if (typeof value === 'string') return keepSaid(value) as T;
  if (Array.isArray(value)) return value.map((v) => keepAllSaid(v)) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, keepAllSaid(v)])) as T;
  return value;
}

/** `say` through a whole result: every string in a plain JSON value. */
export function sayAll<T>(value: T, unit: LengthUnit): T {
  if (typeof value === 'string') return say(value, unit) as T;
  if (Array.isArray(value)) return value.map((v) => sayAll(v, unit)) as T;
  if (value !== null && typeof value === 'object') {
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, sayAll(v, unit)])) as T;
  }
  return value;
}
