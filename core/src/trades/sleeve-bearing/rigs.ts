import { standing } from '../../engine/facts.ts';
import { defineRig, either, type Rig } from '../../engine/rig.ts';
import { seatOf } from '../../steps/condition/bench-seat.ts';
import { setKeys } from './bench-clearance.ts';
import { feltKey } from './drive-up.ts';
import { setup as byFeelers, example } from './example.ts';
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
  name: 'Bearing on a sleeve',
  says: 'A spherical roller bearing, its adapter sleeve, a seat of 90, blades, a spanner and a hammer.',
  setup: onFeelers,
  until: 'driveup',
  moves: { by: 'nut', step: 'driveup' },
  faults: [
    {
      id: 'burr',
      name: 'A burr under the sleeve',
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'slides',
        says: 'It stops short of its place and goes on only under the mallet; there is a bright scratch in its bore.',
      },
      because:
        'A burr carries the sleeve on one point: the clearance felt is a part of the truth, and the shaft frets. Off, dressed, measured again.',
    },
    {
      id: 'oval',
      name: 'The seat is oval',
      step: 'shaft',
      sign: (state) => spread(diametersOf(state)) > 0.05,
      because: 'The sleeve takes the shape of the shaft, the ring that of the sleeve: it would run oval.',
    },
    {
      id: 'tight',
      name: 'The bearing’s clearance is not that of its class',
      step: 'bench',
      sign: (state) => {
        const bench = standing(state, 'bench').map((r) => r.value);
        return bench.length > 0 && bench.reduce((a, b) => a + b, 0) / bench.length < 0.07;
      },
      because:
        'What is felt on the bench lies below the table of its class: another bearing, or one that was run.',
    },
    {
      id: 'spread',
      name: 'The sleeve is spread',
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'film-taper',
        says: 'The taper shines in one band at its thick end, and a rule laid along it rocks.',
      },
      because: 'A sleeve that was driven too far once stays spread: it no longer closes on the shaft evenly.',
    },
  ],
  looks: [
    {
      step: 'inboard',
      item: 'facing',
      says: 'The marked top bears a brown stain of old preservative; nothing can be felt with the nail.',
      because: 'A stain that cannot be felt is colour, not damage; the mark is on top.',
    },
    {
      step: 'fit',
      item: 'film-bore',
      says: 'The sleeve looks grey inside; a white cloth comes out clean and dry.',
      because: 'Phosphated steel is grey: dry and clean is what counts.',
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
  name: 'Bearing with a hydraulic nut',
  says: 'The nut coupled to its pump, a dial on the face that moves, a second nut behind.',
  setup: onPump,
  until: 'release',
  moves: { by: 'pump', step: 'driveup' },
  faults: [
    {
      id: 'other-nut',
      name: 'The other nut is tight',
      step: 'driveup',
      sign: (_state, { pump }) => pump.mpa >= 30 && pump.mm < 0.4,
      because: 'The pressure climbs and the face stands still: the ring is pressed against the other nut.',
    },
    {
      id: 'oil',
      name: 'Oil is trapped in the nut',
      step: 'release',
      seen: {
        step: 'release',
        item: 'returned',
        says: 'The gauge shows nothing, and yet the piston still stands out by a finger’s breadth.',
      },
      because:
        'Oil that did not run back holds the nut off the ring: it cannot be snugged, and what is locked then comes loose.',
    },
    {
      id: 'air',
      name: 'Air in the nut',
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'bled',
        says: 'At the bleed screw the oil spits and froths; the piston stands out by a finger’s breadth.',
      },
      because: 'Air springs: gauge and dial tell nothing of the zero, and the nut jumps when it lets go.',
    },
    {
      id: 'wrong-nut',
      name: 'The nut is not the one typed',
      step: 'fit',
      seen: {
        step: 'fit',
        item: 'bored',
        says: 'On the nut stands another size than on the sheet: its piston is smaller than the area typed.',
      },
      because: 'The starting pressure is force by area: with another area the zero lies elsewhere.',
    },
  ],
  looks: [
    {
      step: 'fit',
      item: 'scribed',
      says: 'There are two old scribe marks beside yours, both filled with dirt.',
      because: 'Old marks are old: yours is bright and the only one that counts.',
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
