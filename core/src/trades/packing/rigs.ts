import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { packing } from './example.ts';
import type { PackingSetup } from './setup.ts';

/** A stuffing box packed anew. */
const box = defineRig<PackingSetup>({
  id: 'packing-box',
  name: 'Stuffing box',
  says: 'A box with its old rings out, a sleeve, cut rings, a follower with two nuts.',
  setup: { ...packing, machine: 'Practice bench', position: 'Stuffing box' },
  until: 'follower',
  faults: [
    {
      id: 'worn',
      name: 'The sleeve is worn',
      step: 'shaft',
      sign: (state) => {
        const of = standing(state, 'shaft').map((r) => r.value);
        return of.length > 0 && Math.max(...of) - Math.min(...of) > 0.12;
      },
      because: 'Where the rings ran the sleeve is smaller: new rings cannot follow it, and burn.',
    },
    {
      id: 'ring-left',
      name: 'An old ring is still in the box',
      step: 'strip',
      seen: {
        step: 'strip',
        item: 'clean',
        says: 'At the bottom, under the lamp, something soft gives way to the hook.',
      },
      because: 'One old ring under the new ones, and none of them sits at its depth.',
    },
    {
      id: 'wrong-stock',
      name: 'The packing is another section',
      step: 'plan',
      seen: {
        step: 'plan',
        item: 'stock',
        says: 'On the reel stands a smaller section than the one worked out.',
      },
      because: 'Too thin a ring is squeezed until it seals nothing: it is not hammered wider.',
    },
    {
      id: 'cocked',
      name: 'The follower stands askew',
      step: 'follower',
      sign: (state) => {
        const of = standing(state, 'follower').map((r) => r.value);
        return of.length > 2 && Math.max(...of) - Math.min(...of) > 0.3;
      },
      because: 'The gap is wide on one side: the follower will rub the shaft and press on one side only.',
    },
  ],
  looks: [
    {
      step: 'strip',
      item: 'clean',
      says: 'The bottom bush is black; scraped with brass it is graphite, thin as a breath.',
      because: 'Graphite of the old rings, and nothing that holds a new one off.',
    },
    {
      step: 'cut',
      item: 'tried',
      says: 'The cut ends show a few loose strands; the ends meet all along.',
      because: 'A strand is a strand: what counts is that the ends meet without a gap or a bulge.',
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
