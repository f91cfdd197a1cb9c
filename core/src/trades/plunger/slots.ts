import type { Slots } from '../../engine/slots.ts';
import { COMMON } from '../../message/common/messages.ts';
import { PACKING_FAILURE } from '../../steps/failures/gland-rings.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import type { PlungerSetup } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<PlungerSetup> = {
  stage: 'close',
  tasks: [
    {
      id: 'look',
      name: M.borePlungerParts,
      steps: ['safe', 'look', 'sizes', 'listed'],
      skill: 'boxes',
      hands: 1,
      minutes: [20, 35, 60],
      pauses: true,
    },
    {
      id: 'in',
      name: M.laidPreloadedLocked,
      steps: ['order', 'in', 'mark', 'preload', 'clamp'],
      skill: 'boxes',
      hands: 1,
      minutes: [25, 40, 70],
      pauses: true,
    },
    {
      id: 'proof',
      name: COMMON.startedProved,
      steps: ['start', 'proof'],
      skill: 'boxes',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [25, 35, 60],
    },
  ],
  part: { groups: [MAKER], kit: 'parts', failure: PACKING_FAILURE },
};
