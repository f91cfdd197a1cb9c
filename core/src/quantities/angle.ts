import type { Text } from '../message/message.ts';
import { type ParseFault, parseTypedNumber } from './length.ts';
import { M } from './messages.ts';
import type { Measured } from './quantity.ts';

/**
 * Read an angle of the nut: `11`, `11°`, `1/16 turn`, `1 1/8`, `1 eighth`. A fraction is of a turn; else degrees unless said otherwise.
 * @example parseAngle('1/16 turn') // { ok: true, deg: 22.5 }
 */
export function parseAngle(text: string): { ok: true; deg: number } | ParseFault {
  const t = text.trim().toLowerCase();
  const m = /^([+-]?[\d\s.,/-]*\d[.,]?)\s*(°|deg|degs|degrees?|turns?|eighths?|sixteenths?)?$/.exec(t);
  const number = m ? parseTypedNumber(m[1] ?? '') : null;
  if (!m || !number)
    return {
      ok: false,
      message: M.typeAngleDegreesExample11,
    };
  // A fraction is of a turn: nobody says an eighth of a degree of a nut.
  const word = m[2] ?? (number.fraction ? 'turn' : '°');
  const factor = word.startsWith('turn')
    ? 360
    : word.startsWith('eighth')
      ? 45
      : word.startsWith('sixteenth')
        ? 22.5
        : 1;
  return { ok: true, deg: number.value * factor };
}

/**
 * A nut angle the way it is said: whole eighths and sixteenths of a turn by name, else degrees.
 * @example sayNutAngle(90) // '2 eighths'
 */
export function sayNutAngle(deg: number): Text {
  const eighths = deg / 45;
  if (Math.abs(eighths - Math.round(eighths)) < 1e-6) {
    const n = Math.round(eighths);
    return n === 0 ? M.zero : n === 1 ? M.n1Eighth : M.eighths({ n });
  }
  const sixteenths = deg / 22.5;
  if (Math.abs(sixteenths - Math.round(sixteenths)) < 1e-6)
    return M.sixteenths({ n: Math.round(sixteenths) });
  return `${Number(deg.toFixed(1))}°`;
}

const format = (deg: number): string => `${Number(deg.toFixed(2))}°`;

/** An angle: inside degrees. */
export const ANGLE = {
  name: 'angle',
  open: { unit: 'deg', factor: 1 },
  read(text) {
    const a = parseAngle(text);
    return a.ok
      ? { ok: true, value: a.deg, said: M.turn({ format: format(a.deg), deg: (a.deg / 360).toFixed(3) }) }
      : a;
  },
  format,
  empty: { mm: '0°', in: '0°' },
  keys: { units: [] },
  sends: { deg: 1 },
} as const satisfies Measured;
