import type { Slots } from '../../engine/slots.ts';
import { COMMON } from '../../message/common/messages.ts';
import { chosenOf } from '../../sources/methods.ts';
import { SEAL_SHEET } from '../../steps/condition/condition.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { SHAFT_METHODS } from '../../steps/condition/setup-fields.ts';
import { BOX_PIECE, SHAFT_PIECE } from '../../steps/position-pieces.ts';
import {
  COMPRESSION,
  CONDITION_HISTORY,
  GAP_SPREAD,
  LEAKAGE_DROPS,
  SHAFT_HISTORY,
  STANDS_PROUD,
  TORQUE,
} from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { largest } from '../../steps/wrench-reach.ts';
import { SEAL_FAILURE } from './failure.ts';
import { M } from './messages.ts';
import { CARTRIDGE_END, HOLDER_SPACER, O_RING_ENDS } from './methods.ts';
import { rigs } from './rigs.ts';
import type { SealSetup } from './setup.ts';
import { FACES, SEAL, TORQUES } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<SealSetup> = {
  stage: 'close',
  torqueNm: (setup) => largest(setup.glandNm, setup.screwNm, setup.jointNm),
  tasks: [
    measured(['parts'], {
      name: M.partsShaftFaceMeasured,
      minutes: [30, 50, 90],
      finds: { what: M.shaftFaceFails, odds: 0.06, minutes: [120, 240, 480] },
    }),
    {
      id: 'fit',
      name: M.sealPutSet,
      steps: [
        'slide',
        'change',
        'scribe',
        'apart',
        'throttle',
        'stationary',
        'assemble',
        'plates',
        'drawin',
        'fixtures',
        'centre',
        'shims',
        'setting',
        'rotary',
        'collar',
        'close',
        'breakaway',
        'halves',
        'rotaryjoint',
        'faces',
        'holder',
        'splitgaps',
        'spacers',
        'tool',
        'angles',
        'gland',
        'glandangle',
        'glandjoint',
        'ports',
        'otherports',
        'snug',
        'impeller',
        'reach',
        'glandbolts',
        'gland-gaps',
        'baseline',
        'screws',
        'clips',
        'reached',
        'handturn',
      ],
      skill: 'seals',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [60, 100, 200],
      pauses: true,
    },
    {
      id: 'pipe',
      name: M.pipesReadyStart,
      steps: [...LAST_MEASURES, 'pipes', 'gas', 'ready'],
      skill: 'seals',
      hands: 1,
      minutes: [30, 45, 90],
      pauses: true,
    },
    {
      id: 'proof',
      name: COMMON.startedProved,
      steps: ['start', 'proof'],
      skill: 'seals',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [30, 40, 60],
      waits: 60,
    },
  ],
  practice: rigs,
  methods: [...SHAFT_METHODS, CARTRIDGE_END, O_RING_ENDS, HOLDER_SPACER],
  byRules: (rules) => ({
    oRings: chosenOf(rules, O_RING_ENDS),
    tail: chosenOf(rules, CARTRIDGE_END),
    spacer: chosenOf(rules, HOLDER_SPACER),
  }),
  history: {
    ...SHAFT_HISTORY,
    ...CONDITION_HISTORY,
    glandSpreadMm: { series: GAP_SPREAD },
    compressionMm: { series: COMPRESSION },
    baselineMm: { series: STANDS_PROUD },
    dropsPerMin: { series: LEAKAGE_DROPS },
    torqueNm: { series: TORQUE },
  },
  part: { groups: [SEAL, TORQUES, FACES, SEAL_SHEET, MAKER], kit: 'seals', failure: SEAL_FAILURE },
  position: [SHAFT_PIECE, BOX_PIECE],
};
