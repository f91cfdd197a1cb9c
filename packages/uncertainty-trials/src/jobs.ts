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
import { KNOWN, Person } from './gauge.ts';
import { ON_LIMIT, type Row, tried } from './row.ts';

/** One measuring in a job: a truth just beyond its limit is read by a person, again and again until it is settled; what was said? */
type Measuring = {
  statement: string;
  cell: string;
  told: (hand: Person) => Verdict;
};
type Verdict = string | undefined;

/** By so much the truth lies beyond its limit, as good as on it. */
const BEYOND = 1e-4;

const at = (n: number) => Array.from({ length: n }, (_, i) => (360 * i) / n);
const accepts = (findings: ReadonlyArray<{ code: string; verdict: string }>, code: string): Verdict =>
  findings.find((f) => f.code === code)?.verdict;

const seat = (cell: string, stations: number, angles: number, edge: 'largest' | 'smallest'): Measuring => ({
  statement: `a seat just ${edge === 'largest' ? 'over' : 'under'} its limit is accepted`,
  cell,
  told: (hand) => {
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
      hand: hand.hand,
    });
    return accepts(findings, `shaft.${edge}`);
  },
});

type Turned = {
  limitMm: number;
  readings: Array<{ angleDeg: number; valueMm: number }>;
  resolutionMm: number;
  hand: Person['hand'];
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
  told: (hand) => {
    hand.takes(hand.chance.oneOf([0.002, 0.01]));
    const limitMm = hand.chance.between(4, 9) * hand.stepMm;
    const phase = at(n)[Math.floor(hand.chance.between(0, n))] ?? 0;
    const readings = at(n).map((angleDeg) => ({
      angleDeg,
      valueMm: hand.reads(((limitMm + BEYOND) / 2) * Math.cos(((angleDeg - phase) * Math.PI) / 180)),
    }));
    return accepts(told({ limitMm, readings, resolutionMm: hand.stepMm, hand: hand.hand }), code);
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
    cell: 'trial after trial',
    told: (hand) => {
      hand.takes(0.01);
      const makerEndMm = hand.chance.between(0.1, 0.3);
      const from = hand.chance.between(-0.2, 0.2);
      const [pushed, pulled] = [hand.each(from), hand.each(from + makerEndMm + BEYOND)];
      const end = pushed.map((pushMm, i) => ({ pushMm, pullMm: pulled[i] ?? 0 }));
      const card = { card: hand.hand.card };
      return accepts(
        shaftPlay({ end, resolutionMm: 0.01, hand: card, school: 'flat', makerEndMm }).findings,
        'play.end',
      );
    },
  },
  {
    statement: 'a bearing just outside its class is accepted',
    cell: 'three sets of two rows and more',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const makerLowerMm = hand.chance.between(0.08, 0.09);
      const makerUpperMm = makerLowerMm + 0.04;
      const truth = hand.chance.oneOf([makerLowerMm - BEYOND, makerUpperMm + BEYOND]);
      // Three sets at least are felt before anything is said.
      const first = [0, 1].map(() => ({
        rowAMm: hand.each(truth)[0] ?? 0,
        rowBMm: hand.each(truth)[0] ?? 0,
      }));
      const [a, b] = [hand.each(truth), hand.each(truth)];
      const sets = [...first, ...a.map((rowAMm, i) => ({ rowAMm, rowBMm: b[i] ?? 0 }))];
      const { findings } = clearanceClass({
        boreMm: 100,
        clearanceClass: 'C3',
        sets,
        bladeStepMm: hand.stepMm,
        hand: { card: hand.hand.card },
        makerLowerMm,
        makerUpperMm,
      });
      return accepts(findings, 'bench.class');
    },
  },
  {
    statement: 'a gland just out of square is accepted',
    cell: '4 places, rigid gasket',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const gaps = at(4).map((angleDeg, i) => ({
        angleDeg,
        // Straight across: one bolt in, the one opposite out.
        gapMm: hand.reads(0.6 + ((0.05 + BEYOND) / 2) * (1 - Math.cos((Math.PI * i) / 2))),
      }));
      const { findings } = glandTilt({
        gaps,
        bolts: 4,
        resolutionMm: hand.stepMm,
        hand: hand.hand,
        rigid: true,
      });
      return accepts(findings, 'gland.spread');
    },
  },
  {
    statement: 'a box just outside its seal’s sheet is accepted',
    cell: 'bore, once',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.01, 0.02]));
      // A limit stands anywhere between two steps of the gauge.
      const sealBoreLowerMm = hand.chance.between(119.85, 119.95);
      const sealBoreUpperMm = sealBoreLowerMm + 0.2;
      const truth = hand.chance.oneOf([sealBoreLowerMm - BEYOND, sealBoreUpperMm + BEYOND]);
      const { findings } = boxEnvelope({
        boreMm: hand.reads(truth),
        resolutionMm: hand.stepMm,
        hand: hand.hand,
        sealBoreLowerMm,
        sealBoreUpperMm,
      });
      return accepts(findings, 'envelope.bore');
    },
  },
  {
    statement: 'a foot just off its base is accepted',
    cell: '4 feet, 4 corners each',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.005, 0.01]));
      const makerLimitMm = hand.chance.between(0.04, 0.06);
      const bad = Math.floor(hand.chance.between(0, 4));
      const feet = at(4).map((_, i) =>
        at(4).map((_, corner) =>
          Math.max(0, hand.reads(i === bad && corner === 0 ? makerLimitMm + BEYOND : 0.02)),
        ),
      );
      const { findings } = softFoot({ feet, resolutionMm: hand.stepMm, hand: hand.hand, makerLimitMm });
      return accepts(findings, `softfoot.${bad + 1}`);
    },
  },
  {
    statement: 'a coupling just off its line is accepted',
    cell: 'rim and face, offset',
    told: (hand) => {
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
        hand: hand.hand,
        makerOffsetMm,
      });
      return accepts(findings, 'coupling.vertical.offset');
    },
  },
  {
    statement: 'an end float just outside its limits is accepted',
    cell: 'vane pump, one reading',
    told: (hand) => {
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
        hand: hand.hand,
      });
      return accepts(findings, 'float.stack');
    },
  },
  {
    statement: 'gears just outside their clearance are accepted',
    cell: 'gear pump, 4 places',
    told: (hand) => {
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
        hand: hand.hand,
      });
      return accepts(findings, 'gaskets.clearance');
    },
  },
  {
    statement: 'a face just too rough is accepted',
    cell: '3 places',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.01, 0.05]));
      const makerLimitUm = hand.chance.between(0.75, 0.85);
      const readingsUm = [makerLimitUm + BEYOND, 0.55, 0.5].map(hand.reads);
      const { findings } = shaftFinish({
        surface: 'shaft',
        parameter: 'Ra',
        readingsUm,
        resolutionUm: hand.stepMm,
        hand: hand.hand,
        makerLimitUm,
      });
      return accepts(findings, 'finish.shaft');
    },
  },
  {
    statement: 'a seal just pressed together too far is accepted',
    cell: 'one reading',
    told: (hand) => {
      hand.takes(hand.chance.oneOf([0.02, 0.05]));
      const most = hand.chance.between(5.7, 5.9);
      const { findings } = compressionShift({
        compressionMm: 5,
        impellerMm: hand.reads(most - 5 + BEYOND),
        resolutionMm: hand.stepMm,
        hand: hand.hand,
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
      told: (person) => {
        const { chance, reads, takes } = person;
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
          ...{ by, spanMm: taped, massKgPerM, wantedN, step: meter, hand: person.hand },
          readings: [said],
        });
        return accepts(findings, 'belt.1');
      },
    }),
  ),
];

/** A quiet hand, a usual one, and the coarsest. */
const HANDS = [0.3, 1, 2] as const;
/** Nobody measures one thing more often. */
const MOST = 5;

/**
 * Measurings of a job worked by a person with the truth just beyond a limit: how often what is no good is accepted by whoever reads
 * again until it is settled. Many places are read, and each could be the one that passes it.
 */
export function jobs(trials: number): Row[] {
  return MEASURINGS.flatMap(({ statement, cell, told }, i) =>
    HANDS.flatMap((steps, h) =>
      KNOWN.map((knows, k): Row => {
        let passes = 0;
        const one = tried(trials, (n) => {
          const person = new Person(901 + 100 * i + 10 * h + k + 7919 * n, steps, knows);
          let verdict: Verdict;
          do verdict = told(person.pass());
          while (
            verdict !== 'accept' &&
            verdict !== 'caution' &&
            verdict !== 'reject' &&
            person.passes < MOST
          );
          passes += person.passes;
          return verdict === 'accept';
        });
        const readings = passes / Math.max(1, one.trials);
        return { statement, hand: `${steps}, ${knows}`, cell, ...ON_LIMIT, ...one, readings };
      }),
    ),
  );
}
