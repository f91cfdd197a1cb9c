import { isSettled } from '../engine/answers.ts';
import { answered } from '../engine/facts.ts';
import type { Facts } from '../engine/state.ts';
import type { StepDefinition } from '../engine/step.ts';
import type { Finding } from '../judgement/result.ts';

/** Has everything a step asks been answered, and nothing no? */
export const allYes = (facts: Facts, step: StepDefinition): boolean =>
  answered(facts, step).every((i) => isSettled(i.answer));

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
  const lacking = items.filter((i) => i.answer?.answer === 'none');
  findings.push(
    ...lacking.map(
      ({ item, answer }): Finding => ({
        code: `${step.id}.${item.id}.none`,
        verdict: 'caution',
        reason: `Not on this one: ${item.ask} ${answer?.note ?? ''}`.trim(),
        source: 'practice',
        acceptable: true,
      }),
    ),
  );
  if (open.length > 0)
    findings.push({
      code: `${step.id}.unanswered`,
      verdict: 'incomplete',
      reason: `${open.length} of ${items.length} ${items.length === 1 ? 'question is' : 'questions are'} still to be answered.`,
      acceptable: false,
    });
  return findings;
}
