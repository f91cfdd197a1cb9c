import type { Facts, JobState, Reading, StepReport } from '../engine/state.ts';
import { stepOf } from '../engine/trades.ts';
import { isText, starting, type Text } from '../message/message.ts';

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
): Text {
  const step = stepOf(state, reading.step);
  if (!step?.kind.place) return reading.place;
  const then: Facts = {
    ...state,
    attempt: reading.attempt,
    readings: [...before],
    // What was answered afterwards may have closed the place.
    answers: state.answers.filter((a) => a.at <= reading.at),
    repeats: state.repeats
      .filter((r) => r.step !== reading.step)
      .concat(state.repeats.filter((r) => r.step === reading.step).slice(0, reading.round)),
  };
  try {
    const at = (facts: Facts) => step.kind.place?.(facts, step, reading.place, reports) ?? '';
    const closed = at(then);
    // An answer given anew since is no longer there as it was: then as they stand now.
    const place = isText(closed) ? at({ ...then, answers: state.answers }) : closed;
    return isText(place) ? reading.place : starting(place.label);
  } catch {
    return reading.place;
  }
}
