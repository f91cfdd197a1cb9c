import { type ParseFault, parseTypedNumber } from './length.ts';

/**
 * Read the note of a struck span: `62`, `62 Hz`.
 * @example parseFrequency('62.5 Hz') // { ok: true, hertz: 62.5 }
 */
export function parseFrequency(text: string): { ok: true; hertz: number } | ParseFault {
  const m = /^\s*([\d.,]+)\s*(hz)?\s*$/i.exec(text);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  return number
    ? { ok: true, hertz: number.value }
    : { ok: false, message: 'Type how many swings a second, for example 62 Hz.' };
}

/** A frequency with its unit. @example formatFrequency(62.5) // '62.5 Hz' */
export const formatFrequency = (hertz: number): string => `${Number(hertz.toFixed(1))} Hz`;
