import type { Schema } from 'yup';
import type { Drawing } from '../judgement/drawing.ts';
import type { HouseRules } from '../sources/schools.ts';
import type { Hand } from './hand.ts';
import type { Reopening } from './reopening.ts';
import type { Rig } from './rig.ts';
import type { Setup } from './setup.ts';
import type { Facts, JobState } from './state.ts';
import type { Procedure } from './step.ts';

/** What a job came to, by name: lengths in mm, torques in N·m; null where it has none such. */
export type Results = Record<string, number | string | readonly number[] | null>;

/** Numbers a job came to, and what the sheet says of them: heading and text. */
export type Came = { results: Results; rows: Array<[string, string]> };

/** Something that falls due, how long it takes, and when. */
export type Due = { what: string; at: string; minutes: number };

/** A signed job of the same position, as far as a trade may ask. */
export type Past = { signedAt: string; results: Results };

/** What a hand must be able to do for a piece of an outage. */
export const SKILLS = ['bearings', 'seals', 'boxes', 'pumps', 'measuring', 'leading'] as const;
export type Skill = (typeof SKILLS)[number];
/** What is shared by all hands in an outage. */
export const SHARED_TOOLS = [
  'hydraulic pump',
  'crane',
  'torque wrench',
  'dial on a base',
  'run-in watch',
] as const;
export type SharedTool = (typeof SHARED_TOOLS)[number];

/**
 * A piece of a job in an outage: steps done in one go, what they take, how long. Minutes are least, most likely and most, common
 * practice, no source, until enough of the plant’s own signed sheets tell.
 */
export type TradeTask = {
  id: string;
  name: string;
  /** Its steps; a star stands for anything. Steps nobody names belong to the piece before them. */
  steps: readonly string[];
  skill: Skill;
  hands: number;
  tools?: readonly SharedTool[];
  minutes: readonly [least: number, likely: number, most: number];
  /** Minutes after it that take no hands and hold the machine: a run-in, a cure. */
  waits?: number;
  /** It may rest over a break. */
  pauses?: true;
  /** What may be found there, how often, and the minutes that adds. Common practice, no source. */
  finds?: { what: string; odds: number; minutes: readonly [number, number, number] };
};

/** Something to be laid out before the work begins. */
export type KitLine = {
  group: 'bearings' | 'seals' | 'parts' | 'rope' | 'bolts' | 'grease' | 'gaskets' | 'shims';
  item: string;
  count: number;
  unit: 'piece' | 'mm' | 'g' | 'mL';
};

/** Texts of a trade, with quantity marks. */
export type TradeWords<S extends Setup> = {
  /** In the list of work to open a job for: what it is, and of what kind. */
  offer: readonly [string, string];
  /** It measures and fits nothing: the diameters may be left out. */
  measuresOnly?: true;
  /** What its setup is about, as the heading over it; what of it is usually changed, after “Change”. */
  setup: string;
  changes: string;
  /** What its sheet is called. */
  sheet: string;
  /** What a name under the sheet says of the work: “Fitted”. */
  signed: string;
  /** What a job came to: the numbers asked for a year later, and how they are said; a dash where there is none. */
  came(state: JobState<S>): Came;
  /** What stands on its sheet as drawings, where there is something to draw. */
  drawings(state: JobState<S>): Drawing[];
  /** What falls due after it, beside the next reading of a step: signed or not. `at` as events write times. */
  due?(state: JobState<S>): Due[];
  /** Where it comes among the work at one machine: taken off, measured, bearings on, what shuts it; a round goes by itself. */
  comes: 'off' | 'measured' | 'bearing' | 'shut' | 'round';
  /** What it is in an outage, in the order of the work. */
  tasks: readonly TradeTask[];
  /** What it takes beside its part and its bolts. */
  kit?(setup: S): KitLine[];
  /** The largest torque its bolts are to get, N·m, where the setup says it: which wrench reaches it. */
  torqueNm?(setup: S): number | undefined;
  /** Which bearing of its shaft it is about, where it is about one. */
  role?(setup: S): 'fixed' | 'float';
};

/** Taking back on a trade’s jobs: whether it may be done now, and whether there is no other way on. */
export type TakingBack<S extends Setup> = Reopening & {
  may(facts: Facts<S>): string | null;
  onlyWay?(state: JobState<S>): boolean;
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
  /** What the house rules of today say of a new one. */
  byRules?(rules: Required<HouseRules>): Partial<S>;
  /** What a stamp on the part says, as such stamps are read; nothing where it is none. */
  fromStamp?(stamp: string): Partial<S>;
  /** What the plant keeps, as a new one begins with it: sections of packing in the store, mm. */
  fromPlant?(plant: { stockMm: readonly number[] }): Partial<S>;
  /** What the past of its position tells a new one, the newest first: a baseline, what was left. */
  fromPast?(past: readonly Past[]): Partial<S>;
  /** The order of work. */
  procedure(setup: S): Procedure<S>;
  words: TradeWords<S>;
  /** What taking back and doing anew is on this job; left out where there is no such thing. */
  reopening?(setup: S): TakingBack<S> | null;
  /** Setups of each of its variants, and how a hand works them by the book: for the demo, practice and tests. */
  example: Example<S>;
  /** Benches to practise it at, over a hidden truth. */
  rigs?: readonly Rig[];
  /** What kind of part it fits, for whoever looks at it when it has come out. */
  fits?: 'face-seal' | 'gland-rings' | 'rolling-bearing';
  /** Why each step is there, a paragraph by step id; a number at the end of an id counts sides and is not told apart. */
  why?: Readonly<Record<string, string>>;
  /** The step after which a fixed bearing stands at its place for good. */
  fixedAfter?: string;
};

/** A trade as the house holds it. */
export const defineTrade = <S extends Setup>(trade: Trade<S>): Trade => trade;
