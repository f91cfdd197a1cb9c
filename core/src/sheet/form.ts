import type { Setup } from '../engine/setup.ts';
import type { Due, Results } from '../engine/slots.ts';
import type { ClockMark } from '../engine/state.ts';
import type { OpenUnit } from '../instruments/quantity.ts';
import type { Drawing } from '../judgement/drawing.ts';
import type { Text } from '../message/message.ts';
import type { Verdict } from '../metrology/decision.ts';
import type { Source } from '../sources/register.ts';
/** One block of a sheet; page, PDF and plain text draw each in their own way, none words it again. */
export type Block =
  | { block: 'results'; rows: Array<[Text, Text]> }
  /** Drawings that stand beside each other as the page has room. */
  | { block: 'drawings'; drawings: Drawing[] }
  | {
      block: 'photos';
      photos: Array<{ hash: string; words: string; small: Text; width: number; height: number }>;
    }
  | { block: 'heading'; text: Text }
  /** `lead` stands out before the text, `small` follows it. */
  | { block: 'line'; lead?: Text; text: Text; small?: Text; inset?: true }
  /** `verdicts`: its columns are a verdict, what it is of, its limit, whose that is; else a place, two numbers, who and when. */
  | { block: 'table'; of?: 'verdicts'; head: Text[]; rows: Array<{ cells: Text[]; struck?: true }> }
  | { block: 'working'; rows: Array<[Text, Text]> };

/** Who and when, as a sheet tells it; `clock` where the time is not the device's plain word. */
export type Told = { by: string; at: string; clock?: ClockMark };

export type SheetFinding = {
  code: string;
  verdict: Verdict;
  reason: Text;
  limit: Text | null;
  source: Text | null;
  remedy: Text | null;
  accepted: (Told & { reason: string }) | null;
};

export type SheetReading = Told & {
  id: string;
  step: string;
  place: string;
  /** The place as a person calls it. */
  name: Text;
  value: number;
  unit: OpenUnit;
  typed: string;
  instrument: string;
  resolution: number;
  /** Left out of a gauge without a date. */
  calibrationDue?: string | undefined;
  /** Which attempt at its step: 1, and one more each time the step was opened again or the part dismounted. */
  attempt: number;
  /** Which measuring of its step: 1, and one more after each repeat. */
  measuring: number;
  /** typed, or how else it came. */
  via: 'typed' | 'port' | 'file';
  standIn: boolean;
  withdrawn: (Told & { reason: string }) | null;
  /** No longer asked after a change of the setup: who made it, and why. Left out of a reading that counts. */
  struck?: Told & { reason: string };
};

/** An answer, and those it took the place of, oldest first; `reason` where it was corrected after its step was passed. */
export type SheetAnswer = Told & {
  ask: Text;
  answer: string;
  note: string | null;
  reason?: string;
  before?: Array<Told & { answer: string; note: string | null }>;
};

/** What a change of the setup no longer asks, as it stood: who struck it, why, and who has looked at it since. */
export type SheetStruck = Told & {
  step: string;
  title: Text;
  /** The step it stood after; null where it was the first. */
  follows: string | null;
  whole: boolean;
  reason: string;
  answers: SheetAnswer[];
  findings: SheetFinding[];
  /** It took a stop with it; `seen` by a second person since, or by nobody. */
  stops: boolean;
  seen: Told | null;
};

export type SheetStep = {
  id: string;
  title: Text;
  status: string;
  passed: Told | null;
  /** Passed by the rules of then; what stands against it is said by today’s. */
  byRulesOfThen?: true;
  answers: SheetAnswer[];
  findings: SheetFinding[];
  working: Array<{ what: Text; sum: Text }>;
  values: unknown;
  /** Earlier measurings of the step, oldest first, and what was done after each. */
  before: Array<Told & { done: string; findings: SheetFinding[]; values: unknown }>;
  /** Rounds of the step before it was opened again, oldest first, and why it was. */
  rounds: Array<
    Told & {
      because: Text;
      answers: SheetAnswer[];
      findings: SheetFinding[];
      passed: Told | null;
      values: unknown;
    }
  >;
};

/** The fit-up sheet as open data: lengths in mm, torques in N·m, times in UTC; texts with quantities in both units. */
export type FitUpSheet = {
  format: 'fulcrant.fit-up-sheet';
  version: 4;
  number: string | null;
  jobId: string;
  /** Which revision of the sheet it is: 1, and one more each time it was opened again after a signature. */
  revision: number;
  name: Text;
  procedure: { id: string; title: Text };
  title: {
    machine: string;
    position: string;
    role: string | null;
    partNumber: string | null;
    openedAt: string;
    openedBy: string;
    /** `running`: signed with checks still to come. */
    state: 'open' | 'signed' | 'cancelled' | 'running';
  };
  /** Where its times are said in, an IANA name. */
  timeZone: string;
  setup: Setup;
  /** What was worked on, and by which rules: a line a group. */
  setupLines: Array<[Text, Text]>;
  /** Steps and questions that the depth of the job left out; none where nothing was. */
  leftOut?: Text[];
  /** What it came to: heading and number. */
  rows: Array<[Text, Text]>;
  steps: SheetStep[];
  readings: SheetReading[];
  bolts: Array<
    Told & {
      step: string;
      pass: Text;
      bolt: number;
      torqueNm: number;
      moved: boolean;
      movedDeg: number | null;
      /** Of a pass told in one statement: which statement it was; left out where each was told by itself. */
      told?: string;
      instrument: string;
      set: number;
      attempt: number;
      /** Taken back, by whom and why; left out of the record of a bolt that stands. */
      withdrawn?: Told & { reason: string };
      /** No longer asked after a change of the setup. */
      struck?: Told & { reason: string };
    }
  >;
  /** Numbers that were said not to be there, and why; `until` where they were read after all. Sheets of before have none. */
  lacking?: Array<Told & { title: Text; said: Text; reason: string; until: Told | null }>;
  /** What changes of the setup have struck. Sheets of before have none. */
  struck?: SheetStruck[];
  results: Results;
  deviations: Array<Told & { step: string; title: Text; stood: Text; reason: string; attempt: number }>;
  holds: Array<{ step: string; title: Text; reason: Text; released: Told | null }>;
  setupChanges: Array<
    Told & {
      reason: string;
      changed: Text[];
      /** Old and new value of each, where they are told. */
      values?: Array<{ field: Text; before: Text; after: Text }>;
      /** Readings it judges were taken before. */
      judged: boolean;
      seen: Told | null;
    }
  >;
  /** What taking the work back is called on this job. */
  reopened: Text;
  dismountings: Array<Told & { reason: string }>;
  /** What was loosened, by the title of its step. */
  loosenings: Array<Told & { what: Text; reason: Text }>;
  notes: Array<Told & { text: string }>;
  /** Photographs, by the hash of their files. */
  photos: Array<Told & { step: string; hash: string; words: string; width: number; height: number }>;
  revisions: Array<Told & { n: number; reason: string; signedBefore: string }>;
  /** What falls due after it. */
  due: Due[];
  /** Checks still to come of a sheet that is signed as running; sheets of before have none. */
  toCome?: Array<{ what: Text; at: string }>;
  signature: (Told & { name: string }) | null;
  sources: Source[];
  people: string[];
  /** The sheet as it is read, block by block. */
  document: Block[];
};
