import type { Finding } from '../judgement/result.ts';
import type { Said } from './said.ts';
import type { StepState } from './state.ts';
import type { GateItem, QuestionKind } from './step.ts';

/** What kind of question it is; what nobody has declared is a hazard, or a choice where words are wanted. */
export const kindOf = (item: Pick<GateItem, 'kind' | 'note'>): QuestionKind =>
  item.kind ?? (item.note ? 'choice' : 'hazard');

/** Can a machine be without what this question asks of? Only where the question says so itself. */
export const canLack = (item: Pick<GateItem, 'kind' | 'note'>): boolean => kindOf(item) === 'machine';

/** Does an answer let the work go on? Of a hazard only a yes does, however it was answered before hazards were declared. */
export const isSettled = (
  answer: { answer: Said } | undefined,
  item: Pick<GateItem, 'kind' | 'note'>,
): boolean => answer !== undefined && answer.answer !== 'no' && (answer.answer !== 'none' || canLack(item));

/** What has to be settled before a question that comes last is answered; null where nothing has. */
export const comesBefore = (step: StepState | undefined, item: GateItem): Finding | null =>
  step?.blocking.find((f) => item.after?.includes(f.code)) ?? null;
