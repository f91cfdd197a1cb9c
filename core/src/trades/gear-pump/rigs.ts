import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { gearPump } from './example.ts';
import type { GearPumpSetup } from './setup.ts';

/** A gear pump’s end clearance, set by the gaskets under its rear plate. */
const stack = defineRig<GearPumpSetup>({
  id: 'gasket-stack',
  name: 'Gasket stack of a gear pump',
  says: 'Gears in their case, loose gaskets, a straightedge, blades and a caliper.',
  setup: { ...gearPump, machine: 'Practice bench', position: 'Gear pump, end clearance' },
  until: 'clearance',
  faults: [
    {
      id: 'thick',
      name: 'The stack is too thick',
      step: 'clearance',
      sign: (state) => {
        const gaps = standing(state, 'clearance').filter((r) => r.instrument.kind === 'feeler');
        return gaps.length > 1 && gaps.every((r) => r.value > 0.3);
      },
      because: 'All four places are wide: gaskets come out.',
    },
    {
      id: 'worn-case',
      name: 'One gear stands deeper than the other',
      step: 'clearance',
      sign: (state) => {
        const gaps = standing(state, 'clearance').filter((r) => r.instrument.kind === 'feeler');
        const of = (gear: string) => gaps.filter((r) => r.place.includes(gear)).map((r) => r.value);
        const [a, b] = [of('drive'), of('idler')];
        return a.length > 0 && b.length > 0 && Math.abs(Math.max(...a) - Math.max(...b)) > 0.08;
      },
      because: 'Drive and idler differ: no stack is right for both; case or gear is worn.',
    },
    {
      id: 'burred',
      name: 'A gear is chipped',
      step: 'clean',
      seen: {
        step: 'clean',
        item: 'gears',
        says: 'At the root of one tooth a corner the size of a rice grain is missing.',
      },
      because: 'A chip goes round until it finds the case.',
    },
    {
      id: 'old-gasket',
      name: 'Old gasket left on a face',
      step: 'clean',
      seen: {
        step: 'clean',
        item: 'faces',
        says: 'A crescent of the old gasket still sticks to the case face.',
      },
      because: 'It lifts the plate on one side: the stack is then never what was measured.',
    },
  ],
  looks: [
    {
      step: 'clean',
      item: 'case',
      says: 'Fine lines run round in the bores; the nail slides over them.',
      because: 'Running marks that cannot be felt are what a pump that ran looks like.',
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
