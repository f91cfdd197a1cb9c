import type { Schema } from 'yup';
import type { Drawing } from '../judgement/drawing.ts';
import type { Text } from '../message/message.ts';
import type { Depth } from '../sources/methods.ts';
import type { Act } from './act.ts';
import type { KindFigure } from './figure.ts';
import type { Hand } from './hand.ts';
import type { Setup } from './setup.ts';
import type { Results, Slots } from './slots.ts';
import type { JobState } from './state.ts';
import type { Procedure } from './step.ts';

/** Numbers a job came to, and what the sheet says of them: heading and text. */
export type Came = { results: Results; rows: Array<[Text, Text]> };

/** A signed job of the same position, as far as a trade may ask. */
export type Past = { signedAt: string; results: Results };

/** Texts of a trade. */
export type TradeWords<S extends Setup> = {
  /** In the list of work to open a job for: what it is, and of what kind. */
  offer: readonly [Text, Text];
  /** It measures and fits nothing: the diameters may be left out. */
  measuresOnly?: true;
  /** What its setup is about, as the heading over it; what of it is usually changed, after “Change”. */
  setup: Text;
  changes: Text;
  /** What its sheet is called. */
  sheet: Text;
  /** What a name under the sheet says of the work: “Fitted”. */
  signed: Text;
  /** What a job came to: the numbers asked for a year later, and how they are said; a dash where there is none. */
  came(state: JobState<S>): Came;
  /** What stands on its sheet as drawings, where there is something to draw. */
  drawings(state: JobState<S>): Drawing[];
};

/** How the steps of a trade are worked by the book, by step id; a step not named is questions only, or bolts. */
export type Work<S extends Setup> = Record<string, { by(h: Hand, setup: S): unknown }['by']>;
export type Example<S extends Setup> = { setups: Record<string, S>; work: Work<S> };

/**
 * A trade: one kind of job, whole. All the house knows of it stands in its own folder, and comes in through here.
 */
export type Trade<S extends Setup = Setup> = {
  /** What a setup calls it, and what older setups called it; the oldest named no trade at all. */
  id: string;
  also?: readonly string[];
  oldest?: true;
  /** The shape of its setup, each field with what is asked for it. */
  schema: Schema;
  /** A usual setup to begin from. Nothing of it is a limit. */
  usual: Partial<S>;
  /** What a new job asks for at a depth of check: which measures, and how many places of each. */
  usualAt?(depth: Depth): Partial<S>;
  /** What a stamp on the part says, as such stamps are read; nothing where it is none. */
  fromStamp?(stamp: string): Partial<S>;
  /** What has to be looked at on the part before such a stamp is relied on. */
  asksOfStamp?(stamp: string): Text[];
  /** A setup with what follows from the rest of it, and is not asked for. */
  completed?(setup: S): S;
  /** What the past of its position tells a new one, the newest first: a baseline, what was left. */
  fromPast?(past: readonly Past[]): Partial<S>;
  /** The order of work. */
  procedure(setup: S): Procedure<S>;
  words: TradeWords<S>;
  /** What it gives the rest of the product. */
  slots: Slots<S>;
  /** What is drawn of its kinds of step, and of those it shares. */
  figures?: readonly KindFigure[];
  /** Acts of its own that can happen on such a job. */
  acts?(setup: S): ReadonlyArray<Act<S>>;
  /** Setups of each of its variants, and how a hand works them by the book: for the demo, practice and tests. */
  example: Example<S>;
  /** Why each step is there, a paragraph by step id; a number at the end of an id counts sides and is not told apart. */
  why?: Readonly<Record<string, Text>>;
};

/** A trade as the house holds it. */
export const defineTrade = <S extends Setup>(trade: Trade<S>): Trade => trade;
