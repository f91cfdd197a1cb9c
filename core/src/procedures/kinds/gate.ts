import type { Finding } from '../../calculators/result.ts';
import { answerTo } from '../../job/facts.ts';
import type { StepKind } from '../types.ts';

/** A list of questions, each answered yes or no by name. A no holds the job until it is put right and answered again. */
export const gate: StepKind = {
  report(facts, step) {
    const scope = step.again ? facts.attempt : 'any';
    const items = (step.items ?? []).map((item) => ({
      item,
      answer: answerTo(facts, step.id, item.id, scope),
    }));
    const open = items.filter((i) => !i.answer);
    const findings: Finding[] = items
      .filter((i) => i.answer?.answer === 'no')
      .map(({ item, answer }) => ({
        code: `${step.id}.${item.id}`,
        verdict: 'reject' as const,
        reason: `Answered no: ${item.ask}${answer?.note ? ` (${answer.note})` : ''}`,
        source: 'practice' as const,
        remedy: 'Put it right, then answer again.',
        acceptable: false,
      }));
    if (open.length > 0) {
      findings.push({
        code: `${step.id}.unanswered`,
        verdict: 'incomplete',
        reason: `${open.length} of ${items.length} ${items.length === 1 ? 'question is' : 'questions are'} still to be answered.`,
        acceptable: false,
      });
    }
    return {
      findings,
      working: [],
      beams: [],
      values: { answered: items.length - open.length, of: items.length },
      next: null,
      act: open[0] ? open[0].item.ask : findings[0] ? findings[0].reason : 'All answered.',
    };
  },
};
