import type { Text } from '../message/message.ts';
/**
 * What is looked at when a part has come out, and what it points to. Rules are data; every one is common practice, no source, unless it
 * says otherwise. `weight` is how strongly it speaks: 1 hints, 2 points, 3 as good as shows it; negative speaks against.
 */

export type LookedAt = {
  id: string;
  ask: Text;
  /** Where to look, for whoever does it the first time. */
  look: Text;
  answers: ReadonlyArray<readonly [id: string, words: Text]>;
};

export type Sign =
  | { kind: 'seen'; question: string; answers: readonly string[]; weight: number; words: Text }
  /** A number of the last fit-up of this position: beyond, or within. */
  | { kind: 'read'; result: string; over?: number; under?: number; weight: number; words: Text }
  /** How long it lived, days. */
  | { kind: 'lived'; over?: number; under?: number; weight: number; words: Text };

export type Cause = {
  id: string;
  cause: Text;
  /** What to look into before the next one goes in. */
  next: Text;
  signs: readonly Sign[];
};

/** What is looked at when a part of a kind has come out, and what that points to. The id is kept with every report. */
export type FailureGuide = {
  id: string;
  /** The part, as one is chosen among others. */
  part: Text;
  title: Text;
  questions: readonly LookedAt[];
  causes: readonly Cause[];
};

/** An answer to a question, or one of several. */
export const seen = (
  question: string,
  answers: string | readonly string[],
  weight: number,
  words: Text,
): Sign => ({
  kind: 'seen',
  question,
  answers: typeof answers === 'string' ? [answers] : answers,
  weight,
  words,
});

/** A number of the last fit-up beyond a limit. */
export const over = (result: string, limit: number, weight: number, words: Text): Sign => ({
  kind: 'read',
  result,
  over: limit,
  weight,
  words,
});

/** One short of it. */
export const under = (result: string, limit: number, weight: number, words: Text): Sign => ({
  kind: 'read',
  result,
  under: limit,
  weight,
  words,
});

/** It lived less than so many days. */
export const youngerThan = (days: number, weight: number, words: Text): Sign => ({
  kind: 'lived',
  under: days,
  weight,
  words,
});

/** It lived more. */
export const olderThan = (days: number, weight: number, words: Text): Sign => ({
  kind: 'lived',
  over: days,
  weight,
  words,
});
