import type { Slots } from '../../engine/slots.ts';
import { STANDS_PROUD } from '../../steps/series.ts';
import { M } from './messages.ts';
import type { WearSetup } from './setup.ts';
import { BASELINE } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<WearSetup> = {
  stage: 'round',
  tasks: [
    {
      id: 'wear',
      name: M.wearRead,
      steps: ['safe', 'wear', 'renewed'],
      skill: 'seals',
      hands: 1,
      minutes: [10, 15, 30],
      finds: { what: M.sealDue, odds: 0.1, minutes: [150, 220, 400] },
    },
  ],
  history: { wearMm: { series: STANDS_PROUD, found: true } },
  part: { groups: [BASELINE], kit: 'parts' },
};
