import { COMMON } from '../../message/common/messages.ts';
import { listOf, type Text } from '../../message/message.ts';
import type { ClearanceClass, TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';
import { usualShaft } from './sleeve-shaft.ts';
import { readSuffixes } from './stamp-suffixes.ts';

/** What is read from the stamp on a bearing's ring; null where it says nothing of it. */
export type Stamp = {
  series: string;
  boreMm: number | null;
  /** 1:12, 1:30, a cylindrical bore; null where the stamp leaves it open. */
  bore: TaperRatio | 'cylindrical' | null;
  clearanceClass: ClearanceClass | 'C1' | null;
  /** The class stands there itself; where none does, it is the normal one. */
  classStamped: boolean;
  cage: 'brass' | 'steel' | 'polymer' | null;
  /** A groove or holes in the outer ring for the grease. */
  groove: boolean;
  seals: 0 | 1 | 2;
  /** What stands on the ring and is not understood, as it stands. */
  unknown: string[];
};

/** Bore codes that are not a fifth of the bore. */
const SMALL: Record<string, number> = { '00': 10, '01': 12, '02': 15, '03': 17 };

/** Dimension series of spherical roller bearings, then of self-aligning ball bearings. Source: ISO 15, and the general numbering, from memory. */
const NUMBER = /(?<!\d)(213|22[23]|23[0-389]|24[0189]|1[23]|2[23])(?:(\d\d)|\s*\/\s*(\d{3,4}))(?!\d)/;
/** These are made with 1:30 where they are tapered: a bare K is read on the ring again. */
const NARROW_TAPER = ['240', '241', '248', '249'];

/**
 * The stamp of a spherical roller or self-aligning ball bearing: its last two digits are a fifth of the bore from 04 on, larger
 * bores stand after a stroke in mm; K is a bore of 1:12, K30 of 1:30, no K a cylindrical one; C1 to C5 is the clearance.
 * Source: the general numbering of rolling bearings, common practice, from memory.
 * @returns null where it is no stamp of that kind
 * @example readStamp('22218 K C3')?.bore // 12
 */
export function readStamp(text: string): Stamp | null {
  const upper = text.toUpperCase();
  const number = NUMBER.exec(upper);
  if (!number) return null;
  const [found, series = '', code, inMm] = number;
  const { told, unknown } = readSuffixes(upper.slice(number.index + found.length));
  const before = upper.slice(0, number.index).replace(/[\s\-/]+$/, '');
  const tapers = told.flatMap((t) => (t.of === 'taper' ? [t.ratio] : []));
  const classes = told.flatMap((t) => (t.of === 'class' ? [t.name] : []));
  return {
    series,
    boreMm: inMm ? Number(inMm) : code ? (SMALL[code] ?? 5 * Number(code)) : null,
    // What is not understood may hold the K; two tapers are none.
    bore:
      tapers.length > 1 && new Set(tapers).size > 1
        ? null
        : tapers[0] === 12 && NARROW_TAPER.includes(series)
          ? null
          : (tapers[0] ?? (unknown.some((u) => u.includes('K')) ? null : 'cylindrical')),
    clearanceClass:
      new Set(classes).size > 1 ? null : (classes[0] ?? (unknown.some((u) => /C\d/.test(u)) ? null : 'CN')),
    classStamped: classes.length > 0,
    cage: told.flatMap((t) => (t.of === 'cage' ? [t.kind] : []))[0] ?? null,
    groove: told.some((t) => t.of === 'groove'),
    seals: told.flatMap((t) => (t.of === 'seals' ? [t.count] : []))[0] ?? 0,
    unknown: [...(before === '' ? [] : [before]), ...unknown],
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
  const { boreMm, bore, clearanceClass, classStamped } = stamp;
  return [
    ...(boreMm !== null && Math.abs(boreMm - typed.boreMm) > 0.5
      ? [M.boreMmTyped({ bore: boreMm, bore2: Number(typed.boreMm.toFixed(1)) })]
      : []),
    ...(typeof bore === 'number' && bore !== typed.taper
      ? [M.taper1Typed1({ taper: bore, taper2: typed.taper })]
      : []),
    ...(classStamped && clearanceClass !== null && clearanceClass !== typed.clearanceClass
      ? [
          M.classTyped({
            clearanceClass: clearanceClass === 'CN' ? COMMON.normal : clearanceClass,
            clearanceClass2: typed.clearanceClass === 'CN' ? COMMON.normal : typed.clearanceClass,
          }),
        ]
      : []),
  ];
}

/** What has to be looked at on the ring before the stamp is relied on, in sentences; empty where all of it is understood. */
export function stampQueries(text: string, { sleeve }: { sleeve: boolean }): Text[] {
  const stamp = readStamp(text);
  if (!stamp) return text.trim() === '' ? [] : [M.stampNotRead];
  const { bore, clearanceClass, unknown } = stamp;
  return [
    ...(sleeve && bore === 'cylindrical' ? [M.stampNoTaper] : []),
    ...(sleeve && bore === null ? [M.stampTaperOpen] : []),
    ...(clearanceClass === null || clearanceClass === 'C1' ? [M.stampClassOpen] : []),
    ...(unknown.length > 0 ? [M.stampUnknown({ unknown: listOf(unknown, ', ') })] : []),
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
  const { boreMm, bore, clearanceClass } = stamp;
  const shaft = boreMm === null ? null : usualShaft(boreMm);
  const all: StampSays = {
    ...(boreMm === null ? {} : { boreMm }),
    ...(typeof bore === 'number' ? { taper: bore } : {}),
    ...(clearanceClass === null || clearanceClass === 'C1' ? {} : { clearanceClass }),
    ...(shaft !== null && Number.isInteger(shaft) ? { shaftMm: shaft } : {}),
  };
  return Object.fromEntries(Object.entries(all).filter(([k]) => asked.includes(k as keyof StampSays)));
}
