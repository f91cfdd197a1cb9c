import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { COMMON } from '../../message/common/messages.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { setKeys } from './bench-clearance.ts';
import { feltKey } from './drive-up.ts';
import { setup as byFeelers, example } from './example.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';
import { pitchOf } from './setup.ts';

const BENCH = { machine: 'Practice bench', position: 'Sleeve and bearing' };
/** How much of the way up the taper is lost to smoothing and stretch before it closes the clearance. From memory. */
const TAKEN_UP = 0.78;

const onFeelers: SleeveSetup = { ...byFeelers, ...BENCH };
const onPump: SleeveSetup = {
  ...(example.setups['by hydraulic nut'] ?? byFeelers),
  ...BENCH,
  position: 'Bearing with its hydraulic nut',
};

const diametersOf = (state: Parameters<NonNullable<Rig['faults'][number]['sign']>>[0]) =>
  standing(state, 'shaft').map((r) => r.value);
const spread = (of: readonly number[]): number => (of.length > 0 ? Math.max(...of) - Math.min(...of) : 0);

/** A bearing driven up its sleeve by blows, felt with blades. */
const sleeve = defineRig<SleeveSetup>({
  id: 'sleeve',
  name: M.bearingSleeve2,
  says: M.sphericalRollerBearingAdapterSleeve,
  setup: onFeelers,
  until: 'driveup',
  moves: { by: 'nut', step: 'driveup' },
  faults: [
    {
      id: 'burr',
      name: M.burrUnderSleeve,
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'slides',
        says: M.stopsShortPlaceGoesOnly,
      },
      because: M.burrCarriesSleeveOnePoint,
    },
    {
      id: 'oval',
      name: COMMON.seatOval,
      step: 'shaft',
      sign: (state) => spread(diametersOf(state)) > 0.05,
      because: M.sleeveTakesShapeShaftRing,
    },
    {
      id: 'tight',
      name: M.bearingsClearanceNotClass,
      step: 'bench',
      sign: (state) => {
        const bench = standing(state, 'bench').map((r) => r.value);
        return bench.length > 0 && bench.reduce((a, b) => a + b, 0) / bench.length < 0.07;
      },
      because: M.whatFeltBenchLiesBelow,
    },
    {
      id: 'spread',
      name: M.sleeveSpread,
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'film-taper',
        says: M.taperShinesOneBandThick,
      },
      because: M.sleeveDrivenTooFarOnce,
    },
  ],
  looks: [
    {
      step: 'inboard',
      item: 'facing',
      says: M.markedTopBearsBrownStain,
      because: M.stainCannotFeltColourNot,
    },
    {
      step: 'fit',
      item: 'film-bore',
      says: M.sleeveLooksGreyInsideWhite,
      because: M.phosphatedSteelGreyDryClean,
    },
  ],
  lay(chance, faults) {
    const bench = faults.has('tight') ? 0.05 + either(chance, 0.004) : 0.095 + either(chance, 0.003);
    const rows = { A: either(chance, 0.002), B: either(chance, 0.002) };
    const pitch = pitchOf(onFeelers).pitchMm;
    // Each degree takes so much of the clearance: way along the thread, over the taper.
    const perDeg = ((pitch / 360) * TAKEN_UP) / 12;
    const gap = (deg: number, row: 'A' | 'B') => Math.max(0.005, bench + rows[row] - perDeg * deg);
    const seat = seatOf(89.973 + either(chance, 0.001), faults.has('oval') ? 0.035 : 0.003);
    return {
      tiltMm: 0.03,
      blow: [9, 16],
      creepDeg: 3,
      at(where) {
        const felt = feltKey.read(where.key);
        if (felt) return gap(Number.isFinite(where.nutDeg) ? where.nutDeg : felt.deg, felt.row);
        const onBench = setKeys.read(where.key);
        return onBench ? gap(0, onBench.row) : seat(where);
      },
    };
  },
  keyAt(key, nutDeg) {
    const felt = feltKey.read(key);
    return felt ? feltKey.write({ ...felt, deg: nutDeg }) : key;
  },
  ready(key, _handled, nutDeg) {
    const felt = feltKey.read(key);
    return felt && nutDeg < felt.deg - 8 ? 'blow' : 'read';
  },
});

const MM_A_STROKE = 0.06;
/** Strokes until the piston meets the ring, a megapascal each. */
const STROKES_TO_MEET = 3;
const DIAL_AT_MM = 2;

/** A bearing pressed up by the hydraulic nut: its other nut may be tight. */
const hydraulic = defineRig<SleeveSetup>({
  id: 'hydraulic-nut',
  name: M.bearingHydraulicNut2,
  says: M.nutCoupledPumpDialFace,
  setup: onPump,
  until: 'release',
  moves: { by: 'pump', step: 'driveup' },
  faults: [
    {
      id: 'other-nut',
      name: M.otherNutTight,
      step: 'driveup',
      sign: (_state, { pump }) => pump.mpa >= 30 && pump.mm < 0.4,
      because: M.pressureClimbsFaceStandsStill,
    },
    {
      id: 'oil',
      name: M.oilTrappedNut,
      step: 'release',
      seen: {
        step: 'release',
        item: 'returned',
        says: M.gaugeShowsNothingYetPiston,
      },
      because: M.oilDidNotRunBack,
    },
    {
      id: 'air',
      name: M.airNut,
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'bled',
        says: M.bleedScrewOilSpitsFroths,
      },
      because: M.airSpringsGaugeDialTell,
    },
    {
      id: 'wrong-nut',
      name: M.nutNotOneTyped,
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'bored',
        says: M.nutStandsAnotherSizeThan,
      },
      because: M.startingPressureForceAreaAnother,
    },
  ],
  looks: [
    {
      step: 'nuts',
      item: 'scribed',
      says: M.thereTwoOldScribeMarks,
      because: M.oldMarksOldYoursBright,
    },
  ],
  lay(chance, faults) {
    const stiff = 22 + either(chance, 2);
    const tight = faults.has('other-nut');
    const seat = seatOf(89.973 + either(chance, 0.001));
    const pump = (strokes: number) => {
      // Until the piston meets the ring the gauge climbs and nothing moves.
      const on = Math.max(0, strokes - STROKES_TO_MEET);
      const met = Math.min(strokes, STROKES_TO_MEET);
      return tight
        ? { mpa: met + on * 3, mm: Math.min(0.05, on * 0.01) }
        : { mpa: met + on * MM_A_STROKE * stiff, mm: on * MM_A_STROKE };
    };
    return {
      pump,
      at(where) {
        if (where.step !== 'driveup') return seat(where);
        const { mpa, mm } = pump(where.strokes);
        // The dial was set with its plunger pressed in: the face moves away from it.
        switch (where.key.split('/')[1]) {
          case 'p':
            return mpa;
          // Let off, the gauge shows nothing; the other nut is backed off a quarter.
          case 'release':
            return 0;
          case 'back':
            return 90;
          default:
            return DIAL_AT_MM - mm;
        }
      },
    };
  },
  ready(key, { pump }) {
    if (!key.endsWith('/p')) return 'read';
    const enough = key.startsWith('start') ? pump.mpa >= STROKES_TO_MEET : pump.mm >= 0.64 || pump.mpa >= 30;
    return enough ? 'read' : 'stroke';
  },
});

export const rigs: readonly Rig[] = [sleeve, hydraulic];
