import { FIRST_FILL } from '../../arithmetic/lubrication/fill-method.ts';
import type { Slots } from '../../engine/slots.ts';
import { chosenOf } from '../../sources/methods.ts';
import { SEAL_SHEET } from '../../steps/condition/condition.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { SHAFT_METHODS } from '../../steps/condition/setup-fields.ts';
import { BEARING_FAILURE } from '../../steps/failures/rolling-bearing.ts';
import { BEARING_PIECE, BOX_PIECE, SHAFT_PIECE } from '../../steps/position-pieces.ts';
import { CONDITION_HISTORY, HOTTEST, SHAFT_HISTORY, TORQUE, VIBRATION } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { largest, torqueOfSet } from '../../steps/wrench-reach.ts';
import { M } from './messages.ts';
import { CARTRIDGE_FILM, CLAMP_SCREWS, OUTER_RACE } from './methods.ts';
import { rigs } from './rigs.ts';
import type { SplitSetup } from './setup.ts';
import { RACE } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<SplitSetup> = {
  stage: 'carry',
  role: (setup) => setup.role,
  torqueNm: (setup) => largest(torqueOfSet(setup.cartridgeBolts), torqueOfSet(setup.capBolts)),
  tasks: [
    measured(['fixedfirst']),
    {
      id: 'races',
      name: M.pedestalRaces,
      steps: ['pedestal', 'outer', 'grease1', 'race'],
      skill: 'bearings',
      hands: 2,
      tools: ['crane'],
      minutes: [45, 70, 120],
      pauses: true,
    },
    {
      id: 'clamp',
      name: M.clampedSeated,
      steps: ['clamps', 'axial', 'seat', 'seated', 'cage'],
      skill: 'bearings',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [40, 60, 110],
    },
    {
      id: 'close',
      name: M.housingClosed,
      steps: ['cartridge', 'lower', 'bolts', ...LAST_MEASURES, 'base', 'handturn', 'start', 'runin'],
      skill: 'bearings',
      hands: 2,
      tools: ['crane', 'torque wrench'],
      minutes: [40, 60, 100],
      pauses: true,
    },
  ],
  fixedAfter: 'seated',
  practice: rigs,
  methods: [...SHAFT_METHODS, FIRST_FILL, OUTER_RACE, CLAMP_SCREWS, CARTRIDGE_FILM],
  byRules: (rules) => ({
    raceSchool: chosenOf(rules, OUTER_RACE),
    gaugeSchool: chosenOf(rules, CLAMP_SCREWS),
    film: chosenOf(rules, CARTRIDGE_FILM),
  }),
  history: {
    ...SHAFT_HISTORY,
    ...CONDITION_HISTORY,
    torqueNm: { series: TORQUE },
    hottestC: { series: HOTTEST },
    vibrationMmPerS: { series: VIBRATION },
  },
  part: { groups: [RACE, SEAL_SHEET, MAKER], kit: 'bearings', failure: BEARING_FAILURE },
  position: [SHAFT_PIECE, BEARING_PIECE, BOX_PIECE],
};
