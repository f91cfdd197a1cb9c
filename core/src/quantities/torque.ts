import { type LengthUnit, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import { inBoth, type Measured } from './quantity.ts';

/** 1 lbf·ft in N·m: 0.45359237 kg × 9.80665 m/s² × 0.3048 m (exact definitions). */
export const NM_PER_LBF_FT = 0.45359237 * 9.80665 * 0.3048;

const UNIT_NM: Record<string, number> = {
  nm: 1,
  lbfft: NM_PER_LBF_FT,
  ftlbf: NM_PER_LBF_FT,
  lbft: NM_PER_LBF_FT,
  ftlb: NM_PER_LBF_FT,
  lbfin: NM_PER_LBF_FT / 12,
  inlb: NM_PER_LBF_FT / 12,
  lbin: NM_PER_LBF_FT / 12,
  kgfm: 9.80665,
};

/**
 * Read a torque: `180`, `180 Nm`, `133 lbf ft`, `90 in-lb`. Without a unit: N·m, or lbf·ft where inches are in force.
 * @example parseTorque('133 lbf·ft', 'mm') // { ok: true, nm: 180.3… }
 */
export function parseTorque(text: string, inForce: LengthUnit): { ok: true; nm: number } | ParseFault {
  const m = /^\s*([+-]?[\d.,]+)\s*(.*)$/.exec(text.toLowerCase());
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typeTorqueExample180N };
  if (number.value <= 0) return { ok: false, message: M.tighteningTorqueMoreThanZero };
  const word = (m[2] ?? '').replace(/[\s·.*-]/g, '');
  const factor = word === '' ? (inForce === 'mm' ? 1 : NM_PER_LBF_FT) : UNIT_NM[word];
  if (factor === undefined) {
    return {
      ok: false,
      message: M.notTorqueUnitKnownHere({ m: (m[2] ?? '').trim() }),
    };
  }
  return { ok: true, nm: number.value * factor };
}

/** Two numbers with a stroke or a word between them. */
const RANGE = /^\s*([\d.,]+)\s*(?:-|–|—|to|bis|\.\.\.?|…)\s*([\d.,]+)\s*(.*)$/i;

/**
 * Read a torque as a sheet gives it: one value, or a range from least to most: `35-40 lbf·ft`, `47 to 54`.
 * @example parseTorqueRange('35-40 ft-lb', 'mm') // { ok: true, nm: 47.4…, mostNm: 54.2… }
 */
export function parseTorqueRange(
  text: string,
  inForce: LengthUnit,
): { ok: true; nm: number; mostNm?: number } | ParseFault {
  const m = RANGE.exec(text);
  if (!m) return parseTorque(text, inForce);
  const [, low = '', high = '', unit = ''] = m;
  const least = parseTorque(`${low} ${unit}`, inForce);
  const most = parseTorque(`${high} ${unit}`, inForce);
  if (!least.ok) return least;
  if (!most.ok) return most;
  return least.nm < most.nm
    ? { ok: true, nm: least.nm, mostNm: most.nm }
    : { ok: false, message: M.rangeRunsFromLeastToMost };
}

/** Units a torque field offers, as they are written behind the number. */
export const TORQUE_UNITS = ['N·m', 'lbf·ft', 'lbf·in'] as const;

/** A torque with its unit, to the nearest whole above 20, else one decimal. */
export function formatTorque(nm: number, unit: LengthUnit): string {
  const value = unit === 'mm' ? nm : nm / NM_PER_LBF_FT;
  return `${value.toFixed(value < 20 ? 1 : 0)} ${unit === 'mm' ? 'N·m' : 'lbf·ft'}`;
}

/** A torque: inside N·m. */
export const TORQUE = {
  name: 'torque',
  open: { unit: 'N·m', factor: 1 },
  read(text, unit) {
    // Nothing needs no unit.
    if (text.trim() === '0') return { ok: true, value: 0, said: formatTorque(0, unit) };
    const t = parseTorque(text, unit);
    return t.ok ? { ok: true, value: t.nm, said: inBoth(formatTorque, t.nm) } : t;
  },
  format: formatTorque,
  empty: { mm: '0.0 N·m', in: '0.0 lbf·ft' },
  keys: { sign: '/', units: [' N·m', ' lbf·ft', ' lbf·in'] },
  sends: { nm: 1 },
} as const satisfies Measured;
