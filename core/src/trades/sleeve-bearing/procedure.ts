import type { Procedure, StepDefinition } from '../../engine/step.ts';
import {
  baseStep,
  carrierSteps,
  fixedFirstStep,
  floatStep,
  greaseStep,
  hasCap,
  houseStep,
  inboardStep,
  loadStep,
  specOf,
} from '../../steps/bearing/closing-steps.ts';
import { endSteps } from '../../steps/bearing/end-steps.ts';
import { layoutOf } from '../../steps/bearing/fitting-parts.ts';
import { CLOSING_STANDS_ON } from '../../steps/bearing/stands-on.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { mountSteps } from './mount-steps.ts';
import { capBolts, type DriveUpSchool, type SleeveSetup, schoolOf } from './setup.ts';
import { sheetAgainStep } from './sheet-again.ts';

/** What has to be at hand, by school; a tool in poor condition counts as missing. */
const TOOLS: Record<DriveUpSchool, string> = {
  feelers: 'Feelers, micrometer, spanner or drift, torque wrench: here and in good order.',
  'nut-angle': 'Marker, protractor, spanner or drift, soft mallet, torque wrench: here and in good order.',
  hydraulic:
    'Hydraulic nut of this sleeve, pump, hose and gauge, indicator with base, torque wrench: here and sound.',
};

const safe = (setup: SleeveSetup) =>
  safeStep('Safe and complete', [
    ISOLATED,
    {
      id: 'drained',
      group: 'Safe',
      ask: 'Nothing under pressure, hot or harmful is left in the machine; its safety sheet is read.',
    },
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
    { id: 'tools', group: 'Kit', ask: TOOLS[schoolOf(setup)] },
    {
      id: 'preservative',
      group: 'Kit',
      ask: 'Preservative on the bearing: left on or wiped off, as the maker says? Does it suit this grease?',
      note: true,
    },
    {
      id: 'inboard',
      group: 'Kit',
      ask: 'Inboard seal parts are here, looked over and counted.',
      kind: 'machine',
    },
    {
      id: 'clean',
      group: 'Kit',
      ask: 'Shaft, sleeve bore and housing clean; burrs dressed; no anti-seize on the sleeve.',
    },
  ]);

const CAP: StepDefinition<SleeveSetup> = {
  id: 'bolts',
  title: 'Cap bolts',
  needs: ['boltSize', 'boltGrade', 'boltCount'],
  kind: boltsStep((s: SleeveSetup) => {
    const set = capBolts(s);
    return specOf('Cap bolts', set, { layout: layoutOf(set), housing: true });
  }),
  guide: 'Halves matched and clean, bolts in the pattern, pass by pass.',
  caution: 'Keep fingers out of the joint as the cap comes down.',
  again: true,
};

/** What is driven up stands on its zero, what is locked on what was driven up; what is closed over it on its lock. */
const STANDS_ON: StandsOn = {
  ...CLOSING_STANDS_ON,
  bench: ['inboard'],
  target: ['bench'],
  fit: ['inboard'],
  zero: ['fit'],
  driveup: ['zero', 'fit'],
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
      safe(setup),
      ...sheetAgainStep(setup),
      ...fixedFirstStep(setup),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      ...inboardStep(setup),
      ...mountSteps(setup),
      ...greaseStep(setup),
      ...floatStep(setup),
      ...houseStep(setup),
      ...(hasCap(setup) ? [CAP] : []),
      ...carrierSteps(setup),
      ...loadStep(setup),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...baseStep(setup),
      ...endSteps(setup),
    ]),
  };
}
