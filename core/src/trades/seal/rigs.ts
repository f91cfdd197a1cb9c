import { standing } from '../../engine/facts.ts';
import { type Chance, defineRig, either, type Rig } from '../../engine/rig.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { cartridgeSeal } from './example.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

const on = (position: string): SealSetup => ({ ...cartridgeSeal, machine: 'Practice bench', position });
/** A seat that is as it should be. */
const goodSeat = (chance: Chance) => seatOf(89.985 + either(chance, 0.002));
const gapsOf = (state: Parameters<NonNullable<Rig['faults'][number]['sign']>>[0]) =>
  standing(state, 'gland-gaps').map((r) => r.value);

/** A cartridge drawn up by its gland. */
const gland = defineRig<SealSetup>({
  id: 'gland',
  name: M.glandDrawnUp,
  says: M.cartridgeShaftFourGlandBolts,
  setup: on('Gland of a cartridge'),
  until: 'gland-gaps',
  faults: [
    {
      id: 'cocked',
      name: M.glandCocked,
      step: 'gland-gaps',
      sign: (state) => {
        const gaps = gapsOf(state);
        return gaps.length > 2 && Math.max(...gaps) - Math.min(...gaps) > 0.12;
      },
      because: M.gapWideOneSideNarrow,
    },
    {
      id: 'pad',
      name: M.centringPadOutGroove,
      step: 'slide',
      seen: {
        step: 'slide',
        item: 'pads',
        says: M.onePadLiesHalfOut,
      },
      because: M.padsHoldGlandMiddleOne,
    },
    {
      id: 'wrong-rubber',
      name: M.oRingNicked,
      step: 'parts',
      seen: {
        step: 'parts',
        item: 'elastomers',
        says: M.oneORingHasNick,
      },
      because: M.nickWhereLeaksPennysPart,
    },
  ],
  looks: [
    {
      step: 'parts',
      item: 'faces',
      says: M.faintRainbowLiesOverOne,
      because: M.filmFromPackingNoScratch,
    },
    {
      step: 'slide',
      item: 'lubricated',
      says: M.oRingsLookDullFinger,
      because: M.dullHowLooksWhatSuits,
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
  name: M.cartridgeSlidSet,
  says: M.cartridgeSealClipsSetScrews,
  setup: on('Cartridge, set and turned'),
  until: 'handturn',
  faults: [
    {
      id: 'proud',
      name: M.setScrewStandsProudBore,
      step: 'slide',
      seen: {
        step: 'slide',
        item: 'notproud',
        says: M.dogPointLooksOutBore,
      },
      because: M.ploughsShaftAllWaySleeves,
    },
    {
      id: 'clip',
      name: M.clipStill,
      step: 'clips',
      seen: {
        step: 'clips',
        item: 'off',
        says: M.threeClipsLieBenchThere,
      },
      because: M.clipLeftHoldsFacesApart,
    },
    {
      id: 'plug',
      name: M.wrongPortPlugged,
      step: 'otherports',
      seen: {
        step: 'otherports',
        item: 'flush',
        says: M.flushPortPluggedOneBeside,
      },
      because: M.withoutFlushSealRunsDry,
    },
  ],
  looks: [
    {
      step: 'slide',
      item: 'points',
      says: M.twoScrewsHaveCupsTwo,
      because: M.howTheyMeant,
    },
    {
      step: 'clips',
      item: 'kept',
      says: M.bagClipsOldOneMarked,
      because: M.bagReMarkedWhatCounts,
    },
  ],
  lay: (chance) => ({ at: goodSeat(chance) }),
});

export const rigs: readonly Rig[] = [gland, cartridge];
