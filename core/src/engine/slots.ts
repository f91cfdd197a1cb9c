import type { Shape } from '../judgement/drawing.ts';
import type { Text } from '../message/message.ts';
import type { Quantity } from '../quantities/measured.ts';
import type { Method, SiteRules } from '../sources/methods.ts';
import type { FailureGuide } from './failure.ts';
import type { Rig } from './rig.ts';
import type { Setup } from './setup.ts';
import type { JobState } from './state.ts';

/** What a job came to, by name: lengths in mm, torques in N·m; null where it has none such. */
export type Results = Record<string, number | string | readonly number[] | null>;

/** How a series of results counts. */
export type SeriesQuantity = Quantity | 'drops';

/** A number followed over the years of a position: the same series may be fed by several trades. */
export type Series = {
  id: string;
  label: Text;
  quantity: SeriesQuantity;
  /** How its readings sit and step, mm, where that is known: only then the day it meets its limit is told. */
  sits?: { stepsBy: number; scatterMm: number };
};

/** A result that feeds a series; `found` where it says what a part was met with, not what it was left with. */
export type Fed = { series: Series; found?: true };

/** Something to be laid out before the work begins. The group is a heading of the list. */
export type KitLine = {
  group: string;
  item: Text;
  count: number;
  unit: 'piece' | 'mm' | 'g' | 'mL';
};

/**
 * A piece of a job in an outage: steps done in one go, what they take, how long. Minutes are least, most likely and most, common
 * practice, no source, until enough of the site’s own signed sheets tell.
 */
export type TradeTask = {
  id: string;
  name: Text;
  /** Its steps; a star stands for anything. Steps nobody names belong to the piece before them. */
  steps: readonly string[];
  /** What a person must be able to do: one word, the same for every task that asks for it. */
  skill: string;
  hands: number;
  /** What of the shared tools it takes, each by its name. */
  tools?: readonly string[];
  minutes: readonly [least: number, likely: number, most: number];
  /** Minutes after it that take no hands and hold the machine: a run-in, a cure. */
  waits?: number;
  /** It may rest over a break. */
  pauses?: true;
  /** What may be found there, how often, and the minutes that adds. Common practice, no source. */
  finds?: { what: Text; odds: number; minutes: readonly [number, number, number] };
};

/**
 * Where a job comes among the work at one machine: a part taken off, the machine surveyed, what carries the shaft fitted, what
 * closes it, the coupling set; a round goes by itself.
 */
export type Stage = 'off' | 'survey' | 'carry' | 'close' | 'couple' | 'round';

/** Where on the drawing of a position a size is measured: where its leader ends, and its own dimension line. */
export type MeasuredPlace = { at: readonly [number, number]; line: string };

/**
 * A piece of the drawing of a position, on a strip 1000 wide and 216 high with the shaft’s axis at 110. It is drawn where one of
 * its sizes is asked for; without sizes of its own, always.
 */
export type PositionPiece = {
  shapes: readonly Shape[];
  places: Readonly<Record<string, MeasuredPlace>>;
};

/** The part a trade fits, for its card and for whoever looks at it when it has come out. */
export type PartSlot = {
  /** Groups of the setup that a maker’s sheet or drawing of the part fills. */
  groups: readonly Text[];
  /** Where the part stands in the list of what is laid out. */
  kit?: string;
  /** What is looked at when it has come out, and what it points to. */
  failure?: FailureGuide;
};

/** What a trade gives the rest of the product beside its steps. All of it is optional but what an outage cannot do without. */
export type Slots<S extends Setup = Setup> = {
  /** Methods a site chooses among for this work. */
  methods?: readonly Method[];
  /** What a new setup begins with by the methods chosen. */
  byRules?(rules: SiteRules): Partial<S>;
  /** What the site keeps, as a new setup begins with it: sections of packing in the store, mm. */
  fromPlant?(plant: { stockMm: readonly number[] }): Partial<S>;
  /** Which of its results are followed over the years. */
  history?: Readonly<Record<string, Fed>>;
  part?: PartSlot;
  /** The position as it is drawn when a job is opened, from left to right; where nothing is said, nothing is drawn. */
  position?: readonly PositionPiece[];
  /** Its stage; a function where that hangs on the setup. */
  stage: Stage | { by(setup: S | undefined): Stage }['by'];
  /** What it is in an outage, in the order of the work. */
  tasks: readonly TradeTask[];
  /** What it takes beside its part. */
  kit?(setup: S): KitLine[];
  /** The largest torque its bolts are to get, N·m, where the setup says it: which wrench reaches it. */
  torqueNm?(setup: S): number | undefined;
  /** Which bearing of its shaft it is about, where it is about one. */
  role?(setup: S): 'fixed' | 'float';
  /** The step after which a fixed bearing stands at its place for good. */
  fixedAfter?: string;
  /** Practice jobs, with true values the learner does not see. */
  practice?: readonly Rig[];
  /** What falls due after it, beside the next reading of a step: signed or not. `at` as events write times. */
  due?(state: JobState<S>): Due[];
};

/** Something that falls due, how long it takes, and when. */
export type Due = { what: Text; at: string; minutes: number };
