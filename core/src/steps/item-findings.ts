import { isSettled } from '../engine/answers.ts';
import { answered, passOf, setupAfter } from '../engine/facts.ts';
import type { Facts } from '../engine/state.ts';
import type { GateItem, StepDefinition } from '../engine/step.ts';
import { procedureFor } from '../engine/trades.ts';
import type { Finding } from '../judgement/result.ts';
import { listOf } from '../message/message.ts';
import { M } from './messages.ts';

/** Has everything a step asks been answered, and nothing no? */
export const allYes = (facts: Facts, step: StepDefinition): boolean =>
  openItems(facts, step).open.length === 0 && answered(facts, step).every((i) => i.answer?.answer !== 'no');

/**
 * Questions of a step that are still to be answered. Under a pass that stands, a question that is asked today and was asked by the same
 * setup then has no answer because it is newer than the pass: it is told, and holds nothing up. One that a later change of the setup has
 * brought is still to be answered.
 */
function openItems(facts: Facts, step: StepDefinition): { open: GateItem[]; notThen: GateItem[] } {
  const open = answered(facts, step).filter(
    ({ item, answer }) => answer?.answer !== 'no' && !isSettled(answer, item),
  );
  const pass = passOf(facts, step);
  if (!pass || open.length === 0) return { open: open.map((i) => i.item), notThen: [] };
  const then = procedureFor(setupAfter(facts, pass.changes)).steps.find((s) => s.id === step.id)?.items ?? [];
  const wasThen = (item: GateItem) => then.some((t) => t.id === item.id);
  return {
    open: open.filter((i) => !wasThen(i.item)).map((i) => i.item),
    // What was skipped then is told as skipped.
    notThen: open.filter((i) => wasThen(i.item) && !i.answer).map((i) => i.item),
  };
}

/** What stands in the way of a step's questions: each answered no, and how many are not answered. */
export function itemFindings(facts: Facts, step: StepDefinition): Finding[] {
  const items = answered(facts, step);
  const { open, notThen } = openItems(facts, step);
  const findings: Finding[] = items
    .filter((i) => i.answer?.answer === 'no')
    .map(({ item, answer }) => ({
      code: `${step.id}.${item.id}`,
      verdict: 'reject',
      reason: M.notOk({ ask: item.ask, note: answer?.note ? ` (${answer.note})` : '' }),
      params: { ask: item.ask, note: answer?.note ? answer.note : null },
      source: 'practice',
      remedy: item.remedy ?? M.putRightThenAnswerAgain,
      acceptable: false,
    }));
  const openIds = new Set(open.map((i) => i.id));
  const lacking = items.filter((i) => i.answer?.answer === 'none' && !openIds.has(i.item.id));
  findings.push(
    ...lacking.map(
      ({ item, answer }): Finding => ({
        code: `${step.id}.${item.id}.none`,
        verdict: 'caution',
        reason: listOf([M.doesNotApply({ ask: item.ask }), ...(answer?.note ? [answer.note] : [])], ' '),
        params: { item: item.id, note: answer?.note ?? null },
        source: 'practice',
        acceptable: false,
      }),
    ),
  );
  if (notThen.length > 0)
    findings.push({
      code: `${step.id}.not-asked-then`,
      verdict: 'caution',
      reason: M.notAskedWhenStepPassed({
        notThen: listOf(
          notThen.map((i) => i.ask),
          ' ',
        ),
      }),
      params: {
        value: listOf(
          notThen.map((i) => i.ask),
          ' ',
        ),
      },
      source: 'practice',
      acceptable: false,
    });
  if (open.length > 0)
    findings.push({
      code: `${step.id}.unanswered`,
      verdict: 'incomplete',
      reason: M.stillAnswered({ count: open.length, count2: items.length }),
      params: { length: open.length, length2: items.length, length3: Boolean(open.length === 1) },
      acceptable: false,
    });
  return findings;
}
