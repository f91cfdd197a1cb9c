import type { Finding } from '../judgement/result.ts';
import type { Said } from './said.ts';
import type { StepState } from './state.ts';
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

/** What has to be settled before a question that comes last is answered; null where nothing has. */
export const comesBefore = (step: StepState | undefined, item: GateItem): Finding | null =>
  step?.blocking.find((f) => item.after?.includes(f.code)) ?? null;
