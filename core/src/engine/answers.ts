import type { Said } from './said.ts';
import type { GateItem, StepDefinition } from './step.ts';

/** What holds for every machine, or is drawn and counted on: never “not on this one”. */
const ALWAYS = new Set([
  'Safe',
  'Turn',
  'Lock',
  'Zero',
  'Sleeve',
  'Film',
  'Clearance',
  'Pins',
  'Rods',
  'Order',
  'Stop',
  'Side',
  'Sheet',
  'After dismounting',
]);

/** Can a machine be without what this question asks of? Where something is written down, that is said in the note instead. */
export const canLack = (step: StepDefinition, item: GateItem): boolean =>
  !item.note && !ALWAYS.has(item.group) && step.kind.asks === undefined;

/** Does an answer let the work go on? */
export const isSettled = (answer: { answer: Said } | undefined): boolean =>
  answer !== undefined && answer.answer !== 'no';
