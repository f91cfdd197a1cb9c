import type { Facts, JobState, Reading, StepReport } from '../engine/state.ts';
import { stepOf } from '../engine/trades.ts';

/**
 * What a person calls the place of a reading: “station 2 at 0°”. Its kind is asked on the facts as they stood before the
 * reading, since a place that is read already is no longer offered.
 * @returns the place's label; its key where the kind does not know it any more
 */
export function placeName(
  state: JobState,
  reading: Reading,
  before: readonly Reading[],
  reports: Record<string, StepReport>,
): string {
  const step = stepOf(state, reading.step);
  if (!step?.kind.place) return reading.place;
  const then: Facts = {
    ...state,
    attempt: reading.attempt,
    readings: [...before],
    repeats: state.repeats
      .filter((r) => r.step !== reading.step)
      .concat(state.repeats.filter((r) => r.step === reading.step).slice(0, reading.round)),
  };
  try {
    const place = step.kind.place(then, step, reading.place, reports);
    return typeof place === 'string' ? reading.place : place.label.replace(/^[a-z]/, (c) => c.toUpperCase());
  } catch {
    return reading.place;
  }
}
