import { type LengthUnit, MM_PER_INCH, type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import type { Measured } from './quantity.ts';

/** A vibration in inches is told as the peak of its sine, in mm as its rms: √2 between them. Common practice, no source. */
const PEAK_PER_RMS = Math.SQRT2;

/**
 * Read a vibration velocity: `2.8`, `2.8 mm/s`, `0.16 in/s`. Without a unit: mm/s rms, or in/s peak where inches are in force.
 * @example parseVelocity('2.8', 'mm') // { ok: true, mmPerS: 2.8 }
 */
export function parseVelocity(text: string, inForce: LengthUnit): { ok: true; mmPerS: number } | ParseFault {
  const m = /^\s*([\d.,]+)\s*(mm\s*\/\s*s|in\s*\/\s*s|ips)?\s*(rms|peak|pk)?\s*$/i.exec(text);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number) return { ok: false, message: M.typeVibrationExample28 };
  const unit = (m[2] ?? '').replace(/\s/g, '').toLowerCase();
  const inches = unit === '' ? inForce === 'in' : unit !== 'mm/s';
  const peak = m[3] ? m[3].toLowerCase() !== 'rms' : inches;
  return { ok: true, mmPerS: (number.value * (inches ? MM_PER_INCH : 1)) / (peak ? PEAK_PER_RMS : 1) };
}

/** A vibration with its unit and what it counts. @example formatVelocity(2.8, 'in') // '0.156 in/s peak' */
export function formatVelocity(mmPerS: number, unit: LengthUnit): string {
  return unit === 'mm'
    ? `${Number(mmPerS.toFixed(2))} mm/s`
    : `${((mmPerS * PEAK_PER_RMS) / MM_PER_INCH).toFixed(3)} in/s peak`;
}

/** A vibration: inside mm/s rms. */
export const VELOCITY = {
  name: 'vibration',
  open: { unit: 'mm/s', factor: 1 },
  read(text, unit) {
    const v = parseVelocity(text, unit);
    if (!v.ok) return v;
    return {
      ok: true,
      value: v.mmPerS,
      said: `${formatVelocity(v.mmPerS, 'mm')} rms · ${formatVelocity(v.mmPerS, 'in')}`,
    };
  },
  format: formatVelocity,
  empty: { mm: '0.0 mm/s', in: '0.00 in/s' },
  keys: { sign: '/', units: [' mm/s', ' in/s'] },
  sends: { 'mm/s': 1 },
} as const satisfies Measured;
