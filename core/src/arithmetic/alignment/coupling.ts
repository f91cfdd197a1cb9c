import { doubtSaid } from '../../judgement/doubt.ts';
import { judgeUpper, upperBeam } from '../../judgement/judge.ts';
import type { Beam, CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline } from '../../message/message.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty, scaledHand } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { type LimitInForce, limitInForce } from '../../sources/limits.ts';
import { couplingTolerance } from './coupling-tolerance.ts';
import { M } from './messages.ts';

export const COUPLING_METHODS = ['rim-and-face', 'reverse'] as const;
export type CouplingMethod = (typeof COUPLING_METHODS)[number];

/** Readings at top, right, bottom, left, looking from the driver towards the driven machine. */
export type ClockReadings = readonly [number, number, number, number];

export type CouplingInput = {
  method: CouplingMethod;
  speedRpm: number;
  /**
   * Bracket on the driven shaft, indicator on the driver's rim (rim-and-face), or on the driver's hub (reverse).
   */
  rimMm: ClockReadings;
  /** Rim-and-face: indicator on the face of the driver's hub, plunger towards the driver. */
  faceMm?: ClockReadings | undefined;
  /** Reverse: bracket on the driver, indicator on the driven hub. */
  backMm?: ClockReadings | undefined;
  /** Sag of each bracket: reading at the bottom, zero on top, on a stiff bar. */
  rimSagMm?: number | undefined;
  backSagMm?: number | undefined;
  /** Rim-and-face: diameter the indicator sweeps on the face. */
  faceDiameterMm?: number | undefined;
  /** Reverse: distance between the two indicators' planes, the driver's being the farther. */
  dialDistanceMm?: number | undefined;
  /** From the plane of the indicator on the driver to the middle of its front feet, and on to its back feet. */
  frontFeetMm: number;
  feetSpanMm: number;
  /** Where the driver is to stand, up and down, against the driven shaft: cold, so that warm it is in line; low negative. */
  targetOffsetMm?: number | undefined;
  /** And how it is to go on away from the coupling, mm a metre, as `hotAlignment` tells it; rising positive. */
  targetSlopeMmPerM?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** The second dial, on the face or on the other shaft, where it is another gauge. */
  second?: { resolutionMm: number; hand?: Hand | undefined } | undefined;
  makerOffsetMm?: number | undefined;
  makerAnglePer100Mm?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type PlaneValues = {
  /** Driver's axis above (or to the right of) where it is to stand, at the coupling's middle: the driven one, where no target is set. */
  offsetMm: number;
  /** How it goes on away from the coupling, mm per 100 mm; positive rises (or goes right). */
  anglePer100Mm: number;
  /** What to lay under the feet (or how far to move them to the right); negative to take out or move left. */
  frontMm: number;
  backMm: number;
};

export type CouplingValues = {
  vertical: PlaneValues;
  horizontal: PlaneValues;
  /** Top + bottom less left + right of each dial: nothing where the readings hang together. */
  closureMm: number[];
  offsetLimitMm: number;
  anglePer100LimitMm: number;
};

/** What a dial reads at clock places without the sag of its bracket. */
const steady = (r: ClockReadings, sag: number): ClockReadings => [
  r[0],
  r[1] - sag / 2,
  r[2] - sag,
  r[3] - sag / 2,
];

type Plane = { offset: number; slope: number };

/** Offset and slope of the driver's axis against the driven one in one plane, from two opposite readings of each dial. */
function plane(input: CouplingInput, near: 0 | 1, far: 2 | 3): Plane {
  const rim = steady(input.rimMm, input.rimSagMm ?? 0);
  const atRim = (rim[near] - rim[far]) / 2;
  if (input.method === 'rim-and-face') {
    // The face sags with the bracket too, but along the shaft a bracket is stiff: common practice leaves it.
    const face = input.faceMm as ClockReadings;
    return { offset: atRim, slope: (face[near] - face[far]) / (input.faceDiameterMm as number) };
  }
  const back = steady(input.backMm as ClockReadings, input.backSagMm ?? 0);
  const distance = input.dialDistanceMm as number;
  // The second dial sees the driven shaft from the driver: the same offset with the sign turned.
  const atBack = -(back[near] - back[far]) / 2;
  const slope = (atRim - atBack) / distance;
  return { offset: (atRim + atBack) / 2, slope };
}

/**
 * Coupling alignment by rim-and-face or by reverse indicators: offset and angle at the coupling, shims under front and back
 * feet and sideways moves that bring both to nothing, against the tolerance for the speed. Positive is up, and to the right
 * looking from the driver towards the driven machine; with a target its offset is against where it is to stand cold; a plunger pushed in reads positive.
 * Source: geometry; tolerances as in `couplingTolerance`.
 * @throws RangeError where the second dial or its distance is missing
 */
export function couplingAlignment(input: CouplingInput): CalculatorResult<CouplingValues> {
  mustBeWhole(input);
  const tolerance = couplingTolerance(input.speedRpm);
  const speed = M.rpm({ speedRpm: input.speedRpm });
  const school = (limitMm: number) => [
    { school: 'speed', title: speed, limitMm, source: 'alignment-practice' as const },
  ];
  const offsetLimit = limitInForce(school(tolerance.offsetMm), 'speed', input.makerOffsetMm);
  const angleLimit = limitInForce(school(tolerance.anglePer100Mm), 'speed', input.makerAnglePer100Mm);
  const u = readingUncertainty(input.resolutionMm, input.hand) / Math.SQRT2;
  const uAngle = angleUncertainty(input);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [];
  const beams: Beam[] = [];
  const planes = (
    [
      ['vertical', 0, 2, M.upDown, 'high', 'low'],
      ['horizontal', 1, 3, M.sideways, COMMON.right, COMMON.left],
    ] as const
  ).map(([name, near, far, title, plus, minus]) => {
    const found = plane(input, near, far);
    const target = name === 'vertical' ? (input.targetOffsetMm ?? 0) : 0;
    const slope = name === 'vertical' ? (input.targetSlopeMmPerM ?? 0) / 1000 : 0;
    const p = { offset: found.offset - target, slope: found.slope - slope };
    const values = movesOf(input, p);
    const judge = (kind: 'offset' | 'angle', value: number, uncertainty: number, limit: LimitInForce) => {
      const { marginMm: _, ...judged } = judgeUpper({
        code: `coupling.${name}.${kind}`,
        what: M.the({ title, kind: kind === 'offset' ? 'offset' : 'anglePer100' }),
        valueMm: Math.abs(value),
        uncertaintyMm: uncertainty,
        limit,
        rule: input.rule,
        means:
          kind === 'offset'
            ? M.driverStands({ plus: value >= 0 ? plus : minus, target: target ? 'coldPlace' : 'none' })
            : M.shaftsMeetAngle,
        remedy: M.feetAsDrawnTightenRead({ name: name === 'vertical' ? 'shim' : 'move' }),
        again: {
          where: M.turn,
          stepMm: input.resolutionMm,
          count: input.hand?.count ?? 1,
          hand: input.hand,
          places: 2,
        },
      });
      findings.push(judged);
      beams.push(
        upperBeam(
          expr`${title}, ${kind === 'offset' ? M.offset : M.per100}`,
          Math.abs(value),
          COVERAGE[input.rule ?? 'k2'] * uncertainty,
          limit,
          judged.verdict,
          // An offset is half of the difference of two readings: as much as one of a gauge of half the step, twice.
          kind === 'offset'
            ? doubtSaid({
                stepMm: input.resolutionMm / 2,
                hand: scaledHand(input.hand, 0.5),
                places: 2,
                marginMm: limit.limitMm - Math.abs(value),
                rule: input.rule,
                where: M.turn,
              })
            : doubtSaid({
                // Per 100 of shaft, from readings over its own length: as much as one of a gauge of this step.
                stepMm:
                  (input.resolutionMm * uncertainty) / readingUncertainty(input.resolutionMm, input.hand),
                hand: scaledHand(
                  input.hand,
                  uncertainty / readingUncertainty(input.resolutionMm, input.hand),
                ),
                marginMm: limit.limitMm - Math.abs(value),
                rule: input.rule,
                where: M.turn,
              }),
        ),
      );
    };
    judge('offset', values.offsetMm, u, offsetLimit);
    judge('angle', values.anglePer100Mm, uAngle, angleLimit);
    if (target)
      working.push({
        what: M.coldPlaceDriver,
        sum: M.foundSoOff({
          target: len(Math.abs(target)),
          target2: target < 0 ? 'low' : 'high',
          offset: len(found.offset),
          target3: num(target),
          offset2: len(p.offset),
        }),
      });
    working.push(...workOf(input, title, values));
    return values;
  });
  const closureMm = closures(input);
  closureMm.forEach((c, i) => {
    const stepMm = (i === 1 ? input.second?.resolutionMm : undefined) ?? input.resolutionMm;
    if (Math.abs(c) > 2 * stepMm + 1e-9)
      findings.push({
        code: `coupling.closure.${i + 1}`,
        verdict: 'reject',
        reason: M.dialDoesNotHangTogether({ i: i + 1, c: len(Math.abs(c)) }),
        params: { i, c: Math.abs(c) },
        limit: M.twoStepsDial({ resolution: len(2 * stepMm) }),
        source: 'practice',
        remedy: M.tightenBracketTurnBothShafts,
        acceptable: true,
      });
  });
  if (!tolerance.tabled && input.makerOffsetMm === undefined)
    findings.push({
      code: 'coupling.speed',
      verdict: 'caution',
      reason: M.speedBeyondTableStrictestRow,
      params: {},
      source: 'alignment-practice',
      remedy: M.takeToleranceFromMakerCoupling,
      acceptable: false,
    });
  const [vertical, horizontal] = planes as [PlaneValues, PlaneValues];
  return {
    values: {
      vertical,
      horizontal,
      closureMm,
      offsetLimitMm: offsetLimit.limitMm,
      anglePer100LimitMm: angleLimit.limitMm,
    },
    findings,
    working,
    beams: [beams.reduce((a, b) => (share(b) > share(a) ? b : a))],
  };
}

const share = (b: Beam): number => b.value / (b.upper ?? 1);

function mustBeWhole(i: CouplingInput): void {
  if (i.method === 'rim-and-face' && (i.faceMm === undefined || i.faceDiameterMm === undefined))
    throw new MessageError(M.rimFaceNeedsFourFace);
  if (i.method === 'reverse' && (i.backMm === undefined || i.dialDistanceMm === undefined))
    throw new MessageError(M.reverseIndicatorsNeedSecondDials);
}

/** How far from the dial on the driver the coupling's middle lies: on the rim itself, or half-way to the other dial. */
const middleOf = (i: CouplingInput): number => (i.method === 'reverse' ? (i.dialDistanceMm ?? 0) / 2 : 0);

function movesOf(input: CouplingInput, p: Plane): PlaneValues {
  const height = (fromDial: number) => p.offset + p.slope * (fromDial + middleOf(input));
  return {
    offsetMm: p.offset,
    anglePer100Mm: 100 * p.slope,
    frontMm: -height(input.frontFeetMm) + 0,
    backMm: -height(input.frontFeetMm + input.feetSpanMm) + 0,
  };
}

function angleUncertainty(i: CouplingInput): number {
  const one = readingUncertainty(i.resolutionMm, i.hand);
  const two = i.second ? readingUncertainty(i.second.resolutionMm, i.second.hand) : one;
  // Reverse: half a difference of each dial over their distance. Face: a difference of the face's own dial over its diameter.
  return i.method === 'reverse'
    ? (100 * Math.hypot(one, two)) / Math.SQRT2 / (i.dialDistanceMm ?? 1)
    : (100 * Math.SQRT2 * two) / (i.faceDiameterMm ?? 1);
}

function closures(i: CouplingInput): number[] {
  const of = (r: ClockReadings) => r[0] + r[2] - r[1] - r[3];
  const dials = [steady(i.rimMm, i.rimSagMm ?? 0)];
  if (i.method === 'rim-and-face' && i.faceMm) dials.push(i.faceMm);
  if (i.method === 'reverse' && i.backMm) dials.push(steady(i.backMm, i.backSagMm ?? 0));
  return dials.map(of);
}

function workOf(i: CouplingInput, title: Text, v: PlaneValues): WorkingLine[] {
  const m = middleOf(i);
  const foot = (z: number) =>
    expr`−(${num(v.offsetMm)} + ${num(v.anglePer100Mm, 4)} × ${num(z + m, 0)} ÷ 100)`;
  return [
    {
      what: M.coupling({ title: inline(title) }),
      sum: M.offsetPer100({ offset: len(v.offsetMm), anglePer100: len(v.anglePer100Mm, 4) }),
    },
    {
      what: M.frontBackFeet({ title: inline(title) }),
      sum: expr`${foot(i.frontFeetMm)} = ${len(v.frontMm)}; ${foot(i.frontFeetMm + i.feetSpanMm)} = ${len(v.backMm)}`,
    },
  ];
}
