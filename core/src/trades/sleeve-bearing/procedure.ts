import type { BoltGrade } from '../../arithmetic/bolting/grades.ts';
import type { Procedure, StepDefinition } from '../../engine/step.ts';
import {
  baseStep,
  carrierSteps,
  endSteps,
  fixedFirstStep,
  floatStep,
  greaseStep,
  houseStep,
  loadStep,
} from '../../steps/bearing/closing-steps.ts';
import { CLOSING_STANDS_ON } from '../../steps/bearing/stands-on.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { mountSteps } from './mount-steps.ts';
import type { SleeveSetup } from './setup.ts';
import { schoolOf } from './setup.ts';

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

const CAP: StepDefinition<SleeveSetup> = {
  id: 'bolts',
  title: 'Cap bolts',
  kind: boltsStep((s: SleeveSetup) => {
    return {
      what: 'Cap bolts',
      bolt: { size: s.boltSize, grade: s.boltGrade as BoltGrade, friction: s.friction },
      count: s.boltCount,
      layout: s.boltLayout,
      makerTorqueNm: s.maker.torqueNm,
      housing: true,
    };
  }),
  guide: 'Halves matched and clean, bolts in the pattern, pass by pass.',
  caution: 'Keep fingers out of the joint as the cap comes down.',
  again: true,
};

/** What is driven up stands on its zero, what is locked on what was driven up; what is closed over it on its lock. */
const STANDS_ON: StandsOn = {
  ...CLOSING_STANDS_ON,
  target: ['bench'],
  zero: ['fit'],
  driveup: ['zero'],
  release: ['driveup'],
  lock: ['driveup', 'release'],
  grease: ['lock'],
  float: ['lock'],
  house: ['lock', 'float', 'grease'],
  bolts: ['house', 'float', 'lock'],
};

const TITLE = {
  feelers: 'Bearing on adapter sleeve, by feelers',
  'nut-angle': 'Bearing on adapter sleeve, by nut angle',
  hydraulic: 'Bearing on adapter sleeve, by hydraulic nut',
} as const;

/**
 * Spherical roller bearing with tapered bore on an adapter sleeve, split pillow block; how drive-up is judged is a variant of
 * it. Nothing is fitted to a shaft that has not passed: the condition measures come first, alignment last.
 */
export function sleeveBearing(setup: SleeveSetup): Procedure<SleeveSetup> {
  const condition = conditionSteps(setup);
  return {
    title: TITLE[schoolOf(setup)],
    steps: standing(STANDS_ON, [
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
    ]),
  };
}
