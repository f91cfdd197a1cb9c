import { type LengthUnit, MM_PER_INCH, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import { inBoth, type Measured } from './quantity.ts';

/** One microinch in micrometres. */
export const UM_PER_UIN = MM_PER_INCH / 1000;

/**
 * Read a roughness: `0.8`, `0.8 µm`, `32 µin`, `N6`-like grades are not taken. Without a unit: µm, or µin where inches are
 * in force.
 * @example parseRoughness('32 µin', 'mm') // { ok: true, um: 0.8128 }
 */
export function parseRoughness(text: string, inForce: LengthUnit): { ok: true; um: number } | ParseFault {
  const t = text.trim().toLowerCase().replace(/μ/g, 'µ');
  const m = /^([\d.,]+)\s*(µm|um|micron|microns|µ|µin|uin|microinch|microinches)?$/.exec(t);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typeRoughnessSuchAs0 };
  const inches = m[2] === undefined ? inForce === 'in' : /in/.test(m[2]);
  return { ok: true, um: number.value * (inches ? UM_PER_UIN : 1) };
}

/** The round values of one scale and what the other calls them. Common practice, no source. */
const ROUND_UIN: ReadonlyArray<[um: number, uin: number]> = [
  [0.1, 4],
  [0.2, 8],
  [0.4, 16],
  [0.8, 32],
  [1.6, 63],
  [3.2, 125],
  [6.3, 250],
  [12.5, 500],
];

/** A roughness with its unit; a round value is said as the other scale rounds it. @example formatRoughness(0.8, 'in') // '32 µin' */
export function formatRoughness(um: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${um.toFixed(2)} µm`;
  const round = ROUND_UIN.find(([metric]) => Math.abs(metric - um) < 1e-9);
  return `${(round?.[1] ?? um / UM_PER_UIN).toFixed(0)} µin`;
}

const format = (mm: number, unit: LengthUnit): string => formatRoughness(1000 * mm, unit);

/** A roughness, Ra: inside mm. A gauge sends it as a length. */
export const ROUGHNESS = {
  name: 'roughness',
  open: { unit: 'µm', factor: 1000 },
  read(text, unit) {
    const r = parseRoughness(text, unit);
    return r.ok ? { ok: true, value: r.um / 1000, said: inBoth(formatRoughness, r.um) } : r;
  },
  format,
  empty: { mm: '0.00 µm', in: '0 µin' },
  keys: { units: [' µm', ' µin'] },
  sends: {},
} as const satisfies Measured;
