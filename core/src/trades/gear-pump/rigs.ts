import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { gearPump } from './example.ts';
import { M } from './messages.ts';
import type { GearPumpSetup } from './setup.ts';

/** A gear pump’s end clearance, set by the gaskets under its rear plate. */
const stack = defineRig<GearPumpSetup>({
  id: 'gasket-stack',
  name: M.gasketStackGearPump,
  says: M.gearsTheirCaseLooseGaskets,
  setup: { ...gearPump, machine: 'Practice bench', position: 'Gear pump, end clearance' },
  until: 'clearance',
  faults: [
    {
      id: 'thick',
      name: M.stackTooThick,
      step: 'clearance',
      sign: (state) => {
        const gaps = standing(state, 'clearance').filter((r) => r.instrument.kind === 'feeler');
        return gaps.length > 1 && gaps.every((r) => r.value > 0.3);
      },
      because: M.allFourPlacesWideGaskets,
    },
    {
      id: 'worn-case',
      name: M.oneGearStandsDeeperThan,
      step: 'clearance',
      sign: (state) => {
        const gaps = standing(state, 'clearance').filter((r) => r.instrument.kind === 'feeler');
        const of = (gear: string) => gaps.filter((r) => r.place.includes(gear)).map((r) => r.value);
        const [a, b] = [of('drive'), of('idler')];
        return a.length > 0 && b.length > 0 && Math.abs(Math.max(...a) - Math.max(...b)) > 0.08;
      },
      because: M.driveIdlerDifferNoStack,
    },
    {
      id: 'burred',
      name: M.gearChipped,
      step: 'clean',
      seen: {
        step: 'clean',
        item: 'gears',
        says: M.rootOneToothCornerSize,
      },
      because: M.chipGoesRoundUntilFinds,
    },
    {
      id: 'old-gasket',
      name: M.oldGasketLeftFace,
      step: 'clean',
      seen: {
        step: 'clean',
        item: 'faces',
        says: M.crescentOldGasketStillSticks,
      },
      because: M.liftsPlateOneSideStack,
    },
  ],
  looks: [
    {
      step: 'clean',
      item: 'case',
      says: M.fineLinesRunRoundBores,
      because: M.runningMarksCannotFeltWhat,
    },
  ],
  lay(chance, faults) {
    const gap = (faults.has('thick') ? 0.4 : 0.16) + either(chance, 0.003);
    const deeper = faults.has('worn-case') ? 0.15 : 0;
    return {
      at: ({ step, key }) =>
        step === 'clearance' && key.startsWith('gap/')
          ? gap + (key.includes('idler') ? deeper : 0)
          : undefined,
    };
  },
});

export const rigs: readonly Rig[] = [stack];
