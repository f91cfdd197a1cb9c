import { type LengthUnit, MM_PER_INCH, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import type { Measured } from './quantity.ts';

/** 1 lbf/in² in MPa: 0.45359237 kg × 9.80665 m/s² over (25.4 mm)² (exact definitions). */
export const MPA_PER_PSI = (0.45359237 * 9.80665) / MM_PER_INCH ** 2;

const UNIT_MPA: Record<string, number> = {
  mpa: 1,
  'n/mm2': 1,
  'n/mm²': 1,
  bar: 0.1,
  kpa: 0.001,
  psi: MPA_PER_PSI,
  'lbf/in²': MPA_PER_PSI,
  'lbf/in2': MPA_PER_PSI,
  ksi: 1000 * MPA_PER_PSI,
};

/**
 * Read a pressure over the air’s: `25`, `250 bar`, `3600 psi`. Without a unit: MPa, or psi where inches are in force.
 * @example parsePressure('250 bar', 'mm') // { ok: true, mpa: 25 }
 */
export function parsePressure(text: string, inForce: LengthUnit): { ok: true; mpa: number } | ParseFault {
  const m = /^\s*([+-]?[\d.,]+)\s*(.*)$/.exec(text.toLowerCase().trim());
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typePressureExample25MPa };
  const word = (m[2] ?? '').replace(/\s/g, '');
  const factor = word === '' ? (inForce === 'mm' ? 1 : MPA_PER_PSI) : UNIT_MPA[word];
  if (factor === undefined)
    return {
      ok: false,
      message: M.notPressureUnitKnownHere({ m: (m[2] ?? '').trim() }),
    };
  return { ok: true, mpa: number.value * factor };
}

/** A pressure with its unit. @example formatPressure(25, 'in') // '3626 psi' */
export function formatPressure(mpa: number, unit: LengthUnit): string {
  const value = unit === 'mm' ? mpa : mpa / MPA_PER_PSI;
  // As many digits as a gauge gives: to the hundredth of a bar where pressures are small, three figures where they are not.
  const size = Math.abs(value);
  const decimals = unit === 'mm' ? (size < 1 ? 3 : size < 10 ? 2 : 1) : size < 100 ? 1 : 0;
  return `${value.toFixed(decimals)} ${unit === 'mm' ? 'MPa' : 'psi'}`;
}

/** A pressure over the air’s: inside MPa. */
export const PRESSURE = {
  name: 'pressure',
  open: { unit: 'MPa', factor: 1 },
  read(text, unit) {
    const p = parsePressure(text, unit);
    if (!p.ok) return p;
    const said = [formatPressure(p.mpa, 'mm'), `${(10 * p.mpa).toFixed(0)} bar`, formatPressure(p.mpa, 'in')];
    return { ok: true, value: p.mpa, said: said.join(' · ') };
  },
  format: formatPressure,
  empty: { mm: '0.0 MPa', in: '0 psi' },
  keys: { sign: '/', units: [' MPa', ' bar', ' psi'] },
  sends: { mpa: 1, bar: 0.1, psi: MPA_PER_PSI },
} as const satisfies Measured;
