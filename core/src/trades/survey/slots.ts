import type { Slots } from '../../engine/slots.ts';
import { SEAL_SHEET } from '../../steps/condition/condition.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { SHAFT_METHODS } from '../../steps/condition/setup-fields.ts';
import { BOX_PIECE, SHAFT_PIECE } from '../../steps/position-pieces.ts';
import { CONDITION_HISTORY, SHAFT_HISTORY } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import { rigs } from './rigs.ts';
import type { ConditionSetup } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<ConditionSetup> = {
  stage: (setup) => (setup?.condition?.measures.includes('coupling') ? 'couple' : 'survey'),
  tasks: [
    measured([...LAST_MEASURES, 'verdict'], {
      name: M.surveyed,
      minutes: [30, 50, 100],
      finds: { what: M.fails, odds: 0.15, minutes: [180, 300, 600] },
    }),
  ],
  practice: rigs,
  methods: SHAFT_METHODS,
  history: { ...SHAFT_HISTORY, ...CONDITION_HISTORY },
  part: { groups: [SEAL_SHEET, MAKER], kit: 'parts' },
  position: [SHAFT_PIECE, BOX_PIECE],
};
