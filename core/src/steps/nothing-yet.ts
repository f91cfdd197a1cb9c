import type { StepReport } from '../engine/state.ts';
import type { Text } from '../message/message.ts';

/** The report of a step that has nothing to judge before another is done: only what to do first. */
export const nothingYet = (act: Text): StepReport<null> => ({
  findings: [],
  working: [],
  beams: [],
  values: null,
  next: null,
  act,
});
