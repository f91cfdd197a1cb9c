import { type LengthUnit, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import { inBoth, type Measured } from './quantity.ts';

const toC = (f: number): number => ((f - 32) * 5) / 9;
const toF = (c: number): number => (c * 9) / 5 + 32;

/**
 * Read a temperature: `72`, `72 °C`, `162 F`. Without a unit: °C, or °F where inches are in force.
 * @example parseTemperature('212 F', 'mm') // { ok: true, c: 100 }
 */
export function parseTemperature(text: string, inForce: LengthUnit): { ok: true; c: number } | ParseFault {
  const m = /^\s*([+-]?\s*[\d.,]+)\s*(°?\s*[cf]?)\s*$/.exec(text.toLowerCase().replace(/[−–]/g, '-'));
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typeTemperatureExample7272 };
  const word = (m[2] ?? '').replace(/[°\s]/g, '');
  const fahrenheit = word === '' ? inForce === 'in' : word === 'f';
  return { ok: true, c: fahrenheit ? toC(number.value) : number.value };
}

/**
 * Read a difference of temperatures: `30`, `30 K`, `30 °C`, `54 °F`. Without a unit: K, or °F where inches are in force.
 * @example parseDifference('54 F', 'mm') // { ok: true, k: 30 }
 */
export function parseDifference(text: string, inForce: LengthUnit): { ok: true; k: number } | ParseFault {
  const m = /^\s*([+-]?\s*[\d.,]+)\s*(°?\s*[ckf]?)\s*$/.exec(text.toLowerCase().replace(/[−–]/g, '-'));
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typeTemperatureExample7272 };
  const word = (m[2] ?? '').replace(/[°\s]/g, '');
  const fahrenheit = word === '' ? inForce === 'in' : word === 'f';
  return { ok: true, k: fahrenheit ? (number.value * 5) / 9 : number.value };
}

/** A temperature with its unit. @example formatTemperature(100, 'in') // '212 °F' */
export function formatTemperature(c: number, unit: LengthUnit): string {
  return unit === 'mm' ? `${c.toFixed(0)} °C` : `${toF(c).toFixed(0)} °F`;
}

/** A temperature: inside °C. */
export const TEMPERATURE = {
  name: 'temperature',
  open: { unit: '°C', factor: 1 },
  read(text, unit) {
    const t = parseTemperature(text, unit);
    return t.ok ? { ok: true, value: t.c, said: inBoth(formatTemperature, t.c) } : t;
  },
  readStep(text) {
    const n = parseTypedNumber(text);
    return n ? { ok: true, value: n.value, said: `${n.value} °C` } : { ok: false, message: M.typeDegrees };
  },
  format: formatTemperature,
  empty: { mm: '0 °C', in: '0 °F' },
  keys: { sign: '-', units: [' °C', ' °F'] },
  sends: { c: 1 },
} as const satisfies Measured;
