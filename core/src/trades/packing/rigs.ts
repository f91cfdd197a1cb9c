import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { packing } from './example.ts';
import { M } from './messages.ts';
import type { PackingSetup } from './setup.ts';

/** A stuffing box packed anew. */
const box = defineRig<PackingSetup>({
  id: 'packing-box',
  name: M.stuffingBox,
  says: M.boxOldRingsOutSleeve,
  setup: { ...packing, machine: 'Practice bench', position: 'Stuffing box' },
  until: 'follower',
  faults: [
    {
      id: 'worn',
      name: M.sleeveWorn,
      step: 'shaft',
      sign: (state) => {
        const of = standing(state, 'shaft').map((r) => r.value);
        return of.length > 0 && Math.max(...of) - Math.min(...of) > 0.12;
      },
      because: M.whereRingsRanSleeveSmaller,
    },
    {
      id: 'ring-left',
      name: M.oldRingStillBox,
      step: 'strip',
      seen: {
        step: 'strip',
        item: 'clean',
        says: M.bottomUnderLampSomethingSoft,
      },
      because: M.oneOldRingUnderNew,
    },
    {
      id: 'wrong-stock',
      name: M.packingAnotherSection,
      step: 'plan',
      seen: {
        step: 'plan',
        item: 'stock',
        says: M.reelStandsSmallerSectionThan,
      },
      because: M.tooThinRingSqueezedUntil,
    },
    {
      id: 'cocked',
      name: M.followerStandsAskew,
      step: 'follower',
      sign: (state) => {
        const of = standing(state, 'follower').map((r) => r.value);
        return of.length > 2 && Math.max(...of) - Math.min(...of) > 0.3;
      },
      because: M.gapWideOneSideFollower,
    },
  ],
  looks: [
    {
      step: 'strip',
      item: 'clean',
      says: M.bottomBushBlackScrapedBrass,
      because: M.graphiteOldRingsNothingHolds,
    },
    {
      step: 'cut',
      item: 'tried',
      says: M.cutEndsShowFewLoose,
      because: M.strandStrandWhatCountsEnds,
    },
  ],
  lay(chance, faults) {
    const base = 89.985 + either(chance, 0.002);
    const worn = faults.has('worn') ? 0.3 : 0;
    const high = 90 * Math.floor(4 * chance());
    const tilt = faults.has('cocked') ? 0.3 : 0.01;
    return {
      at({ step, key }) {
        const [head = '', deg = '0'] = key.split('/');
        if (step === 'shaft') return base - (head === 's2' ? worn : 0);
        if (step === 'follower') return 0.8 + tilt * Math.cos(((Number(deg) - high) * Math.PI) / 180);
        return undefined;
      },
    };
  },
});

export const rigs: readonly Rig[] = [box];
