import { type LengthUnit, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import { inBoth, type Measured } from './quantity.ts';

/** 1 lbf in N: 0.45359237 kg × 9.80665 m/s² (exact definitions). */
export const N_PER_LBF = 0.45359237 * 9.80665;

const UNIT_N: Record<string, number> = {
  n: 1,
  kn: 1000,
  kgf: 9.80665,
  kp: 9.80665,
  lbf: N_PER_LBF,
  lb: N_PER_LBF,
  lbs: N_PER_LBF,
};

/**
 * Read a force: `25`, `25 N`, `1.2 kN`, `5.6 lbf`, `2.5 kgf`. Without a unit: N, or lbf where inches are in force.
 * @example parseForce('2 lbf', 'mm') // { ok: true, n: 8.896… }
 */
export function parseForce(text: string, inForce: LengthUnit): { ok: true; n: number } | ParseFault {
  const m = /^\s*([\d.,]+)\s*([a-z]*)\s*$/i.exec(text);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  const unit = (m?.[2] ?? '').toLowerCase() || (inForce === 'in' ? 'lbf' : 'n');
  const factor = UNIT_N[unit];
  if (!number || factor === undefined) return { ok: false, message: M.typeForceExample25N };
  return { ok: true, n: number.value * factor };
}

/** A force with its unit: N, from 1000 of them kN; or lbf. @example formatForce(22.4, 'mm') // '22.4 N' */
export function formatForce(n: number, unit: LengthUnit): string {
  const value = unit === 'mm' ? n : n / N_PER_LBF;
  if (unit === 'mm' && Math.abs(n) >= 1000) return `${(n / 1000).toFixed(1)} kN`;
  return `${value.toFixed(Math.abs(value) < 100 ? 1 : 0)} ${unit === 'mm' ? 'N' : 'lbf'}`;
}

/** A force: inside N. */
export const FORCE = {
  name: 'force',
  open: { unit: 'N', factor: 1 },
  read(text, unit) {
    const f = parseForce(text, unit);
    return f.ok ? { ok: true, value: f.n, said: inBoth(formatForce, f.n) } : f;
  },
  format: formatForce,
  empty: { mm: '0 N', in: '0.0 lbf' },
  keys: { sign: '/', units: [' N', ' lbf'] },
  sends: { n: 1, lbf: N_PER_LBF },
} as const satisfies Measured;
