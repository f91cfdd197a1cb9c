import { type SleeveSetup, schoolOf, sleeveOf } from '../api/setup.ts';
import type { BoltGrade } from '../bolting/grades.ts';
import {
  baseStep,
  carrierSteps,
  endSteps,
  fixedFirstStep,
  floatStep,
  greaseStep,
  houseStep,
  loadStep,
} from './closing-steps.ts';
import { conditionSteps } from './condition-steps.ts';
import { boltsStep } from './kinds/bolts.ts';
import { mountSteps } from './mount-steps.ts';
import { safeStep } from './safe-step.ts';
import type { Procedure, StepDefinition } from './types.ts';

const SAFE = safeStep('Safe and complete', [
  { id: 'isolated', group: 'Safe', ask: 'Energy isolated, locked and tagged by me; try-start done.' },
  { id: 'drained', group: 'Safe', ask: 'Nothing under pressure, hot or harmful is left in the machine.' },
  {
    id: 'supported',
    group: 'Safe',
    ask: 'Rotor blocked; load off the bearing by rated gear, no fingers under.',
  },
  { id: 'protected', group: 'Safe', ask: 'Eye protection, gloves, boots on; hammer work shielded.' },
  {
    id: 'instructions',
    group: 'Kit',
    ask: 'Maker’s instructions on the bench; the part’s stamp matches this shaft.',
  },
  {
    id: 'parts',
    group: 'Kit',
    ask: 'Bearing, sleeve, nut, new lock washer, seals, rings: present, counted, halves paired.',
  },
  {
    id: 'tools',
    group: 'Kit',
    ask: 'Feelers, micrometer, spanner or drift, torque wrench: here and in good order.',
  },
  { id: 'inboard', group: 'Kit', ask: 'Inboard seal parts are on the shaft, or are not needed.' },
  {
    id: 'clean',
    group: 'Kit',
    ask: 'Shaft, sleeve bore and housing clean; burrs dressed; no anti-seize on the sleeve.',
  },
]);

const CAP: StepDefinition = {
  id: 'bolts',
  title: 'Cap bolts',
  kind: boltsStep((setup) => {
    const s = sleeveOf({ setup });
    return {
      what: 'Cap bolts',
      bolt: { size: s.boltSize, grade: s.boltGrade as BoltGrade, friction: s.friction },
      count: s.boltCount,
      layout: s.boltLayout,
      makerTorqueNm: s.maker.torqueNm,
    };
  }),
  guide: 'Halves matched and clean, bolts in the pattern, pass by pass.',
  caution: 'Keep fingers out of the joint as the cap comes down.',
  again: true,
};

/** Measures that come last before anything turns; all others come before a part goes on. */
export const LAST_MEASURES = ['softfoot', 'housings', 'coupling'];

const TITLE = {
  feelers: 'Bearing on adapter sleeve, by feelers',
  'nut-angle': 'Bearing on adapter sleeve, by nut angle',
  hydraulic: 'Bearing on adapter sleeve, by hydraulic nut',
} as const;

/**
 * Spherical roller bearing with tapered bore on an adapter sleeve, split pillow block; how drive-up is judged is a variant of
 * it. Nothing is fitted to a shaft that has not passed: the condition measures come first, alignment last.
 */
export function sleeveBearing(setup: SleeveSetup): Procedure {
  const condition = conditionSteps(setup);
  return {
    id: 'sleeve-bearing',
    title: TITLE[schoolOf(setup)],
    steps: [
      SAFE,
      ...fixedFirstStep(setup),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      ...mountSteps(setup),
      ...greaseStep(setup),
      ...floatStep(setup),
      ...houseStep(setup),
      CAP,
      ...carrierSteps(setup),
      ...loadStep(setup),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...baseStep(setup),
      ...endSteps(setup),
    ],
  };
}
