import { M as H } from '../../engine/headings/messages.ts';
import type { Procedure } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { conditionSteps } from '../../steps/condition/condition-steps.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { standing } from '../../steps/standing.ts';
import { M } from './messages.ts';
import type { ConditionSetup } from './setup.ts';
import { verdict } from './verdict.ts';

const safe = safeStep(COMMON.safeReady, [
  ISOLATED,
  {
    id: 'drained',
    group: H.safe,
    ask: M.depressurisedDrainedVentedCooled,
  },
  {
    id: 'rotor',
    group: H.safe,
    ask: M.rotorTurnsHandOnlyClothing,
  },
  { id: 'protected', group: H.safe, ask: COMMON.eyeProtectionGlovesBoots },
  {
    id: 'gauges',
    group: H.ready,
    ask: M.gaugesSurveyHereDateZero,
  },
  { id: 'clean', group: H.ready, ask: M.shaftBoxWipedCleanAlong },
]);

/** A survey of a machine, no part fitted: is this shaft, and the box round it, fit to receive anything? */
export function conditionSurvey(setup: ConditionSetup): Procedure<ConditionSetup> {
  const measures = conditionSteps(setup).map((s) => ({ ...s, survey: true }));
  return {
    title: M.conditionShaftBox,
    steps: standing({ verdict: measures.map((m) => m.id) }, [
      safe,
      ...measures,
      {
        id: 'verdict',
        title: COMMON.result,
        kind: verdict,
        guide: M.whatPassedWhatStandsAgainst,
        survey: true,
      },
      { id: 'sign', title: COMMON.signature, kind: signature, guide: COMMON.sheetStaysMachine },
    ]),
  };
}
