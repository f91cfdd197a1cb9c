import { answerTo } from '../../engine/facts.ts';
import type { Setup } from '../../engine/setup.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';

export type HandTurnValues = { turns: 'yes' | 'no' | null; causes: readonly string[] };

export const handTurns = kindFamily<Setup, HandTurnValues>('hand-turn');

/** The pump turned over by hand: it goes round, or it is a stop with what to look for. */
export function handTurnStep<S extends Setup>(
  id: string,
  title: string,
  ask: string,
  causes: readonly string[],
): StepDefinition<S> {
  const kind = handTurns.kind<S>({
    repeats: false,
    report(facts, step) {
      const said = answerTo(facts, step.id, 'turns', 'any')?.answer;
      const turns = said === 'yes' || said === 'no' ? said : null;
      const finding: Finding =
        turns === 'yes'
          ? {
              code: `${id}.turns`,
              verdict: 'accept',
              reason: 'It turns over by hand.',
              params: {},
              source: 'practice',
              acceptable: false,
            }
          : turns === 'no'
            ? {
                code: `${id}.turns`,
                verdict: 'reject',
                reason: 'It will not turn: nothing further goes on until it does. Power never turns it free.',
                params: {},
                source: 'practice',
                remedy: `Look for: ${causes.join('; ')}.`,
                acceptable: false,
              }
            : {
                code: `${id}.turns`,
                verdict: 'incomplete',
                reason: 'It is not turned over by hand yet.',
                params: {},
                acceptable: false,
              };
      return {
        findings: [finding],
        working: [],
        beams: [],
        values: { turns, causes },
        next: null,
        act: turns === null ? ask : turns === 'no' ? 'It will not turn: find out why' : finding.reason,
      };
    },
  });
  return {
    id,
    title,
    kind,
    guide: 'Whole turns by hand, slowly, feeling for a tight spot.',
    caution: 'Isolation stays on: hands turn it, not power. Fingers clear of gears and coupling.',
    items: [{ id: 'turns', group: 'Turn', ask }],
  };
}
