import type { Text } from '../message/message.ts';
import type { MethodLimit } from '../sources/limits.ts';
import type { Depth } from '../sources/methods.ts';
import type { Act } from './act.ts';
import type { GateItem } from './question.ts';
import type { Setup } from './setup.ts';
import type { Facts, Place, StepReport } from './state.ts';

export type { GateItem, QuestionKind } from './question.ts';

/** A bolt about to be ticked. */
export type BoltTry = {
  pass: number;
  bolt: number;
  torqueNm: number;
  movedDeg?: number | undefined;
  /** Told as it really went: another bolt than the next. */
  asDone?: boolean | undefined;
  /** All that is left of the pass, in the order tightened; `bolt` is the first of them. */
  all?: readonly number[] | undefined;
};

/** A limit, where it may come from. */
export type LimitQuestion = {
  /** What the limit is of. */
  title: Text;
  /** Where the maker's value is kept, and how it is typed. */
  maker: string;
  quantity: 'length' | 'roughness' | 'degrees';
  /** The method that answers it, by its id, and the limits of each answer. */
  rule?: string;
  schools: MethodLimit[];
};

/** The bolt to tighten now; `last` where nothing comes after its pass. */
export type BoltDue = {
  pass: number;
  bolt: number;
  torqueNm: number | null;
  settling: boolean;
  last: boolean;
};

/** Reports of the steps before, by step id. */
export type Carried = Record<string, StepReport>;

/** What a step kind is made of: S is what it must know of the setup, V the numbers it comes to. */
type Parts<S extends Setup, V> = {
  /** Judge the step on the facts. `carried` holds the reports of the steps before it, by step id. */
  report(facts: Facts<S>, step: StepDefinition<S>, carried: Carried): StepReport<V>;
  /** May a reading be taken at this place now? A sentence when not. Kinds without readings leave it out. */
  place?(facts: Facts<S>, step: StepDefinition<S>, key: string, carried: Carried): Place | Text;
  /** Which of the step’s questions are asked now, where not all are; those before stay answered. */
  asks?(facts: Facts<S>, step: StepDefinition<S>): GateItem[];
  /** Questions that follow once those asked now are answered: shown, not yet answered. */
  ahead?(facts: Facts<S>, step: StepDefinition<S>): GateItem[];
  /** May this bolt be ticked now? A sentence when not. Kinds without bolts leave it out. */
  bolt?(facts: Facts<S>, step: StepDefinition<S>, report: StepReport | null, tried: BoltTry): Text | null;
  /** The bolt to tighten now; `settling` where it is told how far each still turned. Null when all is done. */
  due?(report: StepReport | null): BoltDue | null;
  /** What is left of its pass, in order, where it may be told in one; null where each is told by itself. */
  leftOfPass?(report: StepReport | null): readonly number[] | null;
  /** Its act is only the next question: the sheet is headed by the step’s title instead. */
  quiet?: boolean;
  /** Its number is itself the safety limit, or the work: it is never said to be lacking. */
  essential?: boolean;
  /** The step can be measured anew after something was done about it; both measurings stay on the sheet. */
  repeats?: boolean;
  /** The limits it is judged by that the maker's sheet or another school may answer. */
  limits?(setup: S): LimitQuestion[];
  /** Steps after it that its report looks at: what is recorded there tells it anew. */
  looksAhead?: readonly string[];
  /** Acts of its own that are done at the step. */
  acts?: readonly Act[];
  /** The job is closed by a signature here, not by passing it; the last step of every job, and no other. */
  signs?: true;
};

/** Step kinds of one name, whose reports hold the same numbers: what their view on a screen is found by. */
export type KindFamily<S extends Setup, V> = {
  name: string;
  /**
   * The numbers of a report a kind of this family made, in their own type, and the setup it was made on.
   * @returns null where the report is another kind's, was not reached, or could not be worked out
   */
  told(report: { values: unknown } | null | undefined): { values: NonNullable<V>; setup: S } | null;
  /** The numbers alone. */
  valuesOf(report: { values: unknown } | null | undefined): NonNullable<V> | null;
};

/**
 * How one kind of step is carried out. Kinds are few and shared between trades; what differs between jobs is the procedure's
 * data.
 */
export type StepKind<S extends Setup = Setup, V = unknown> = Parts<S, V> & KindFamily<Setup, V>;

/**
 * A family to make kinds of, each with data of its own. It knows the reports of its kinds again, so that nobody has to say what
 * type their numbers are of.
 */
export function kindFamily<S extends Setup, V extends object | null>(
  name: string,
): KindFamily<S, V> & { kind<T extends S>(parts: Parts<T, V>): Parts<T, V> & KindFamily<S, V> } {
  const made = new WeakMap<object, { values: NonNullable<V>; setup: S }>();
  const told = (report: { values: unknown } | null | undefined) =>
    typeof report?.values === 'object' && report.values !== null ? (made.get(report.values) ?? null) : null;
  const family: KindFamily<S, V> = { name, told, valuesOf: (report) => told(report)?.values ?? null };
  return {
    ...family,
    kind: (parts) => ({
      ...parts,
      ...family,
      report(facts, step, carried) {
        const report = parts.report(facts, step, carried);
        if (report.values !== null) made.set(report.values, { values: report.values, setup: facts.setup });
        return report;
      },
    }),
  };
}

/** A step kind that is a family of its own. */
export const stepKind = <S extends Setup, V extends object | null>(
  name: string,
  parts: Parts<S, V>,
): Parts<S, V> & KindFamily<S, V> => kindFamily<S, V>(name).kind(parts);

/**
 * Bolts of a step loosened by themselves, as a state other steps stand on; loosened by a question, what that question tells was seen to
 * already.
 */
export const loosened = (step: string): string => `loosened:${step}`;
/** What a step measures set anew, as a state steps before it stand on: measured again with nothing done it is not. */
export const redone = (step: string): string => `redone:${step}`;

/** A question with one right answer that a step knows: a card of a deck. */
export type Lesson = {
  id: string;
  /** The deck it belongs to. */
  deck: string;
  ask: Text;
  options: readonly Text[];
  right: Text;
  why: Text;
};

export type StepDefinition<S extends Setup = Setup> = {
  id: string;
  title: Text;
  kind: StepKind<S>;
  /** What to do, one line under the title. */
  guide: Text;
  /** The least depth of check it belongs to; essential where nothing is said. */
  depth?: Depth;
  /** Usual caution at this step. */
  caution?: Text;
  /** What can no longer be measured or undone once this step is begun. */
  closes?: Text;
  /** Drawn as a groove round the collar: the step goes round until its numbers are met. */
  loop?: boolean;
  /** Fields of the setup it cannot go without: where one was not said when the job was opened, it is asked here. */
  needs?: readonly string[];
  items?: GateItem[];
  /** What is to be learned at it, by whoever practises. */
  learn?: readonly Lesson[];
  /** Its questions are answered in the order they stand in: none before those above it. */
  inOrder?: boolean;
  /** Its questions are answered before anything is read, not after. */
  itemsFirst?: boolean;
  /** Starts afresh after a dismounting. */
  again?: boolean;
  /** Steps, or states such as `isolation`, it stands on: when one of them is undone, it opens again. */
  standsOn?: readonly string[];
  /** The machine is handed over and runs from here: whatever is undone before it afterwards asks for isolation anew. */
  starts?: boolean;
  /** A survey goes on past a stop: what does not pass is carried to the verdict at its end. */
  survey?: boolean;
  /** What is to be done when its next reading is due, for a calendar. */
  dueWord?: Text;
  /** What was done before it is measured again, in a word for the button; “Dressed” where nothing is said. */
  repeatWord?: Text;
};

export type Procedure<S extends Setup = Setup> = {
  title: Text;
  steps: StepDefinition<S>[];
  /** Steps and questions that the depth of the job leaves out, by their words. */
  leftOut?: readonly Text[];
};
