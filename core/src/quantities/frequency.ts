import { type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import type { Measured } from './quantity.ts';

/**
 * Read the note of a struck span: `62`, `62 Hz`.
 * @example parseFrequency('62.5 Hz') // { ok: true, hertz: 62.5 }
 */
export function parseFrequency(text: string): { ok: true; hertz: number } | ParseFault {
  const m = /^\s*([\d.,]+)\s*(hz)?\s*$/i.exec(text);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  return number ? { ok: true, hertz: number.value } : { ok: false, message: M.typeHowManySwingsSecond };
}

/** A frequency with its unit. @example formatFrequency(62.5) // '62.5 Hz' */
export const formatFrequency = (hertz: number): string => `${Number(hertz.toFixed(1))} Hz`;

/** A frequency: inside Hz. */
export const FREQUENCY = {
  name: 'frequency',
  open: { unit: 'Hz', factor: 1 },
  read(text) {
    const f = parseFrequency(text);
    return f.ok ? { ok: true, value: f.hertz, said: formatFrequency(f.hertz) } : f;
  },
  format: formatFrequency,
  empty: { mm: '0 Hz', in: '0 Hz' },
  keys: { units: [' Hz'] },
  sends: { hz: 1 },
} as const satisfies Measured;
