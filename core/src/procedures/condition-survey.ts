import type { Setup } from '../api/setup.ts';
import { conditionSteps } from './condition-steps.ts';
import { signature } from './kinds/signature.ts';
import { verdict } from './kinds/verdict.ts';
import { safeStep } from './safe-step.ts';
import type { Procedure } from './types.ts';

const safe = safeStep('Safe and ready', [
  { id: 'isolated', group: 'Safe', ask: 'Energy isolated, locked and tagged by me; try-start done.' },
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
export function conditionSurvey(setup: Setup): Procedure {
  return {
    id: 'condition.survey',
    title: 'Condition of shaft and box',
    steps: [
      safe,
      ...conditionSteps(setup).map((s) => ({ ...s, survey: true })),
      {
        id: 'verdict',
        title: 'Verdict',
        kind: verdict,
        guide: 'What passed, what stands against it, and what to do about each.',
        survey: true,
      },
      { id: 'sign', title: 'Signature', kind: signature, guide: 'The sheet stays with the machine.' },
    ],
  };
}
