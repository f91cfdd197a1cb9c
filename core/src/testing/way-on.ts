import { isSettled } from '../engine/answers.ts';
import { answered } from '../engine/facts.ts';
import type { JobState } from '../engine/state.ts';
import { stepOf } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import type { BoltValues } from '../steps/bolt-passes.ts';
import { english } from './english.ts';

/**
 * How a job goes on from where it stands: what may be done now, or the sentence that says what to do.
 * @returns nothing where it is stuck: nothing to read, answer or tighten, and no finding in the way that says what puts it right
 */
export function wayOn(state: JobState): Text[] {
  const present = state.steps.find((s) => s.id === state.present);
  if (!present) return ['the sheet is signed'];
  const { report, blocking, hold } = present;
  if (hold && !hold.released) return ['a lead hand releases it'];
  if (blocking.length === 0) return ['it passes'];
  const step = stepOf(state, present.id);
  const values = report?.values as BoltValues | null | undefined;
  return [
    ...(report?.next ? [report.next.label] : []),
    ...(report?.choices ?? []).map((c) => c.label),
    ...(report?.turn ? ['any angle'] : []),
    ...(step
      ? answered(state, step).flatMap(({ item, answer }) => (isSettled(answer, item) ? [] : [item.ask]))
      : []),
    ...(values && typeof values === 'object' && 'passes' in values && values.next ? ['the next bolt'] : []),
    ...blocking.flatMap((f) =>
      f.remedy
        ? [f.remedy]
        : f.acceptable
          ? [`accept: ${english(f.reason)}`]
          : // What is only not done yet says so: parts are tagged, laid out and counted by acts of their step's own.
            f.verdict === 'incomplete'
            ? [f.reason]
            : [],
    ),
  ];
}
