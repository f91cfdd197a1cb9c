import { standing } from '../../engine/facts.ts';
import { type Chance, defineRig, either, type Rig } from '../../engine/rig.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { cartridgeSeal } from './example.ts';
import type { SealSetup } from './setup.ts';

const on = (position: string): SealSetup => ({ ...cartridgeSeal, machine: 'Practice bench', position });
/** A seat that is as it should be. */
const goodSeat = (chance: Chance) => seatOf(89.985 + either(chance, 0.002));
const gapsOf = (state: Parameters<NonNullable<Rig['faults'][number]['sign']>>[0]) =>
  standing(state, 'gland-gaps').map((r) => r.value);

/** A cartridge drawn up by its gland. */
const gland = defineRig<SealSetup>({
  id: 'gland',
  name: 'Gland drawn up',
  says: 'A cartridge on its shaft, four gland bolts, a wrench that clicks, blades for the gap all round.',
  setup: on('Gland of a cartridge'),
  until: 'gland-gaps',
  faults: [
    {
      id: 'cocked',
      name: 'The gland is cocked',
      step: 'gland-gaps',
      sign: (state) => {
        const gaps = gapsOf(state);
        return gaps.length > 2 && Math.max(...gaps) - Math.min(...gaps) > 0.12;
      },
      because: 'The gap is wide on one side and narrow opposite: the faces stand askew.',
    },
    {
      id: 'pad',
      name: 'A centring pad is out of its groove',
      step: 'slide',
      seen: {
        step: 'slide',
        item: 'pads',
        says: 'One pad lies half out of its groove and leans on the sleeve.',
      },
      because: 'The pads hold the gland to the middle: one out, and it is set off centre.',
    },
    {
      id: 'wrong-rubber',
      name: 'An O-ring is nicked',
      step: 'parts',
      seen: {
        step: 'parts',
        item: 'elastomers',
        says: 'One O-ring has a nick on its outside, as if drawn over a thread.',
      },
      because: 'A nick is where it leaks; it is a penny’s part.',
    },
  ],
  looks: [
    {
      step: 'parts',
      item: 'faces',
      says: 'A faint rainbow lies over one face; wiped with alcohol it is gone.',
      because: 'A film from packing is no scratch; it would be one if the light broke on it after wiping.',
    },
    {
      step: 'slide',
      item: 'lubricated',
      says: 'The O-rings look dull; the finger comes away with the sheet’s lubricant on it.',
      because: 'Dull is how it looks; what suits the rubber is on it.',
    },
  ],
  lay(chance, faults) {
    const seat = goodSeat(chance);
    const high = 90 * Math.floor(4 * chance());
    const tilt = faults.has('cocked') ? 0.15 : 0.004;
    const mean = 0.5 + either(chance, 0.004);
    return {
      at(where) {
        const deg = Number(where.key.split('/')[1] ?? 0);
        return where.step === 'gland-gaps'
          ? mean + tilt * Math.cos(((deg - high) * Math.PI) / 180)
          : seat(where);
      },
    };
  },
});

/** A cartridge slid on, set and let go. */
const cartridge = defineRig<SealSetup>({
  id: 'cartridge',
  name: 'Cartridge slid on and set',
  says: 'A cartridge seal with its clips, set screws, a shaft, a key for the screws.',
  setup: on('Cartridge, set and turned'),
  until: 'handturn',
  faults: [
    {
      id: 'proud',
      name: 'A set screw stands proud in the bore',
      step: 'slide',
      seen: {
        step: 'slide',
        item: 'notproud',
        says: 'A dog point looks out of the bore by the thickness of a nail.',
      },
      because: 'It ploughs the shaft all the way in, and the sleeve’s O-ring after it.',
    },
    {
      id: 'clip',
      name: 'A clip is still in',
      step: 'clips',
      seen: {
        step: 'clips',
        item: 'off',
        says: 'Three clips lie on the bench. There were four.',
      },
      because: 'A clip left in holds the faces apart, or rubs: they are counted, every time.',
    },
    {
      id: 'plug',
      name: 'The wrong port is plugged',
      step: 'otherports',
      seen: {
        step: 'otherports',
        item: 'flush',
        says: 'The flush port is plugged, and the one beside it stands open.',
      },
      because: 'Without its flush the seal runs dry; through the open one it runs out.',
    },
  ],
  looks: [
    {
      step: 'slide',
      item: 'points',
      says: 'Two screws have cups and two have dogs: all four sit in holes of their own kind.',
      because: 'That is how they are meant to be.',
    },
    {
      step: 'clips',
      item: 'kept',
      says: 'The bag for the clips is an old one, marked with another pump; in it are these four.',
      because: 'The bag is re-marked; what counts is that four are in it, at this machine.',
    },
  ],
  lay: (chance) => ({ at: goodSeat(chance) }),
});

export const rigs: readonly Rig[] = [gland, cartridge];
