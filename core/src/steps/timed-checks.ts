import type { Reading, StepReport } from '../engine/state.ts';
import type { Finding } from '../judgement/result.ts';
import { listOf, type Text } from '../message/message.ts';
import { minutesAfter } from './counted.ts';
import { M } from './messages.ts';

const MINUTE_MS = 60_000;

/** So much of the wait must have passed: a watch looked at a moment before its time is no early look. Our own choice. */
const DUE_SHARE = 0.95;

/** A reading of a check that was taken before the check was due. A simulated gauge's day is short: it counts as in time. */
const isEarly = (r: Reading, begunMs: number, minutes: number): boolean =>
  minutes > 0 &&
  !r.instrument.standIn &&
  !Number.isNaN(begunMs) &&
  Date.parse(r.at) - begunMs < DUE_SHARE * minutes * MINUTE_MS;

/** Early looks at one place of a check, and the reading that was taken in its time. */
export type Looks = { due: Reading | undefined; early: Reading[] };

/**
 * The readings at a place of a check due so many minutes after the start. One taken before its time is an early look: it is kept, shown
 * and judged, and does not close the check.
 * @param passed the step was passed before early looks were told apart: what was taken then stands as it was taken
 */
export function looksAt(
  taken: readonly Reading[],
  key: string,
  begunMs: number,
  minutes: number,
  passed: boolean,
): Looks {
  const here = taken.filter((r) => r.place === key);
  const early = passed ? [] : here.filter((r) => isEarly(r, begunMs, minutes));
  return { due: here.find((r) => !early.includes(r)), early };
}

/** The place of the warmth that goes with an early count just made: one look is leakage and warmth. @example `leak/15` → `temp/15` */
export function warmthOf(taken: readonly Reading[], early: readonly Reading[]): string | null {
  const last = taken.at(-1);
  return last && early.includes(last) && !last.place.startsWith('temp/')
    ? last.place.replace(/^[a-z]+/, 'temp')
    : null;
}

/** Early looks, told with the time they were taken at; they hold nothing up and close nothing. */
export function earlyFindings(step: string, early: readonly Reading[], begunMs: number): Finding[] {
  if (early.length === 0) return [];
  // The count and the warmth of one look come within the same minute or so: they are one look.
  const minutes = [
    ...new Set(early.map((r) => Math.max(0, Math.round((Date.parse(r.at) - begunMs) / MINUTE_MS)))),
  ];
  return [
    {
      code: `${step}.early`,
      verdict: 'caution',
      reason: M.minAfterStartKeptNot({ count: minutes.length, minutes: minutes.join(', ') }),
      params: { minutes: minutes.join(' ') },
      source: 'practice',
      remedy: M.lookAgainWhenCheckDue,
      acceptable: false,
    },
  ];
}

/** What is still to come, with when it is due, once the machine runs. */
export const checksToCome = (
  begunMs: number,
  left: ReadonlyArray<{ what: Text; minutes: number }>,
): NonNullable<StepReport['toCome']> =>
  Number.isNaN(begunMs)
    ? []
    : left.map(({ what, minutes }) => ({ what, at: minutesAfter(begunMs, minutes) }));

/**
 * Checks that are not read yet. A sheet signed as running waits for them; a lead hand may do without those to come, never without the
 * look at the start.
 * @param what the place that is read next
 * @param left the checks to come, in words; nothing before the start is read
 */
export const dueFinding = (step: string, what: Text, left: readonly Text[]): Finding => ({
  code: `${step}.due`,
  verdict: 'incomplete',
  reason: M.stillRead({
    what,
    count: left.length > 1 ? M.thenText({ left: listOf(left.slice(1), ', ') }) : '',
  }),
  params: { due: true, left: listOf(left, ', ') },
  acceptable: left.length > 0,
});
