import type { Schema } from 'yup';
import type { Params } from '../judgement/result.ts';
import type { Text } from '../message/message.ts';
import type { Setup } from './setup.ts';
import type { ActDone, Facts, JobState } from './state.ts';

/** What an act is called: on the button, on the sheet, and what is asked before it. */
export type ActWords = {
  does: Text;
  said: Text;
  ask: Text;
  confirm: Text;
  /** The usual caution at it. */
  caution: Text;
  /** What it is called where there is no other way on. */
  onward?: Text;
};

/** What an act undoes: the steps, which open again with all that stands on them, or the attempt, and a new one begins. */
export type Undoes = readonly string[] | 'attempt';

/**
 * Something of its own that happens on the jobs of a trade, or at a kind of step, beside readings, answers and bolts. The engine
 * knows that it has a name, parameters and what it undoes; what it means is the trade's.
 */
export type Act<S extends Setup = Setup> = {
  id: string;
  /** What events of before acts called it. */
  formerly?: string;
  /** Its parameters; nothing where it has none. */
  params?: Schema<Params>;
  /** It is done for a reason, which is asked and printed under these words; without them it is done by the step's own view. */
  words?: ActWords;
  /** Nothing where it is only noted. */
  undoes?: Undoes;
  /** May it be done now? A sentence where not. */
  may(state: JobState<S>, params: Params): Text | null;
  /** There is no other way on. */
  onlyWay?(state: JobState<S>): boolean;
  /** Its parameter `job` names another job: what is kept of that one as its own record has it, or why it does not count. */
  ofOtherJob?(other: JobState, number: string, state: JobState<S>): Params | Text;
};

/** An act as a job has it: one of a kind of step is done at that step, while it is the present one. */
export type ActHere = Act & { step?: string };

/** The last time an act was done on a job. */
export const lastDone = (facts: Pick<Facts, 'done'>, act: string): ActDone | undefined =>
  facts.done.findLast((d) => d.act === act);
