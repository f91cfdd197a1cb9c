import {
  beltSet,
  boxBore,
  boxEnvelope,
  boxFace,
  clearanceClass,
  compressionShift,
  couplingAlignment,
  diameterSurvey,
  endFloat,
  gasketStack,
  glandTilt,
  runout,
  shaftFinish,
  shaftPlay,
  softFoot,
} from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { SCATTERS, shown } from './gauge.ts';
import { type Row, tried } from './row.ts';

/** One measuring in a job: a truth just beyond its limit is read by a random hand, once; was it accepted? */
type Measuring = {
  statement: string;
  cell: string;
  accepted: (hand: Hand) => boolean;
};

/** A gauge in a random hand: what it reads of a truth. */
class Hand {
  stepMm = 0.01;
  private scatterMm = 0;

  constructor(readonly chance: Chance) {}

  takes = (stepMm: number): this => {
    this.stepMm = stepMm;
    this.scatterMm = this.chance.oneOf(SCATTERS) * stepMm;
    return this;
  };

  reads = (truth: number): number =>
    shown({ stepMm: this.stepMm, scatterMm: this.scatterMm }, truth, this.chance);
}

/** By so much the truth lies beyond its limit, as good as on it. */
const BEYOND = 1e-4;

const at = (n: number) => Array.from({ length: n }, (_, i) => (360 * i) / n);
const accepts = (findings: ReadonlyArray<{ code: string; verdict: string }>, code: string): boolean =>
  findings.find((f) => f.code === code)?.verdict === 'accept';

const seat = (cell: string, stations: number, angles: number, edge: 'largest' | 'smallest'): Measuring => ({
  statement: `a seat just ${edge === 'largest' ? 'over' : 'under'} its limit is accepted`,
  cell,
  accepted: (hand) => {
    hand.takes(hand.chance.oneOf([0.001, 0.002, 0.005]));
    // 90 h9: 89.913 to 90.
    const bad = Math.floor(hand.chance.between(0, stations * angles));
    const truth = (i: number) => {
      if (i === bad) return edge === 'largest' ? 90 + BEYOND : 89.913 - BEYOND;
      return edge === 'largest' ? hand.chance.between(89.95, 89.985) : hand.chance.between(89.93, 89.96);
    };
    const diametersMm = at(stations).map((_, s) =>
      at(angles).map((_, a) => hand.reads(truth(angles * s + a))),
    );
    const { findings } = diameterSurvey({
      nominalMm: 90,
      system: 'metric',
      stationsMm: at(stations).map((_, s) => 5 + 35 * s),
      anglesDeg: at(angles).map((_, a) => (180 * a) / angles),
      diametersMm,
      resolutionMm: hand.stepMm,
    });
    return accepts(findings, `shaft.${edge}`);
  },
});

type Turned = {
  limitMm: number;
  readings: Array<{ angleDeg: number; valueMm: number }>;
  resolutionMm: number;
};

/** Round a turn, and the places read meet both ends of it: else nobody could have seen it. */
const turned = (
  statement: string,
  n: number,
  told: (t: Turned) => ReadonlyArray<{ code: string; verdict: string }>,
  code: string,
): Measuring => ({
  statement,
  cell: `${n} places`,
  accepted: (hand) => {
    hand.takes(hand.chance.oneOf([0.002, 0.01]));
    const limitMm = hand.chance.between(4, 9) * hand.stepMm;
    const phase = at(n)[Math.floor(hand.chance.between(0, n))] ?? 0;
    const readings = at(n).map((angleDeg) => ({
      angleDeg,
      valueMm: hand.reads(((limitMm + BEYOND) / 2) * Math.cos(((angleDeg - phase) * Math.PI) / 180)),
    }));
    return accepts(told({ limitMm, readings, resolutionMm: hand.stepMm }), code);
  },
});

const MEASURINGS: readonly Measuring[] = [
  seat('3 stations, 3 angles, one place over', 3, 3, 'largest'),
  seat('2 stations, 8 angles, one place over', 2, 8, 'largest'),
  seat('2 stations, 4 angles, one place under', 2, 4, 'smallest'),
  seat('3 stations, 2 angles, one place under', 3, 2, 'smallest'),
  ...[4, 8].map((n) =>
    turned(
      'run-out of a sleeve just over its limit is accepted',
      n,
      ({ limitMm, ...turn }) =>
        runout({ shaftMm: 80, school: 'flat', makerLimitMm: limitMm, ...turn }).findings,
      'runout.tir',
    ),
  ),
  ...[4, 8].map((n) =>
    turned(
      'a box face just out of square is accepted',
      n,
      ({ limitMm, ...turn }) =>
        boxFace({
          shaftMm: 80,
          boxBoreMm: 120,
          sweepRadiusMm: 70,
          school: 'flat',
          makerLimitMm: limitMm,
          ...turn,
        }).findings,
      'face.tir',
    ),
  ),
  ...[4, 8].map((n) =>
    turned(
      'a box just off the shaft’s middle is accepted',
      n,
      ({ limitMm, ...turn }) => boxBore({ makerLimitMm: limitMm, ...turn }).findings,
      'bore.tir',
    ),
  ),
  {
    statement: 'end play on its limit is accepted',
    cell: '3 trials',
    accepted: (hand) => {
      hand.takes(0.01);
      const makerEndMm = hand.chance.between(0.1, 0.3);
      const from = hand.chance.between(-0.2, 0.2);
      const end = [0, 1, 2].map(() => ({
        pushMm: hand.reads(from),
        pullMm: hand.reads(from + makerEndMm),
      }));
      return accepts(shaftPlay({ end, resolutionMm: 0.01, school: 'flat', makerEndMm }).findings, 'play.end');
    },
  },
  {
    statement: 'a bearing just outside its class is accepted',
    cell: '3 sets of two rows',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const makerLowerMm = hand.chance.between(0.08, 0.09);
      const makerUpperMm = makerLowerMm + 0.04;
      const truth = hand.chance.oneOf([makerLowerMm - BEYOND, makerUpperMm + BEYOND]);
      const sets = [0, 1, 2].map(() => ({ rowAMm: hand.reads(truth), rowBMm: hand.reads(truth) }));
      const { findings } = clearanceClass({
        boreMm: 100,
        clearanceClass: 'C3',
        sets,
        bladeStepMm: hand.stepMm,
        makerLowerMm,
        makerUpperMm,
      });
      return accepts(findings, 'bench.class');
    },
  },
  {
    statement: 'a gland just out of square is accepted',
    cell: '4 places, rigid gasket',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const gaps = at(4).map((angleDeg, i) => ({
        angleDeg,
        // Straight across: one bolt in, the one opposite out.
        gapMm: hand.reads(0.6 + ((0.05 + BEYOND) / 2) * (1 - Math.cos((Math.PI * i) / 2))),
      }));
      const { findings } = glandTilt({ gaps, bolts: 4, resolutionMm: hand.stepMm, rigid: true });
      return accepts(findings, 'gland.spread');
    },
  },
  {
    statement: 'a box just outside its seal’s sheet is accepted',
    cell: 'bore, once',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.01, 0.02]));
      // A limit stands anywhere between two steps of the gauge.
      const sealBoreLowerMm = hand.chance.between(119.85, 119.95);
      const sealBoreUpperMm = sealBoreLowerMm + 0.2;
      const truth = hand.chance.oneOf([sealBoreLowerMm - BEYOND, sealBoreUpperMm + BEYOND]);
      const { findings } = boxEnvelope({
        boreMm: hand.reads(truth),
        resolutionMm: hand.stepMm,
        sealBoreLowerMm,
        sealBoreUpperMm,
      });
      return accepts(findings, 'envelope.bore');
    },
  },
  {
    statement: 'a foot just off its base is accepted',
    cell: '4 feet, 4 corners each',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const makerLimitMm = hand.chance.between(0.04, 0.06);
      const bad = Math.floor(hand.chance.between(0, 4));
      const feet = at(4).map((_, i) =>
        at(4).map((_, corner) =>
          Math.max(0, hand.reads(i === bad && corner === 0 ? makerLimitMm + BEYOND : 0.02)),
        ),
      );
      const { findings } = softFoot({ feet, resolutionMm: hand.stepMm, makerLimitMm });
      return accepts(findings, `softfoot.${bad + 1}`);
    },
  },
  {
    statement: 'a coupling just off its line is accepted',
    cell: 'rim and face, offset',
    accepted: (hand) => {
      hand.takes(0.01);
      const makerOffsetMm = 0.06;
      // A rim reads twice the offset, bottom against top.
      const rim = 2 * (makerOffsetMm + BEYOND);
      const dial = (top: number, right: number, bottom: number, left: number) =>
        [top, right, bottom, left].map(hand.reads) as [number, number, number, number];
      const { findings } = couplingAlignment({
        method: 'rim-and-face',
        speedRpm: 1500,
        rimMm: dial(0, rim / 2, rim, rim / 2),
        faceMm: dial(0, 0, 0, 0),
        faceDiameterMm: 160,
        frontFeetMm: 200,
        feetSpanMm: 400,
        resolutionMm: 0.01,
        makerOffsetMm,
      });
      return accepts(findings, 'coupling.vertical.offset');
    },
  },
  {
    statement: 'an end float just outside its limits is accepted',
    cell: 'vane pump, one reading',
    accepted: (hand) => {
      hand.takes(0.01);
      const truth = hand.chance.oneOf([0.08 - BEYOND, 0.25 + BEYOND]);
      const zero = hand.chance.between(0, 1);
      const floatMm = hand.reads(zero + truth) - hand.reads(zero);
      const { findings } = endFloat({
        floatMm,
        stackMm: 0.5,
        leastMm: 0.08,
        mostMm: 0.25,
        moreShims: 'looser',
        resolutionMm: 0.01,
      });
      return accepts(findings, 'float.stack');
    },
  },
  {
    statement: 'gears just outside their clearance are accepted',
    cell: 'gear pump, 4 places',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const leastMm = hand.chance.between(0.05, 0.06);
      const mostMm = leastMm + 0.08;
      const bad = hand.chance.oneOf([leastMm - BEYOND, mostMm + BEYOND]);
      const middle = leastMm + 0.04;
      const clearancesMm = [bad, middle, middle, middle].map(hand.reads);
      const { findings } = gasketStack({
        pieces: [],
        stackMm: 0.4,
        clearancesMm,
        leastMm,
        mostMm,
        resolutionMm: hand.stepMm,
      });
      return accepts(findings, 'gaskets.clearance');
    },
  },
  {
    statement: 'a face just too rough is accepted',
    cell: '3 places',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.01, 0.05]));
      const makerLimitUm = hand.chance.between(0.75, 0.85);
      const readingsUm = [makerLimitUm + BEYOND, 0.55, 0.5].map(hand.reads);
      const { findings } = shaftFinish({
        surface: 'shaft',
        parameter: 'Ra',
        readingsUm,
        resolutionUm: hand.stepMm,
        makerLimitUm,
      });
      return accepts(findings, 'finish.shaft');
    },
  },
  {
    statement: 'a seal just pressed together too far is accepted',
    cell: 'one reading',
    accepted: (hand) => {
      hand.takes(hand.chance.oneOf([0.02, 0.05]));
      const most = hand.chance.between(5.7, 5.9);
      const { findings } = compressionShift({
        compressionMm: 5,
        impellerMm: hand.reads(most - 5 + BEYOND),
        resolutionMm: hand.stepMm,
        makerUpperMm: most,
        makerLowerMm: 4.2,
      });
      return accepts(findings, 'compression');
    },
  },
  ...(['note', 'force'] as const).map(
    (by): Measuring => ({
      statement: 'a belt just too slack is accepted',
      cell: by === 'note' ? 'by its note' : 'by force',
      accepted: ({ chance, reads, takes }) => {
        const spanMm = chance.between(400, 1200);
        const massKgPerM = chance.between(0.1, 0.4);
        const wantedN = chance.between(250, 900);
        // A tape held beside the belt, a rule at its middle.
        const taped = spanMm + chance.between(-4, 4);
        const slackN = 0.9 * wantedN - BEYOND;
        const meter = chance.oneOf([0.5, 1]);
        takes(meter);
        const said =
          by === 'note'
            ? reads(Math.sqrt(slackN / (4 * massKgPerM)) / (spanMm / 1000))
            : reads((4 * slackN * (taped / 64 + chance.between(-0.5, 0.5))) / spanMm);
        const { findings } = beltSet({
          ...{ by, spanMm: taped, massKgPerM, wantedN, step: meter },
          readings: [said],
        });
        return accepts(findings, 'belt.1');
      },
    }),
  ),
];

/**
 * Measurings of a job worked by a random hand with the truth just beyond a limit: how often what is no good is accepted. Many
 * places are read, and each could be the one that passes it.
 */
export function jobs(trials: number): Row[] {
  return MEASURINGS.map(({ statement, cell, accepted }, i) => {
    const hand = new Hand(new Chance(901 + i));
    return {
      statement,
      cell,
      claimed: '2.5 %, a side of 95 %',
      low: 0,
      // 95 % holds from 93 to 97: a side of it may be 3.5.
      high: 0.035,
      ...tried(trials, () => accepted(hand)),
    };
  });
}
