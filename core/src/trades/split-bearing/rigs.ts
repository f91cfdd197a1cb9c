import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { split } from './example.ts';
import type { SplitSetup } from './setup.ts';

/** Halves of a race put round a shaft. */
const race = defineRig<SplitSetup>({
  id: 'split-race',
  name: 'Split race on a shaft',
  says: 'Both halves of the inner race, clamp rings, a shaft, blades.',
  setup: { ...split, machine: 'Practice bench', position: 'Split race' },
  until: 'race',
  faults: [
    {
      id: 'large',
      notWith: 'small',
      name: 'The shaft is too large for the race',
      step: 'race',
      sign: (state) => standing(state, 'race').some((r) => r.value > 0.7),
      because: 'Both gaps stand wide open: the halves do not come down on this shaft.',
    },
    {
      id: 'small',
      name: 'The race does not grip: the shaft is too small',
      step: 'race',
      sign: (state) => {
        const gaps = standing(state, 'race').map((r) => r.value);
        return gaps.length > 0 && Math.max(...gaps) < 0.08;
      },
      because: 'No gap is left: the halves meet before they grip, and the race will creep.',
    },
    {
      id: 'apart',
      name: 'Halves of two races',
      step: 'outer',
      seen: {
        step: 'outer',
        item: 'marks',
        says: 'One half bears another number than its fellow.',
      },
      because: 'Halves are made together: of two bearings they never make one.',
    },
    {
      id: 'step',
      name: 'A step at the outer joints',
      step: 'grease1',
      seen: {
        step: 'grease1',
        item: 'smooth',
        says: 'A finger drawn over the joint feels an edge on one side.',
      },
      because: 'Rollers hammer over a step: the radial screws are eased and the halves set again.',
    },
  ],
  looks: [
    {
      step: 'grease1',
      item: 'smooth',
      says: 'The joint can be seen as a fine dark line; the finger feels nothing.',
      because: 'A joint is seen; a step is felt.',
    },
    {
      step: 'outer',
      item: 'marks',
      says: 'The marks agree; beside them is an old centre punch mark on one half only.',
      because: 'The match-marks are the maker’s; the punch mark is somebody’s.',
    },
  ],
  lay(chance, faults) {
    const gap = faults.has('large') ? 0.9 : faults.has('small') ? 0.03 : 0.3 + either(chance, 0.02);
    const seat = seatOf(89.973 + either(chance, 0.001));
    return { at: (where) => (where.step === 'race' ? gap : seat(where)) };
  },
});

export const rigs: readonly Rig[] = [race];
