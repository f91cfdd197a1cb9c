import type { JobKind } from '../api/setup.ts';
import type { Facts, Place, StepReport } from '../engine/state.ts';

export type GateItem = {
  id: string;
  ask: string;
  group: string;
  /** What to do about a no, where it is not only to be put right. */
  remedy?: string;
  /** Something seen is written down with the answer. */
  note?: boolean;
};

/** A bolt about to be ticked. */
export type BoltTry = { pass: number; bolt: number; torqueNm: number; movedDeg?: number | undefined };

/**
 * How one kind of step is carried out. Kinds are few and shared between procedures; what differs between jobs is the
 * procedure's data.
 */
export type StepKind = {
  /** Judge the step on the facts. `carried` holds the reports of the steps before it, by step id. */
  report(facts: Facts, step: StepDefinition, carried: Record<string, StepReport>): StepReport;
  /** May a reading be taken at this place now? A sentence when not. Kinds without readings leave it out. */
  place?(
    facts: Facts,
    step: StepDefinition,
    key: string,
    carried: Record<string, StepReport>,
  ): Place | string;
  /** Which of the step’s questions are asked now, where not all are; those before stay answered. */
  asks?(facts: Facts, step: StepDefinition): GateItem[];
  /** May this bolt be ticked now? A sentence when not. Kinds without bolts leave it out. */
  bolt?(facts: Facts, step: StepDefinition, values: unknown, tried: BoltTry): string | null;
  /** Its act is only the next question: the sheet is headed by the step’s title instead. */
  quiet?: boolean;
  /** The step can be measured anew after something was done about it; both measurings stay on the sheet. */
  repeats?: boolean;
};

export type StepDefinition = {
  id: string;
  title: string;
  kind: StepKind;
  /** What to do, one line under the title. */
  guide: string;
  /** Usual caution at this step. */
  caution?: string;
  /** What can no longer be measured or undone once this step is begun. */
  closes?: string;
  /** Drawn as a groove round the collar: the step goes round until its numbers are met. */
  loop?: boolean;
  items?: GateItem[];
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
  /** What was done before it is measured again, in a word for the button; “Dressed” where nothing is said. */
  repeatWord?: string;
};

export type Procedure = { id: JobKind; title: string; steps: StepDefinition[] };
