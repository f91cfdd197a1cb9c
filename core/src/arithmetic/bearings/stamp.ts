import type { Text } from '../../message/message.ts';
import type { ClearanceClass, TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';
import { usualShaft } from './sleeve-shaft.ts';

/** What is read from the stamp on a bearing's ring; null where it says nothing of it. */
export type Stamp = {
  boreMm: number | null;
  taper: TaperRatio | null;
  clearanceClass: ClearanceClass | null;
};

/** Bore codes that are not a fifth of the bore. */
const SMALL: Record<string, number> = { '00': 10, '01': 12, '02': 15, '03': 17 };

/**
 * The stamp of a spherical roller or self-aligning ball bearing: its last two digits are a fifth of the bore from 04 on, larger
 * bores stand after a stroke in mm; K is a bore of 1:12, K30 of 1:30; C2 to C5 is the clearance. Source: the general numbering
 * of rolling bearings, common practice, from memory.
 * @returns null where it is no stamp of that kind
 * @example readStamp('22218 K C3') // { boreMm: 90, taper: 12, clearanceClass: 'C3' }
 */
export function readStamp(text: string): Stamp | null {
  const upper = text.toUpperCase();
  const number = /(?<!\d)(?:2[1-4]\d|1[23]|2[23])(?:(\d\d)|\s*\/\s*(\d{3}))(?!\d)/.exec(upper);
  if (!number) return null;
  const [code, code2, inMm] = number;
  const rest = upper.slice(number.index + code.length);
  const taper = /(?<![A-Z])K\s*30/.test(rest) ? 30 : /(?<![A-JL-Z])K(?![A-Z])/.test(rest) ? 12 : null;
  const found = /(?<![A-Z])C([2-5])(?!\d)/.exec(rest);
  return {
    boreMm: inMm ? Number(inMm) : code2 ? (SMALL[code2] ?? 5 * Number(code2)) : null,
    taper,
    clearanceClass: found ? (`C${found[1]}` as ClearanceClass) : null,
  };
}

/**
 * Where a stamp and what was typed contradict each other, in words; empty where they do not.
 * @param typed bore in mm, taper as 12 or 30, class
 */
export function stampAgainst(
  text: string,
  typed: { boreMm: number; taper: number; clearanceClass: string },
): Text[] {
  const stamp = readStamp(text);
  if (!stamp) return [];
  const { boreMm, taper, clearanceClass } = stamp;
  return [
    ...(boreMm !== null && Math.abs(boreMm - typed.boreMm) > 0.5
      ? [M.boreMmTyped({ bore: boreMm, bore2: Number(typed.boreMm.toFixed(1)) })]
      : []),
    ...(taper !== null && taper !== typed.taper ? [M.taper1Typed1({ taper, taper2: typed.taper })] : []),
    ...(clearanceClass !== null && clearanceClass !== typed.clearanceClass
      ? [
          M.classTyped({
            clearanceClass,
            clearanceClass2: typed.clearanceClass === 'CN' ? M.normal : typed.clearanceClass,
          }),
        ]
      : []),
  ];
}

/** What a stamp says of a setup, by the names setups use. */
export type StampSays = {
  boreMm?: number;
  taper?: TaperRatio;
  clearanceClass?: ClearanceClass;
  /** The shaft an adapter sleeve of that bore usually sits on: to be looked at, and measured. */
  shaftMm?: number;
};

/**
 * The parts of a stamp a trade asks for. A stamp that names no class is of the normal one; a sleeve’s shaft only where its bore is a
 * usual one.
 * @example stampSays('22220 K', ['boreMm', 'clearanceClass']) // { boreMm: 100, clearanceClass: 'CN' }
 */
export function stampSays(text: string, asked: ReadonlyArray<keyof StampSays>): StampSays {
  const stamp = readStamp(text);
  if (!stamp) return {};
  const { boreMm, taper } = stamp;
  const shaft = boreMm === null ? null : usualShaft(boreMm);
  const all: StampSays = {
    ...(boreMm === null ? {} : { boreMm }),
    ...(taper === null ? {} : { taper }),
    clearanceClass: stamp.clearanceClass ?? 'CN',
    ...(shaft !== null && Number.isInteger(shaft) ? { shaftMm: shaft } : {}),
  };
  return Object.fromEntries(Object.entries(all).filter(([k]) => asked.includes(k as keyof StampSays)));
}
