import { standing } from '../../engine/facts.ts';
import { defineRig, either, oneOf, type Rig } from '../../engine/rig.ts';
import type { JobState } from '../../engine/state.ts';
import { COMMON } from '../../message/common/messages.ts';
import { survey } from './example.ts';
import { M } from './messages.ts';
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
  name: M.shaftUnderDial,
  says: M.pumpShaftBearingsDialMagnetic,
  setup: bench('Shaft in its bearings', { measures: ['look', 'runout'], runoutStations: 2, runoutAngles: 8 }),
  until: 'runout',
  faults: [
    {
      id: 'bent',
      notWith: 'off-centre',
      name: M.shaftBent,
      step: 'runout',
      sign(state) {
        const [a, b] = stationParts(state, 'runout');
        return (b?.throwMm ?? 0) > 0.03 && (b?.throwMm ?? 0) > 1.6 * (a?.throwMm ?? 0);
      },
      because: M.throwGrowsAlongShaftSame,
    },
    {
      id: 'off-centre',
      name: M.shaftRunsOffCentre,
      step: 'runout',
      sign(state) {
        const [a, b] = stationParts(state, 'runout');
        return (a?.throwMm ?? 0) > 0.03 && (b?.throwMm ?? 0) < 1.6 * (a?.throwMm ?? 0);
      },
      because: M.throwSameBothStationsJournal,
    },
    {
      id: 'oval',
      name: M.shaftOval,
      step: 'runout',
      sign: (state) => stationParts(state, 'runout').some((p) => p.ovalMm > 0.02),
      because: M.twoHighsTwoLowsTurn,
    },
    {
      id: 'bruise',
      name: M.thereBruiseShaft,
      step: 'look',
      seen: {
        step: 'look',
        item: 'nail',
        says: M.nailCatchesBrightSpotSize,
      },
      because: M.oneSpotStandsProudDressed,
    },
    {
      id: 'loose-base',
      name: M.dialsBaseLoose,
      step: 'runout',
      sign: (_state, { taps }) =>
        [...taps.values()].some((t) => t.length > 1 && Math.max(...t) - Math.min(...t) > 0.012),
      because: M.tappedTwiceDialDoesNot,
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'fretting',
      says: M.brownBloomWhereOldSleeve,
      because: M.colourWithoutDepthNoFretting,
    },
    {
      step: 'look',
      item: 'burrs',
      says: M.brightRingStandsWhereLip,
      because: M.polishNoEdgeWouldOne,
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
  name: M.seatSeal,
  says: M.shaft90TrestlesMicrometerReaches,
  setup: bench('Seat on the trestles', { measures: ['look', 'shaft'] }),
  until: 'shaft',
  faults: [
    {
      id: 'oval',
      name: COMMON.seatOval,
      step: 'shaft',
      sign: (state) => [1, 2, 3].some((n) => within(state, n) > 0.03),
      because: M.withinStationDiameterDiffersAngle,
    },
    {
      id: 'tapered',
      notWith: 'worn',
      name: M.seatTapered,
      step: 'shaft',
      sign: (state) =>
        whole(state) &&
        Math.abs(stationMean(state, 1) - stationMean(state, 3)) > 0.03 &&
        within(state, 1) < 0.03,
      because: M.fromOneEndOtherDiameter,
    },
    {
      id: 'worn',
      name: M.wornBandUnderOldSleeve,
      step: 'shaft',
      sign: (state) => stationMean(state, 2) < Math.min(stationMean(state, 1), stationMean(state, 3)) - 0.03,
      because: M.middleSmallerThanBothEnds,
    },
    {
      id: 'edge',
      name: M.sharpEdgeStep,
      step: 'look',
      seen: {
        step: 'look',
        item: 'burrs',
        says: M.shoulderHasEdgeTakesCurl,
      },
      because: M.oRingPushedOverCut,
    },
    {
      id: 'filed',
      name: M.keywayThreadBare,
      step: 'look',
      seen: {
        step: 'look',
        item: 'taped',
        says: M.keywayLiesOpenThereNo,
      },
      because: M.whatPassesOverKeywayCut,
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'fretting',
      says: M.blueMarkingCompoundFromLast,
      because: M.inkInk,
    },
    {
      step: 'look',
      item: 'nail',
      says: M.lathesFinishingMarksCanSeen,
      because: M.turnedSurfaceShowsFeedSeen,
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
  name: COMMON.boxFace,
  says: M.openBoxDialClampedShaft,
  setup: bench('Face of the box', { measures: ['look', 'face'] }),
  until: 'face',
  faults: [
    {
      id: 'square',
      name: M.faceOutSquare,
      step: 'face',
      sign: (state) => partsOf(pointsOf(state, 'face')).throwMm > 0.04,
      because: M.oneHighOneLowTurn,
    },
    {
      id: 'scratch',
      name: M.scratchAcrossGasketFace,
      step: 'look',
      seen: {
        step: 'look',
        item: 'face',
        says: M.scratchRunsFromInnerEdge,
      },
      because: M.scratchAcrossWayOutAlong,
    },
    {
      id: 'float',
      name: M.shaftFloatsWhileSwept,
      step: 'face',
      seen: {
        step: 'face',
        item: 'held',
        says: M.letGoShaftWandersOut,
      },
      because: M.whatShaftFloatsDialReads,
    },
  ],
  looks: [
    {
      step: 'look',
      item: 'face',
      says: M.circlesFacingToolShineLight,
      because: M.marksRunRoundLeadNowhere,
    },
    {
      step: 'look',
      item: 'box',
      says: M.oldPaintRunStandsOutside,
      because: M.outsideJointSealsNothingHolds,
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
