import type { Procedure } from '../../engine/step.ts';
import { conditionSteps } from '../../steps/condition/condition-steps.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { standing } from '../../steps/standing.ts';
import type { ConditionSetup } from './setup.ts';
import { verdict } from './verdict.ts';

const safe = safeStep('Safe and ready', [
  ISOLATED,
  {
    id: 'drained',
    group: 'Safe',
    ask: 'Depressurised, drained, vented, cooled; the fluid’s safety sheet is read.',
  },
  {
    id: 'rotor',
    group: 'Safe',
    ask: 'The rotor turns by hand only; clothing and fingers clear of it, supports by rated gear.',
  },
  { id: 'protected', group: 'Safe', ask: 'Eye protection, gloves, boots on.' },
  {
    id: 'gauges',
    group: 'Ready',
    ask: 'Gauges for this survey here, in date, zero checked; base holds firm.',
  },
  { id: 'clean', group: 'Ready', ask: 'Shaft and box wiped clean along their whole length.' },
]);

/** A survey of a machine, no part fitted: is this shaft, and the box round it, fit to receive anything? */
export function conditionSurvey(setup: ConditionSetup): Procedure<ConditionSetup> {
  const measures = conditionSteps(setup).map((s) => ({ ...s, survey: true }));
  return {
    title: 'Condition of shaft and box',
    steps: standing({ verdict: measures.map((m) => m.id) }, [
      safe,
      ...measures,
      {
        id: 'verdict',
        title: 'Verdict',
        kind: verdict,
        guide: 'What passed, what stands against it, and what to do about each.',
        survey: true,
      },
      { id: 'sign', title: 'Signature', kind: signature, guide: 'The sheet stays with the machine.' },
    ]),
  };
}
