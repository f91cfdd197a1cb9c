import type { Instrument } from '../instruments/instrument.ts';
import type { Beam, Finding, Params, WorkingLine } from '../judgement/result.ts';
import type { Text } from '../message/message.ts';
import type { Verdict } from '../metrology/decision.ts';
import type { Author } from './author.ts';
import type { PlaceQuantity } from './place-quantity.ts';
import type { GateItem } from './question.ts';
import type { Said } from './said.ts';
import type { Setup } from './setup.ts';

/** Why a number is not there. */
export type LackingWhy = 'not-measured' | 'snug-by-hand' | 'sheet-gives-none';

/** What is to be said of an entry's time: made without network, by a device whose clock is off, or told later than it was read. */
export type ClockMark = {
  kind: 'offline' | 'off' | 'earlier';
  /** The time the device gave it, and when the server had it. */
  deviceAt: string;
  storedAt: string;
  /** How far the device’s clock stood ahead of the server’s when it was sent, seconds. */
  aheadS: number;
};

/** Who and when. `at` is the time waits are judged by; where that is not the device’s plain word, `clock` says why. */
export type Stamp = { at: string; author: Author; clock?: ClockMark };

export type Reading = Stamp & {
  id: string;
  step: string;
  place: string;
  /** In the unit inside, by the gauge: mm, degrees, MPa, °C, strokes. */
  value: number;
  raw: string;
  instrument: Instrument;
  /** Which drive-up it belongs to: 1, and one more after each dismounting. */
  attempt: number;
  /** Which measuring of its step: 0, and one more after each repeat. */
  round: number;
  via?: 'port' | 'file' | undefined;
  /** Where it was read again with nothing done between: every value there, and `value` is their mean. */
  repeats?: readonly number[] | undefined;
  withdrawn?: Stamp & { reason: string };
};

export type BoltTick = Stamp & {
  id: string;
  step: string;
  attempt: number;
  round: number;
  pass: number;
  bolt: number;
  torqueNm: number;
  moved: boolean;
  movedDeg?: number | undefined;
  /** Told as it really went: another bolt than the pattern's next. */
  asDone?: boolean | undefined;
  /** Told with the rest of its pass, in one statement: they share its id. */
  told?: true;
  instrument: Instrument;
  withdrawn?: Stamp & { reason: string };
};

/** An answer, and those it took the place of, oldest first: found, then put right. */
export type Answer = Stamp & {
  before?: ReadonlyArray<Omit<Answer, 'before'>>;
  /** Why it was corrected after its step was passed. */
  reason?: string;
  id: string;
  step: string;
  item: string;
  answer: Said;
  note?: string | undefined;
  attempt: number;
};

export type Deviation = Stamp & {
  id: string;
  step: string;
  finding: string;
  /** What was accepted; null where no finding of its code stood when it was given: it prints, and covers nothing. */
  params: Params | null;
  /** The sentence as it stood then, for the sheet. */
  stands: Text;
  reason: string;
  attempt: number;
};

/** A pin through a step: set with the job, or put in by hand; released by a lead hand. */
export type Hold = {
  step: string;
  planned: boolean;
  reason: Text;
  set?: Stamp;
  released?: Stamp & { note?: Text | undefined };
};

/** A change of the setup; `seen` by a second person where it would lift a stop on what was read before it. */
export type SetupChange = Stamp & {
  id: string;
  before: Setup;
  after: Setup;
  reason: string;
  /** Steps that had readings when it was made. */
  readAt: string[];
  seen?: Stamp;
};

/**
 * A step that was passed; `changes` counts the changes of the setup made before it, `act` all acts: what was
 * asked then, and what has been touched since, is known by these.
 */
export type Pass = Stamp & { step: string; attempt: number; changes: number; act: number };

/** A round of a step that was opened again: what it held then stays on the sheet and counts no more. */
export type Past = Stamp & {
  step: string;
  because: Text;
  readings: Reading[];
  answers: Answer[];
  ticks: BoltTick[];
  deviations: Deviation[];
  passes: Pass[];
  findings: Finding[];
  values: unknown;
  before: NonNullable<StepReport['before']>;
};

/** What a changed setup no longer asks, as it stood: it stays on the sheet and counts no more. */
export type Struck = Stamp & {
  id: string;
  /** The change of the setup that struck it, and why it was made. */
  change: string;
  reason: string;
  step: string;
  title: Text;
  /** The step it came after, and prints after; null where it was the first. */
  follows: string | null;
  /** The whole step is gone, not parts of it. */
  whole: boolean;
  readings: Reading[];
  answers: Answer[];
  /** What the answers were given to, by the id of the question. */
  asks: Readonly<Record<string, Text>>;
  ticks: BoltTick[];
  deviations: Deviation[];
  passes: Pass[];
  repeats: Array<Stamp & { id: string; step: string; done?: string | undefined }>;
  past: Past[];
  holds: Hold[];
  findings: Finding[];
  /** Stops among them that nobody had accepted: the signature waits until a second person has looked at the change. */
  stops: Finding[];
  values: unknown;
};

/** A number that is not there, and why: not measured, snug by hand, the sheet gives none. `until` where it was read after all. */
export type Lacking = Stamp & {
  id: string;
  step: string;
  /** Which measuring of its step: 0, and one more after each repeat. */
  round: number;
  why: LackingWhy;
  reason: string;
  until?: Stamp;
};

/** A signature under the sheet; a revision is signed anew. */
export type Signature = Stamp & { name: string; revision: number; running?: true };

/** An act of the trade, or of a kind of step, as it was done. */
export type ActDone = Stamp & { id: string; act: string; params: Params; reason: string | null };

/** The facts of a job, folded from its events; nothing here is judged. */
export type Facts<S extends Setup = Setup> = {
  jobId: string;
  positionId: string;
  opened: Stamp;
  setup: S;
  setupChanges: SetupChange[];
  attempt: number;
  readings: Reading[];
  answers: Answer[];
  ticks: BoltTick[];
  /** `act` where they were loosened by a step of the work: what it is called in the trade, never what somebody typed. */
  loosened: Array<Stamp & { id: string; step: string; reason: Text; attempt: number; act?: Text }>;
  /** Acts of the trade and of its kinds of step, oldest first. */
  done: ActDone[];
  deviations: Deviation[];
  holds: Hold[];
  passes: Pass[];
  /** Steps measured anew, and what was done in between. */
  repeats: Array<Stamp & { id: string; step: string; done?: string | undefined }>;
  notes: Array<Stamp & { id: string; text: string }>;
  photos: Array<
    Stamp & { id: string; step: string; hash: string; words: string; width: number; height: number }
  >;
  /** What steps held before they were opened again, oldest first. */
  past: Past[];
  /** How many acts were laid on the job, and at each step the last that touched it. */
  acts: number;
  touched: Readonly<Record<string, number>>;
  /** Numbers that were said not to be there. */
  lacking: Lacking[];
  /** What changes of the setup have struck, oldest first. */
  struck: Struck[];
  /** The signature that stands; null while the sheet is open, also for a revision. */
  signed: Signature | null;
  /** The signature of a sheet that runs, with checks to come: the job is open for these alone. */
  running: Signature | null;
  /** Every signature ever given. */
  signatures: Signature[];
  /** Opened by mistake, by whom it was cancelled and why; not there on any other job. */
  cancelled?: Stamp & { reason: string };
  /** Each time a signed sheet was opened again to be corrected. */
  revisions: Array<Stamp & { reason: string }>;
};

/** Somewhere a reading is taken: what to type there and what could be believed. */
export type Place = {
  key: string;
  label: Text;
  quantity: PlaceQuantity;
  /** Outside these the number is not believed at all: a slip of unit or finger. In the unit inside. */
  low: number;
  high: number;
  /** Gauges it can be read with, the usual one first. */
  instrumentKinds: ReadonlyArray<Instrument['kind']>;
  /** Where the part under the gauge is turned to, and which station along it: a stand-in follows. */
  turn?: { station: number; atMm: number; angleDeg: number };
  /** The size of what is measured, mm: which micrometer reaches. */
  nominalMm?: number;
  /** How long after the start it is read, minutes, −1 before it: a stand-in thermometer follows. */
  minutes?: number;
  /**
   * Values that lie ready to be touched: where a joint is to stand, the plates of a comparator. In the unit inside; only with a gauge
   * that steps at least as coarsely as `step`, where one is given.
   */
  offers?: { values: readonly number[]; step?: number };
  /** Flats turned so far on each nut: a stand-in’s leak follows. */
  flats?: number;
};

export type PlaceChoice = { key: string; label: Text };

/** What a step kind says of its step at this moment. */
export type StepReport<V = unknown> = {
  findings: Finding[];
  working: WorkingLine[];
  beams: Beam[];
  /** Kind-specific numbers for the figure and the sheet. */
  values: V;
  /** The next reading to take, where the step takes readings. */
  next: Place | null;
  /** Other places that can be read now. */
  choices?: PlaceChoice[];
  /** Where any angle of a turn may be read: what its key begins with, and how many angles are wanted. */
  turn?: { prefix: string; wanted: number };
  /** When the next reading is due, where the step keeps times. */
  dueAt?: string | null;
  /** The measurings before this one, oldest first, with what was done after each. */
  before?: Array<{ done?: string | undefined; stamp: Stamp; values: unknown; findings: Finding[] }>;
  /** Checks still to come, with the time each is due: once only these are open the sheet may be signed as running. */
  toCome?: ReadonlyArray<{ what: Text; at: string }>;
  /** Fields of the setup it waits for: they are said here. */
  asks?: readonly string[];
  /** What to do now, in words. */
  act: Text;
  /** It could not be worked out: the fault, in a sentence. The rest of the sheet lives. */
  failed?: Text;
  /** Questions beside the step’s own: what was lifted and seen by nobody else, before the machine is started. */
  also?: readonly GateItem[];
  /** Stops of this step that a change of the setup has lifted, and that nobody else has looked at. */
  lifted?: ReadonlyArray<{ change: string; finding: Finding }>;
};

export type StepStatus = 'done' | 'present' | 'closed';

export type StepState = {
  id: string;
  title: Text;
  status: StepStatus;
  /** Why the door is closed. */
  because?: Text;
  report: StepReport | null;
  /** Gravest open verdict, deviations taken off. */
  verdict: Verdict;
  /** Findings that stand: not accepted by a lead hand. */
  open: Finding[];
  /** Those of them that are in the way. */
  blocking: Finding[];
  passed?: Stamp;
  /** Passed by the rules of then: nothing it stands on was touched since, and today’s would hold it up. It stays passed. */
  byRulesOfThen?: true;
  hold?: Hold;
  /** Closed for now by what was opened before it; it was passed, and its pass stands. */
  kept?: true;
  /** It had been passed or begun, and was opened again by what was undone since. */
  reopened?: Stamp & { because: Text };
};

export type JobState<S extends Setup = Setup> = Facts<S> & { steps: StepState[]; present: string | null };
