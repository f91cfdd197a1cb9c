import { LEAKAGE } from '../../arithmetic/packing/leak-method.ts';
import type { Slots } from '../../engine/slots.ts';
import { chosenOf } from '../../sources/methods.ts';
import { SEAL_SHEET } from '../../steps/condition/condition.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { SHAFT_METHODS } from '../../steps/condition/setup-fields.ts';
import { PACKING_FAILURE } from '../../steps/failures/gland-rings.ts';
import { BOX_PIECE, SHAFT_PIECE } from '../../steps/position-pieces.ts';
import { CONDITION_HISTORY, GAP_SPREAD, LEAKAGE_DROPS, SHAFT_HISTORY } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import { ringsOf } from './plan.ts';
import { rigs } from './rigs.ts';
import type { PackingSetup } from './setup.ts';
import { PACKING } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<PackingSetup> = {
  stage: 'close',
  kit(setup) {
    const { stockMm, orderMm } = ringsOf({ setup }).values;
    return [{ group: 'rope', item: M.sectionMm({ stock: stockMm }), count: Math.ceil(orderMm), unit: 'mm' }];
  },
  tasks: [
    measured(['strip'], {
      id: 'strip',
      name: M.oldRingsOutShaftMeasured,
      skill: 'boxes',
      tools: [],
      minutes: [30, 50, 100],
      finds: { what: M.sleeveWornThrough, odds: 0.1, minutes: [90, 150, 300] },
    }),
    {
      id: 'pack',
      name: M.cutLaid,
      steps: ['plan', 'cut', 'rings', 'follower', ...LAST_MEASURES],
      skill: 'boxes',
      hands: 1,
      minutes: [30, 50, 80],
      pauses: true,
    },
    {
      id: 'breakin',
      name: M.broken,
      steps: ['start', 'breakin'],
      skill: 'boxes',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [60, 90, 180],
      pauses: true,
    },
  ],
  fromPlant: ({ stockMm }) => (stockMm.length > 0 ? { stockMm: [...stockMm] } : {}),
  practice: rigs,
  methods: [...SHAFT_METHODS, LEAKAGE],
  byRules: (rules) => ({ leakSchool: chosenOf(rules, LEAKAGE) }),
  history: {
    ...SHAFT_HISTORY,
    ...CONDITION_HISTORY,
    glandSpreadMm: { series: GAP_SPREAD },
    dropsPerMin: { series: LEAKAGE_DROPS },
  },
  part: { groups: [PACKING, SEAL_SHEET, MAKER], kit: 'parts', failure: PACKING_FAILURE },
  position: [SHAFT_PIECE, BOX_PIECE],
};
