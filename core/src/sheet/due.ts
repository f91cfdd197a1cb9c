import type { Due } from '../engine/slots.ts';
import type { JobState } from '../engine/state.ts';
import { reportAt, stepOf, tradeOf } from '../engine/trades.ts';

/** A reading takes so long in a calendar, minutes. */
const READING_MIN = 15;

/** What falls due on a job: the next reading of every step that keeps times until it is signed, and what comes after it. */
export function fallsDue(state: JobState): Due[] {
  const readings = state.steps.flatMap((s): Due[] => {
    const at = reportAt(state, s.id)?.dueAt;
    const what = stepOf(state, s.id)?.dueWord ?? s.title;
    return at && !state.signed && !state.cancelled ? [{ what, at, minutes: READING_MIN }] : [];
  });
  return [...readings, ...(tradeOf(state.setup).slots.due?.(state) ?? [])];
}
