import { comesBefore } from './answers.ts';
import { answered } from './facts.ts';
import { ISOLATION } from './isolation.ts';
import type { JobState } from './state.ts';
import type { GateItem, StepDefinition } from './step.ts';

const stepStands = (state: JobState, step: StepDefinition) => state.steps.find((s) => s.id === step.id);

/** Questions of a step that nobody has answered yet and that can be answered now. */
const unanswered = (state: JobState, step: StepDefinition): GateItem[] =>
  answered(state, step).flatMap(({ item, answer }) =>
    answer === undefined && comesBefore(stepStands(state, step), item) === null ? [item] : [],
  );

/**
 * The acts of a step that may be told together, as they are listed: only what is done, never what is looked for, and nothing
 * where each comes in its turn or on which the isolation hangs.
 */
export const actsLeft = (state: JobState, step: StepDefinition): GateItem[] =>
  step.inOrder || step.starts ? [] : unanswered(state, step).filter((i) => i.act === true);

/** What is the last thing a step waits for, where one touch can tell it: its acts, a question, or what is left of a pass of bolts. */
export type LastToTell =
  | { what: 'acts'; items: GateItem[] }
  | { what: 'pass'; count: number; round: boolean };

/**
 * The one thing a step still waits for, so that telling it and going on is one touch; null where there is more to it, where a
 * verdict comes first, and where nothing may be told by the way: the isolation, the start.
 */
export function lastToTell(state: JobState, step: StepDefinition): LastToTell | null {
  const stands = stepStands(state, step);
  if (!stands || step.inOrder || step.starts || step.standsOn?.includes(ISOLATION) || step.kind.place)
    return null;
  // What has a verdict of its own is read before anybody goes on.
  if (stands.blocking.length !== 1 || stands.blocking[0]?.verdict !== 'incomplete') return null;
  const due = step.kind.due?.(stands.report);
  const items = unanswered(state, step);
  if (due) {
    const left = step.kind.leftOfPass?.(stands.report);
    return left && due.last && items.length === 0
      ? { what: 'pass', count: left.length, round: due.round }
      : null;
  }
  const told = items.every((i) => i.act) || (items.length === 1 && !items[0]?.note);
  return told && items.length > 0 && ahead(state, step) === 0 ? { what: 'acts', items } : null;
}

const ahead = (state: JobState, step: StepDefinition): number => step.kind.ahead?.(state, step).length ?? 0;
