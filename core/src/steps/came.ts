import type { JobState } from '../engine/state.ts';
import { reportAt } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr } from '../message/message.ts';
import { len, num, temp, tor, velocity } from '../quantities/say.ts';
import { runInLog } from './bearing/run-in-log.ts';
import { bolts } from './bolts.ts';
import { diameters } from './condition/diameters.ts';
import { gaps } from './gland-gaps.ts';
import { M } from './messages.ts';

/** A heading and what is said under it. */
export type Row = [Text, Text];

/** A length, or a dash. */
export const orDash = (mm: number | null | undefined, decimals?: number): Text =>
  mm === null || mm === undefined ? '–' : len(mm, decimals);

/** Smallest and largest diameter of the seat. */
export function shaftCame(job: JobState): { largestMm: number | null; smallestMm: number | null; row: Row } {
  const v = diameters.valuesOf(reportAt(job, 'shaft'));
  const [largestMm, smallestMm] = [v?.largestMm ?? null, v?.smallestMm ?? null];
  const said =
    smallestMm === null || largestMm === null
      ? '–'
      : M.and({ smallest: num(smallestMm), largest: len(largestMm) });
  return { largestMm, smallestMm, row: [M.shaftSmallestLargest, said] };
}

/** What a set of bolts was drawn to, N·m, and a row that says of which; null where they were not reached. */
export function boltsCame(job: JobState, step: string): number | null {
  return bolts.valuesOf(reportAt(job, step))?.torque.torqueNm ?? null;
}
export const boltsRow = (heading: Text, set: string, torqueNm: number | null): Row => [
  heading,
  torqueNm === null ? '–' : expr`${set}, ${tor(torqueNm)}`,
];

/** Spread of a gland's or a follower's gaps, mm. */
export const spreadCame = (job: JobState, step: string): number | null =>
  gaps.valuesOf(reportAt(job, step))?.tilt?.spreadMm ?? null;

/** The hottest of the first hours and what it vibrated by, and their rows where they were read. */
export function firstHoursCame(job: JobState): {
  results: { hottestC: number | null; vibrationMmPerS?: number };
  rows: Row[];
} {
  const v = runInLog.valuesOf(reportAt(job, 'runin'));
  const hottestC = v?.hottestC ?? null;
  const vibrationMmPerS = v?.vibration?.mmPerS;
  return {
    results: { hottestC, ...(vibrationMmPerS === undefined ? {} : { vibrationMmPerS }) },
    rows: [
      ...(hottestC === null ? [] : [[M.hottestFirstHours, temp(hottestC)] as Row]),
      ...(vibrationMmPerS === undefined ? [] : [[M.vibrationFirstHours, velocity(vibrationMmPerS)] as Row]),
    ],
  };
}

/** Leakage last counted, as a row where any was. */
export const leakRows = (dropsPerMin: number | null): Row[] =>
  dropsPerMin === null ? [] : [[M.leakageLastCounted, COMMON.dropsMinute2({ dropsPerMin })]];
