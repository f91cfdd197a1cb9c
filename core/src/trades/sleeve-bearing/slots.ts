import { FIRST_FILL } from '../../arithmetic/lubrication/fill-method.ts';
import type { Slots } from '../../engine/slots.ts';
import { chosenOf } from '../../sources/methods.ts';
import { SEAL_SHEET } from '../../steps/condition/condition.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { SHAFT_METHODS } from '../../steps/condition/setup-fields.ts';
import { BEARING_FAILURE } from '../../steps/failures/rolling-bearing.ts';
import { BEARING_PIECE, BOX_PIECE, SHAFT_PIECE } from '../../steps/position-pieces.ts';
import {
  BENCH_CLEARANCE,
  CONDITION_HISTORY,
  DRIVE_UP_TRAVEL,
  HOTTEST,
  REDUCTION,
  RESIDUAL,
  SHAFT_HISTORY,
  TORQUE,
  VIBRATION,
} from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { torqueOfSet } from '../../steps/wrench-reach.ts';
import { M } from './messages.ts';
import { DRIVE_UP } from './methods.ts';
import { rigs } from './rigs.ts';
import { capBolts, SLEEVE, type SleeveSetup } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<SleeveSetup> = {
  stage: 'carry',
  role: (setup) => setup.role,
  torqueNm: (setup) => torqueOfSet(capBolts(setup)),
  tasks: [
    measured(['fixedfirst']),
    {
      id: 'bench',
      name: M.benchClearancePosition,
      steps: ['inboard', 'bench', 'target', 'fit', 'zero'],
      skill: 'bearings',
      hands: 1,
      minutes: [20, 30, 50],
      pauses: true,
    },
    {
      id: 'driveup',
      name: M.drivenUpLocked,
      steps: ['driveup', 'release', 'lock'],
      skill: 'bearings',
      hands: 1,
      minutes: [25, 45, 90],
    },
    {
      id: 'close',
      name: M.filledClosedBoltsTorque,
      steps: ['grease', 'float', 'house', 'carriers', 'bolts', 'load', ...LAST_MEASURES, 'base', 'handturn'],
      skill: 'bearings',
      hands: 2,
      tools: ['torque wrench'],
      minutes: [30, 45, 80],
      pauses: true,
    },
    {
      id: 'runin',
      name: M.startedWatched,
      steps: ['start', 'runin'],
      skill: 'bearings',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [30, 40, 60],
      waits: 180,
    },
  ],
  fixedAfter: 'lock',
  practice: rigs,
  methods: [...SHAFT_METHODS, DRIVE_UP, FIRST_FILL],
  byRules: (rules) => {
    const school = chosenOf(rules, DRIVE_UP);
    return school === 'feelers' ? {} : { driveUp: { school } };
  },
  history: {
    benchMm: { series: BENCH_CLEARANCE },
    residualMm: { series: RESIDUAL },
    reductionMm: { series: REDUCTION },
    travelMm: { series: DRIVE_UP_TRAVEL },
    ...SHAFT_HISTORY,
    ...CONDITION_HISTORY,
    torqueNm: { series: TORQUE },
    hottestC: { series: HOTTEST },
    vibrationMmPerS: { series: VIBRATION },
  },
  part: { groups: [SLEEVE, SEAL_SHEET, MAKER], kit: 'bearings', failure: BEARING_FAILURE },
  position: [SHAFT_PIECE, BEARING_PIECE, BOX_PIECE],
  kit: ({ boltSize, boltGrade, boltCount }) =>
    boltSize && boltCount
      ? [{ group: 'bolts', item: `${boltSize} ${boltGrade ?? ''}`.trim(), count: boltCount, unit: 'piece' }]
      : [],
};
