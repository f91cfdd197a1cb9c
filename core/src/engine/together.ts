import type { Text } from '../message/message.ts';
import { comesBefore } from './answers.ts';
import { answered } from './facts.ts';
import { ISOLATION } from './isolation.ts';
import type { JobState } from './state.ts';
import type { GateItem, StepDefinition } from './step.ts';

const stepStands = (state: JobState, step: StepDefinition) => state.steps.find((s) => s.id === step.id);

/** Nothing is told together where each comes in its turn, and nothing that the isolation or the start hangs on. */
const onlySingly = (step: StepDefinition): boolean =>
  step.inOrder === true || step.starts === true || step.standsOn?.includes(ISOLATION) === true;

/** Questions of a step that nobody has answered yet and that can be answered now. */
const unanswered = (state: JobState, step: StepDefinition): GateItem[] =>
  answered(state, step).flatMap(({ item, answer }) =>
    answer === undefined && comesBefore(stepStands(state, step), item) === null ? [item] : [],
  );

/** The acts of a step that may be told together, as they are listed: only what is done, never what is looked for. */
export const actsLeft = (state: JobState, step: StepDefinition): GateItem[] =>
  onlySingly(step) ? [] : unanswered(state, step).filter((i) => i.act === true);

/**
 * The step after this one, where its acts, or the last pass of its bolts, are all it still waits for: telling them and going on is one touch.
 * @returns null where there is more to it: a question that is no act, a verdict to be read, no way back after it
 */
export function goesOnTo(state: JobState, step: StepDefinition): Text | null {
  const at = state.steps.findIndex((s) => s.id === step.id);
  const stands = state.steps[at];
  const next = state.steps[at + 1];
  if (!stands || !next || onlySingly(step) || step.closes || step.kind.place) return null;
  if (stands.blocking.length !== 1 || stands.blocking[0]?.verdict !== 'incomplete') return null;
  const items = unanswered(state, step);
  const due = step.kind.due?.(stands.report);
  const last = due
    ? due.last && items.length === 0 && step.kind.leftOfPass?.(stands.report) != null
    : items.length > 0 && items.every((i) => i.act) && (step.kind.ahead?.(state, step).length ?? 0) === 0;
  return last ? next.title : null;
}
