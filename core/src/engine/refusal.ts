import type { Text } from '../message/message.ts';
import type { JobState, StepState } from './state.ts';

/** Why an event may not happen now, as a sentence; null where it may. */
export type Refusal = Text | null;

/** A step of a job by its id, as it stands. */
export const find = (state: JobState, id: string): StepState | undefined =>
  state.steps.find((s) => s.id === id);
