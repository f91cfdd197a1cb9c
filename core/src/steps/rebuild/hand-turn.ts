import { answerTo } from '../../engine/facts.ts';
import type { Setup } from '../../engine/setup.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { listOf } from '../../message/message.ts';
import { M } from './messages.ts';

export type HandTurnValues = { turns: 'yes' | 'no' | null; causes: readonly Text[] };

export const handTurns = kindFamily<Setup, HandTurnValues>('hand-turn');

/** The pump turned over by hand: it goes round, or it is a stop with what to look for. */
export function handTurnStep<S extends Setup>(
  id: string,
  title: Text,
  ask: Text,
  causes: readonly Text[],
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
              reason: M.turnsOverHand,
              params: {},
              source: 'practice',
              acceptable: false,
            }
          : turns === 'no'
            ? {
                code: `${id}.turns`,
                verdict: 'reject',
                reason: M.willNotTurnNothingFurther,
                params: {},
                source: 'practice',
                remedy: M.look({ causes: listOf(causes, '; ') }),
                acceptable: false,
              }
            : {
                code: `${id}.turns`,
                verdict: 'incomplete',
                reason: M.notTurnedOverHandYet,
                params: {},
                acceptable: false,
              };
      return {
        findings: [finding],
        working: [],
        beams: [],
        values: { turns, causes },
        next: null,
        act: turns === null ? ask : turns === 'no' ? M.willNotTurnFindOut : finding.reason,
      };
    },
  });
  return {
    id,
    title,
    kind,
    guide: M.wholeTurnsHandSlowlyFeeling,
    caution: M.isolationStaysHandsTurnNot,
    items: [{ id: 'turns', group: COMMON.turn, ask }],
  };
}
