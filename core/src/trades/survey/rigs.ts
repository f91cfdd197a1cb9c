import { standing } from '../../engine/facts.ts';
import { defineRig, either, oneOf, type Rig } from '../../engine/rig.ts';
import type { JobState } from '../../engine/state.ts';
import { survey } from './example.ts';
import type { ConditionSetup } from './setup.ts';

const bench = (position: string, condition: Partial<ConditionSetup['condition']>): ConditionSetup => ({
  ...survey,
  machine: 'Practice bench',
  position,
  shaftMm: 90,
  condition: { ...survey.condition, ...condition },
});
const RAD = Math.PI / 180;
/** Station and angle of a place, `s1/45`; a turn that has no stations is its first. */
const placed = (key: string): { station: number; deg: number } => {
  const [head = '', deg = '0'] = key.split('/');
  return { station: Number(head.replace(/\D/g, '')) || 1, deg: Number(deg) };
};
type Point = { station: number; deg: number; value: number };
const pointsOf = (state: JobState, step: string): Point[] =>
  standing(state, step).map((r) => ({ ...placed(r.place), value: r.value }));

/** What a turn is made of: throw (first harmonic), ovality (second), and the largest rest, mm. */
function partsOf(points: readonly Point[]): { throwMm: number; ovalMm: number; restMm: number } {
  const turn = points.filter((p) => p.deg < 360);
  if (turn.length < 5) return { throwMm: 0, ovalMm: 0, restMm: 0 };
  const mean = turn.reduce((n, p) => n + p.value, 0) / turn.length;
  const wave = (k: number) => {
    const c = (2 / turn.length) * turn.reduce((n, p) => n + p.value * Math.cos(k * p.deg * RAD), 0);
    const s = (2 / turn.length) * turn.reduce((n, p) => n + p.value * Math.sin(k * p.deg * RAD), 0);
    return { c, s, mm: Math.hypot(c, s) };
  };
  const [one, two] = [wave(1), wave(2)];
  const rest = turn.map((p) =>
    Math.abs(
      p.value -
        mean -
        one.c * Math.cos(p.deg * RAD) -
        one.s * Math.sin(p.deg * RAD) -
        two.c * Math.cos(2 * p.deg * RAD) -
        two.s * Math.sin(2 * p.deg * RAD),
    ),
  );
  return { throwMm: one.mm, ovalMm: two.mm, restMm: Math.max(...rest) };
}
const stationParts = (state: JobState, step: string) =>
  [1, 2].map((n) => partsOf(pointsOf(state, step).filter((p) => p.station === n)));

/** A shaft on its rollers under a dial. */
const shaft = defineRig<ConditionSetup>({
  id: 'shaft',
  name: 'Shaft under the dial',
  says: 'A pump shaft on its bearings, a dial on a magnetic base, two stations.',
  setup: bench('Shaft in its bearings', { measures: ['look', 'runout'], runoutStations: 2, runoutAngles: 8 }),
  until: 'runout',
  faults: [
    {
      id: 'bent',
      notWith: 'off-centre',
      name: 'The shaft is bent',
      step: 'runout',
      sign(state) {
        const [a, b] = stationParts(state, 'runout');
        return (b?.throwMm ?? 0) > 0.03 && (b?.throwMm ?? 0) > 1.6 * (a?.throwMm ?? 0);
      },
      because: 'The throw grows along the shaft, at the same angle: it is bent.',
    },
    {
      id: 'off-centre',
      name: 'The shaft runs off centre',
      step: 'runout',
      sign(state) {
        const [a, b] = stationParts(state, 'runout');
        return (a?.throwMm ?? 0) > 0.03 && (b?.throwMm ?? 0) < 1.6 * (a?.throwMm ?? 0);
      },
      because: 'The throw is the same at both stations: the journal is not on the axis of what it carries.',
    },
    {
      id: 'oval',
      name: 'The shaft is oval',
      step: 'runout',
      sign: (state) => stationParts(state, 'runout').some((p) => p.ovalMm > 0.02),
      because: 'Two highs and two lows a turn: it is out of round, straightening does nothing.',
    },
    {
      id: 'bruise',
      name: 'There is a bruise on the shaft',
      step: 'look',
      seen: {
        step: 'look',
        item: 'nail',
        says: 'The nail catches on a bright spot the size of a lentil, a hammer mark.',
      },
      because:
        'One spot stands proud: it is dressed, and the dial read again, before anybody speaks of a bent shaft.',
    },
    {
      id: 'loose-base',
      name: 'The dial’s base is loose',
      step: 'runout',
      sign: (_state, { taps }) =>
        [...taps.values()].some((t) => t.length > 1 && Math.max(...t) - Math.min(...t) > 0.012),
      because: 'Tapped twice the dial does not come back to the same: what it says is not the shaft.',
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'fretting',
      says: 'A brown bloom where the old sleeve sat; wiped with an oily rag it is gone, and the nail feels nothing.',
      because: 'Colour without depth is no fretting track.',
    },
    {
      step: 'look',
      item: 'burrs',
      says: 'A bright ring stands where a lip ran; it can be seen, not felt.',
      because: 'A polish is no edge: it would be one if the nail caught.',
    },
  ],
  lay(chance, faults) {
    const high = 360 * chance();
    const bent = faults.has('bent');
    const thrown = (station: number) =>
      (bent ? (station === 1 ? 0.02 : 0.075) : 0.004) + (faults.has('off-centre') ? 0.06 : 0);
    const oval = faults.has('oval') ? 0.035 : 0.002;
    const bruised = oneOf(chance, [45, 90, 135, 225] as const);
    const bruise = faults.has('bruise') ? 0.07 : 0;
    return {
      looseMm: faults.has('loose-base') ? 0.04 : 0,
      at({ step, key }) {
        if (step !== 'runout') return undefined;
        const { station, deg } = placed(key);
        return (
          thrown(station) * Math.cos((deg - high) * RAD) +
          oval * Math.cos(2 * (deg - high) * RAD) +
          (deg % 360 === bruised && station === 1 ? bruise : 0)
        );
      },
    };
  },
});

const mean = (of: readonly number[]): number => of.reduce((n, v) => n + v, 0) / Math.max(1, of.length);
const stationMean = (state: JobState, n: number): number =>
  mean(
    pointsOf(state, 'shaft')
      .filter((p) => p.station === n)
      .map((p) => p.value),
  );
const within = (state: JobState, n: number): number => {
  const of = pointsOf(state, 'shaft')
    .filter((p) => p.station === n)
    .map((p) => p.value);
  return of.length > 1 ? Math.max(...of) - Math.min(...of) : 0;
};

/** Are all three stations read all round? */
const whole = (state: JobState): boolean =>
  [1, 2, 3].every((n) => pointsOf(state, 'shaft').filter((p) => p.station === n).length >= 3);

/** A seat measured with the micrometer, three stations by three angles. */
const seat = defineRig<ConditionSetup>({
  id: 'seat',
  name: 'Seat of a seal',
  says: 'A shaft of 90 on trestles, a micrometer that reaches, light from one side.',
  setup: bench('Seat on the trestles', { measures: ['look', 'shaft'] }),
  until: 'shaft',
  faults: [
    {
      id: 'oval',
      name: 'The seat is oval',
      step: 'shaft',
      sign: (state) => [1, 2, 3].some((n) => within(state, n) > 0.03),
      because: 'Within a station the diameter differs by the angle: it is out of round.',
    },
    {
      id: 'tapered',
      notWith: 'worn',
      name: 'The seat is tapered',
      step: 'shaft',
      sign: (state) =>
        whole(state) &&
        Math.abs(stationMean(state, 1) - stationMean(state, 3)) > 0.03 &&
        within(state, 1) < 0.03,
      because: 'From one end to the other the diameter falls steadily.',
    },
    {
      id: 'worn',
      name: 'A worn band under the old sleeve',
      step: 'shaft',
      sign: (state) => stationMean(state, 2) < Math.min(stationMean(state, 1), stationMean(state, 3)) - 0.03,
      because: 'The middle is smaller than both ends: something ran there.',
    },
    {
      id: 'edge',
      name: 'A sharp edge at the step',
      step: 'look',
      seen: {
        step: 'look',
        item: 'burrs',
        says: 'The shoulder has an edge that takes a curl off a fingernail.',
      },
      because: 'An O-ring pushed over it is cut, and nobody sees it until it leaks.',
    },
    {
      id: 'filed',
      name: 'Keyway and thread are bare',
      step: 'look',
      seen: {
        step: 'look',
        item: 'taped',
        says: 'The keyway lies open; there is no tape over it or over the thread.',
      },
      because: 'What passes over a keyway is cut by it.',
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'fretting',
      says: 'Blue marking compound from the last check, all over the seat; under it the surface is whole.',
      because: 'Ink is ink.',
    },
    {
      step: 'look',
      item: 'nail',
      says: 'The lathe’s finishing marks can be seen all round; the nail slides over them.',
      because: 'A turned surface shows its feed: seen is not felt.',
    },
  ],
  lay(chance, faults) {
    const base = 89.985 + either(chance, 0.002);
    const high = 180 * chance();
    const oval = faults.has('oval') ? 0.03 : 0.002;
    return {
      at({ step, key }) {
        if (step !== 'shaft') return undefined;
        const { station, deg } = placed(key);
        return (
          base +
          oval * Math.cos(2 * (deg - high) * RAD) -
          (faults.has('tapered') ? 0.035 * (station - 1) : 0) -
          (faults.has('worn') && station === 2 ? 0.09 : 0)
        );
      },
    };
  },
});

/** A box face swept with a dial carried by the shaft. */
const face = defineRig<ConditionSetup>({
  id: 'box-face',
  name: 'Box face',
  says: 'The open box, a dial clamped to the shaft, its anvil on the gasket face.',
  setup: bench('Face of the box', { measures: ['look', 'face'] }),
  until: 'face',
  faults: [
    {
      id: 'square',
      name: 'The face is out of square',
      step: 'face',
      sign: (state) => partsOf(pointsOf(state, 'face')).throwMm > 0.04,
      because: 'One high and one low a turn: the whole face stands askew to the shaft.',
    },
    {
      id: 'scratch',
      name: 'A scratch across the gasket face',
      step: 'look',
      seen: {
        step: 'look',
        item: 'face',
        says: 'A scratch runs from the inner edge to the outer; the nail drops into it.',
      },
      because: 'A scratch across is a way out: along it the gasket leaks.',
    },
    {
      id: 'float',
      name: 'The shaft floats while it is swept',
      step: 'face',
      seen: {
        step: 'face',
        item: 'held',
        says: 'Let go, the shaft wanders in and out by a hair while it is turned.',
      },
      because: 'What the shaft floats, the dial reads as face: it is pushed one way and held.',
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'face',
      says: 'Circles of the facing tool shine in the light, all concentric.',
      because: 'Marks that run round lead nowhere: it is those across that leak.',
    },
    {
      step: 'look',
      item: 'box',
      says: 'An old paint run stands outside the bolt circle.',
      because: 'Outside the joint it seals nothing and holds nothing off.',
    },
  ],
  lay(chance, faults) {
    const high = 360 * chance();
    const askew = faults.has('square') ? 0.09 : 0.006;
    return {
      at: ({ step, key }) => (step === 'face' ? askew * Math.cos((placed(key).deg - high) * RAD) : undefined),
    };
  },
});

export const rigs: readonly Rig[] = [shaft, seat, face];
