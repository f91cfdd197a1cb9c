import type { Instrument } from '../instruments/instrument.ts';
import type { Params } from '../judgement/result.ts';
import type { Said } from './said.ts';
import type { JobState, Place } from './state.ts';

/** A gauge in hand, by its kind. */
export type Tool = Instrument['kind'];

/** Somebody at a job, as a trade's example works it. What is not allowed throws with the refusal. */
export type Hand = {
  readonly state: JobState;
  read(step: string, place: string, value: number, tool: Tool): Hand;
  /** The places a step asks for, one after the other, as long as it asks; `value` says what the gauge shows there. */
  follow(step: string, tool: Tool, value: (place: Place) => number, most?: number): Hand;
  answer(step: string, item: string, answer: Said, note?: string): Hand;
  /** Every question of a step that is not answered yes is answered yes. */
  answerAll(step: string): Hand;
  /** Bolts in their pattern; `moved` says how far each still turned in a round that settles, by round from 1. */
  tighten(step: string, moved?: (round: number, bolt: number) => number, ticks?: number): Hand;
  /** An act of the trade, or of the step’s kind. */
  act(act: string, params?: Params, reason?: string): Hand;
  wait(minutes: number): Hand;
};
