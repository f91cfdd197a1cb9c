import type { Author, Instrument } from '../api/events.ts';
import type { Setup } from '../api/setup.ts';
import type { Beam, Finding, WorkingLine } from '../calculators/result.ts';
import type { Verdict } from '../metrology/decision.ts';
import type { FixedNamed } from '../procedures/kinds/fixed-first.ts';

export type Stamp = { at: string; author: Author };

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
  instrument: Instrument;
};

export type Answer = Stamp & {
  id: string;
  step: string;
  item: string;
  answer: 'yes' | 'no';
  note?: string | undefined;
  attempt: number;
};

export type Deviation = Stamp & {
  id: string;
  step: string;
  finding: string;
  stands: string;
  reason: string;
  attempt: number;
};

/** A pin through a step: set with the job, or put in by hand; released by a lead hand. */
export type Hold = {
  step: string;
  planned: boolean;
  reason: string;
  set?: Stamp;
  released?: Stamp & { note?: string | undefined };
};

export type SetupChange = Stamp & { id: string; before: Setup; after: Setup; reason: string };

/** The facts of a job, folded from its events; nothing here is judged. */
export type Facts = {
  jobId: string;
  positionId: string;
  opened: Stamp;
  setup: Setup;
  setupChanges: SetupChange[];
  attempt: number;
  readings: Reading[];
  answers: Answer[];
  ticks: BoltTick[];
  loosened: Array<Stamp & { id: string; step: string; reason: string; attempt: number }>;
  dismounted: Array<Stamp & { id: string; reason: string }>;
  deviations: Deviation[];
  holds: Hold[];
  passes: Array<Stamp & { step: string; attempt: number }>;
  /** Steps measured anew, and what was done in between. */
  repeats: Array<Stamp & { id: string; step: string; done: string }>;
  notes: Array<Stamp & { id: string; text: string }>;
  /** Jobs named as those that mounted the fixed bearing of this shaft, the last one counting. */
  fixedNamed: Array<Stamp & FixedNamed>;
  signed: (Stamp & { name: string }) | null;
};

/** `dial` is a deviation of either sign, `length` a size measured plainly, `roughness` a height in mm said in µm. */
export type PlaceKind =
  | 'diameter'
  | 'gap'
  | 'angle'
  | 'dial'
  | 'length'
  | 'roughness'
  | 'pressure'
  | 'temperature'
  | 'count'
  | 'flats';

/** Somewhere a reading is taken: what to type there and what could be believed. */
export type Place = {
  key: string;
  label: string;
  kind: PlaceKind;
  /** Outside these the number is not believed at all: a slip of unit or finger. In the unit inside. */
  low: number;
  high: number;
  /** Gauges it can be read with, the usual one first. */
  instrumentKinds: ReadonlyArray<Instrument['kind']>;
  /** Where the part under the gauge is turned to, and which station along it: a stand-in follows. */
  turn?: { station: number; atMm: number; angleDeg: number };
  /** How long after the start it is read, minutes, −1 before it: a stand-in thermometer follows. */
  minutes?: number;
  /** Flats turned so far on each nut: a stand-in’s leak follows. */
  flats?: number;
};

export type PlaceChoice = { key: string; label: string };

/** What a step kind says of its step at this moment. */
export type StepReport = {
  findings: Finding[];
  working: WorkingLine[];
  beams: Beam[];
  /** Kind-specific numbers for the figure and the sheet. */
  values: unknown;
  /** The next reading to take, where the step takes readings. */
  next: Place | null;
  /** Other places that can be read now. */
  choices?: PlaceChoice[];
  /** Where any angle of a turn may be read: what its key begins with. */
  freeAngle?: string;
  /** The measurings before this one, oldest first, with what was done after each. */
  before?: Array<{ done: string; stamp: Stamp; values: unknown; findings: Finding[] }>;
  /** What to do now, in words. */
  act: string;
};

export type StepStatus = 'done' | 'present' | 'closed';

export type StepState = {
  id: string;
  title: string;
  status: StepStatus;
  /** Why the door is closed. */
  because?: string;
  report: StepReport | null;
  /** Gravest open verdict, deviations taken off. */
  verdict: Verdict;
  /** Findings that stand: not accepted by a lead hand. */
  open: Finding[];
  /** Those of them that are in the way. */
  blocking: Finding[];
  passed?: Stamp;
  hold?: Hold;
};

export type JobState = Facts & { steps: StepState[]; present: string | null };
