import type { Series, Slots } from '../../engine/slots.ts';
import { RESIDUAL } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

const LET_GO: Series = { id: 'let-go', label: M.letGo2, quantity: 'pressure' };

/** What this trade gives the rest of the product. */
export const slots: Slots<DismountSetup> = {
  stage: 'off',
  tasks: [
    {
      id: 'open',
      name: M.openedAsFound,
      steps: ['safe', 'found', 'residual'],
      skill: 'bearings',
      hands: 1,
      minutes: [25, 40, 70],
      pauses: true,
    },
    {
      id: 'off',
      name: M.letGoTakenOff,
      steps: ['loose', 'letgo', 'pumpoff', 'nutback', 'parts'],
      skill: 'bearings',
      hands: 2,
      tools: ['hydraulic pump'],
      minutes: [30, 50, 150],
    },
  ],
  history: {
    foundMm: { series: RESIDUAL, found: true },
    letGoMpa: { series: LET_GO, found: true },
  },
  part: { groups: [MAKER], kit: 'parts' },
};
