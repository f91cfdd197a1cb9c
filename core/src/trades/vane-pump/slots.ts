import type { Slots } from '../../engine/slots.ts';
import { len } from '../../quantities/say.ts';
import { TORQUE } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { largest } from '../../steps/wrench-reach.ts';
import { M } from './messages.ts';
import { SHEET_TORQUES, sparesOf, thicknessesOf, type VanePumpSetup } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<VanePumpSetup> = {
  stage: 'close',
  torqueNm: (setup) => largest(setup.headNm, setup.capNm),
  kit: (setup) =>
    thicknessesOf(setup).flatMap((t, i) => {
      const count = sparesOf(setup)[i] ?? 0;
      return count > 0 ? [{ group: 'shims' as const, item: len(t, 2), count, unit: 'piece' as const }] : [];
    }),
  tasks: [
    {
      id: 'side1',
      name: M.firstHeadOffSealed,
      steps: ['safe', 'relief', 'tags', '*1'],
      skill: 'pumps',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [60, 90, 150],
      pauses: true,
      finds: { what: M.headScored, odds: 0.1, minutes: [90, 180, 360] },
    },
    {
      id: 'side2',
      name: M.secondHeadOffSealed,
      steps: ['*2'],
      skill: 'pumps',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [50, 75, 130],
      pauses: true,
    },
    {
      id: 'start',
      name: M.greasedBroughtUp,
      steps: ['grease', 'start', 'store'],
      skill: 'pumps',
      hands: 1,
      minutes: [25, 35, 60],
    },
  ],
  history: { torqueNm: { series: TORQUE } },
  part: { groups: [SHEET_TORQUES, MAKER], kit: 'parts' },
};
