import type { Finding } from '../../calculators/result.ts';
import { answerTo } from '../../engine/facts.ts';
import type { Answer, Facts } from '../../engine/state.ts';
import type { GateItem, StepDefinition } from '../types.ts';

/** A step's questions with the answers given to them in this attempt, or in any where a dismounting does not reopen it. */
export function answered(
  facts: Facts,
  step: StepDefinition,
): Array<{ item: GateItem; answer: Answer | undefined }> {
  const scope = step.again ? facts.attempt : 'any';
  return (step.kind.asks?.(facts, step) ?? step.items ?? []).map((item) => ({
    item,
    answer: answerTo(facts, step.id, item.id, scope),
  }));
}

/** Has everything a step asks been answered yes? */
export const allYes = (facts: Facts, step: StepDefinition): boolean =>
  answered(facts, step).every((i) => i.answer?.answer === 'yes');

/** What stands in the way of a step's questions: each answered no, and how many are not answered. */
export function itemFindings(facts: Facts, step: StepDefinition): Finding[] {
  const items = answered(facts, step);
  const open = items.filter((i) => !i.answer);
  const findings: Finding[] = items
    .filter((i) => i.answer?.answer === 'no')
    .map(({ item, answer }) => ({
      code: `${step.id}.${item.id}`,
      verdict: 'reject',
      reason: `Answered no: ${item.ask}${answer?.note ? ` (${answer.note})` : ''}`,
      source: 'practice',
      remedy: item.remedy ?? 'Put it right, then answer again.',
      acceptable: false,
    }));
  if (open.length > 0)
    findings.push({
      code: `${step.id}.unanswered`,
      verdict: 'incomplete',
      reason: `${open.length} of ${items.length} ${items.length === 1 ? 'question is' : 'questions are'} still to be answered.`,
      acceptable: false,
    });
  return findings;
}
