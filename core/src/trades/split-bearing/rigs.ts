import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { split } from './example.ts';
import { M } from './messages.ts';
import type { SplitSetup } from './setup.ts';

/** Halves of a race put round a shaft. */
const race = defineRig<SplitSetup>({
  id: 'split-race',
  name: M.splitRaceShaft,
  says: M.bothHalvesInnerRaceClamp,
  setup: { ...split, machine: 'Practice bench', position: 'Split race' },
  until: 'race',
  faults: [
    {
      id: 'large',
      notWith: 'small',
      name: M.shaftTooLargeRace,
      step: 'race',
      sign: (state) => standing(state, 'race').some((r) => r.value > 0.7),
      because: M.bothGapsStandWideOpen,
    },
    {
      id: 'small',
      name: M.raceDoesNotGripShaft,
      step: 'race',
      sign: (state) => {
        const gaps = standing(state, 'race').map((r) => r.value);
        return gaps.length > 0 && Math.max(...gaps) < 0.08;
      },
      because: M.noGapLeftHalvesMeet,
    },
    {
      id: 'apart',
      name: M.halvesTwoRaces,
      step: 'outer',
      seen: {
        step: 'outer',
        item: 'marks',
        says: M.oneHalfBearsAnotherNumber,
      },
      because: M.halvesMadeTogetherTwoBearings,
    },
    {
      id: 'step',
      name: M.stepOuterJoints,
      step: 'grease1',
      seen: {
        step: 'grease1',
        item: 'smooth',
        says: M.fingerDrawnOverJointFeels,
      },
      because: M.rollersHammerOverStepRadial,
    },
  ],
  looks: [
    {
      step: 'grease1',
      item: 'smooth',
      says: M.jointCanSeenAsFine,
      because: M.jointSeenStepFelt,
    },
    {
      step: 'outer',
      item: 'marks',
      says: M.marksAgreeBesideThemOld,
      because: M.matchMarksMakersPunchMark,
    },
  ],
  lay(chance, faults) {
    const gap = faults.has('large') ? 0.9 : faults.has('small') ? 0.03 : 0.3 + either(chance, 0.02);
    const seat = seatOf(89.973 + either(chance, 0.001));
    return { at: (where) => (where.step === 'race' ? gap : seat(where)) };
  },
});

export const rigs: readonly Rig[] = [race];
