import type { Slots } from '../../engine/slots.ts';
import { len } from '../../quantities/say.ts';
import { TORQUE } from '../../steps/series.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { largest } from '../../steps/wrench-reach.ts';
import { M } from './messages.ts';
import { rigs } from './rigs.ts';
import { CLEARANCE_LEAST, CLEARANCE_MOST, GASKET_STACK } from './series.ts';
import type { GearPumpSetup } from './setup.ts';
import { SHEET_TORQUES } from './setup.ts';

/** What this trade gives the rest of the product. */
export const slots: Slots<GearPumpSetup> = {
  stage: 'close',
  torqueNm: (setup) => largest(setup.plateNm, setup.nutNm),
  kit: (setup) =>
    (
      [
        [setup.thinMm, setup.thinCount],
        [setup.middleMm, setup.middleCount],
        [setup.thickMm, setup.thickCount],
      ] as const
    ).flatMap(([mm, count]) =>
      mm && count ? [{ group: 'gaskets' as const, item: len(mm, 3), count, unit: 'piece' as const }] : [],
    ),
  tasks: [
    {
      id: 'apart',
      name: M.apartTaggedCleaned,
      steps: ['safe', 'tags', 'clean'],
      skill: 'pumps',
      hands: 1,
      tools: ['crane'],
      minutes: [60, 90, 150],
      pauses: true,
      finds: { what: M.gearPlateScored, odds: 0.12, minutes: [120, 240, 480] },
    },
    {
      id: 'bench',
      name: M.sealsBenchAssemblies,
      steps: ['lips', 'bench', 'compress'],
      skill: 'pumps',
      hands: 1,
      minutes: [40, 60, 100],
      pauses: true,
    },
    {
      id: 'plates',
      name: M.platesGearsEndClearance,
      steps: [
        'front',
        'frontbolts',
        'gears',
        'clearance',
        'rear',
        'rearbolts',
        'drains',
        'chambers',
        'turn1',
      ],
      skill: 'pumps',
      hands: 2,
      tools: ['torque wrench'],
      minutes: [60, 90, 160],
      pauses: true,
    },
    {
      id: 'drive',
      name: M.driveSideClosed,
      steps: ['drive', 'main', 'nut', 'nuttorque', 'turn2', 'finish'],
      skill: 'pumps',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [40, 60, 100],
      pauses: true,
    },
  ],
  practice: rigs,
  history: {
    torqueNm: { series: TORQUE },
    clearanceMinMm: { series: CLEARANCE_LEAST },
    clearanceMaxMm: { series: CLEARANCE_MOST },
    stackMm: { series: GASKET_STACK },
  },
  part: { groups: [SHEET_TORQUES, MAKER], kit: 'parts' },
};
