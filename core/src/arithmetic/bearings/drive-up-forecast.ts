import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr, listOf } from '../../message/message.ts';
import { gravest } from '../../metrology/decision.ts';
import {
  bothSeen,
  deviationOfMean,
  doubtOfMean,
  type Hand,
  handOver,
  readingUncertainty,
  type Seen,
  scaledHand,
} from '../../metrology/hand.ts';
import { type FittedLine, fitLine } from '../../metrology/line.ts';
import { inQuadrature, mean } from '../../metrology/uncertainty.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { len, num } from '../../quantities/say.ts';
import { tidy } from '../shaft/tolerance.ts';
import { type Feel, feelOffset } from './clearance-class.ts';
import { type Ahead, adviceOf, beliefOf, look } from './drive-up-ahead.ts';
import { type Advice, RISK_TAKEN } from './drive-up-belief.ts';
import { type DriveUpPlace, placeFinding, placeOf } from './drive-up-place.ts';
import { type DriveUpTargetInput, type DriveUpTargetValues, driveUpTarget } from './drive-up-target.ts';
import type { DriveUpPoint } from './drive-up-warnings.ts';
import { driveUpWarnings } from './drive-up-warnings.ts';
import { M } from './messages.ts';
import { pitchSeen, sayPitch } from './travel.ts';

/** Both rows felt with the nut turned `angleDeg` on from snug. Several at one angle are repeats. */
export type DriveUpReading = { angleDeg: number; rowAMm: number; rowBMm: number };

export type DriveUpForecastInput = DriveUpTargetInput & {
  benchUncertaintyMm?: number | undefined;
  bladeStepMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** Nobody has looked at the sleeve's thread: its pitch is only supposed. */
  pitchAssumed?: boolean | undefined;
  feel?: Feel | undefined;
  /** How far the rows differed on the bench, mm: the bearing’s own difference is no tilt. */
  benchRowDifferenceMm?: number | undefined;
  readings: DriveUpReading[];
  /** What one turn is meant to be: 45 for eighths, 22.5 for sixteenths. */
  stepDeg?: number | undefined;
};

export type DriveUpForecastValues = Ahead & {
  target: DriveUpTargetValues;
  points: DriveUpPoint[];
  /** The rows of the last pair differ by more than on the bench and one blade: the outer ring is tilted, nothing is told from it. */
  tilted: boolean;
  place: DriveUpPlace;
  clearanceMm: number | null;
  reductionMm: number | null;
  reductionExpandedMm: number | null;
  fractionOfAim: number | null;
  /** Fitted line of clearance on nut angle, per degree; null under two angles. */
  slopeMmPerDeg: number | null;
  interceptMm: number | null;
  fittedFrom: number;
  measuredK: number | null;
  /** Chances of the band here and further on, model and readings weighed together; null before anything is felt. */
  advice: Advice | null;
};

function toPoints(input: DriveUpForecastInput): DriveUpPoint[] {
  const add = feelOffset(input.feel, input.bladeStepMm);
  const angles = [...new Set(input.readings.map((r) => r.angleDeg))].sort((a, b) => a - b);
  return angles.map((angleDeg) => {
    const { counted: here, tiltedLast, setAside } = countedAt(input, angleDeg);
    const last = here.at(-1);
    const clearanceMm = tidy(mean(here.flatMap((r) => [r.rowAMm, r.rowBMm])) + add);
    return {
      angleDeg,
      clearanceMm,
      reductionMm: tidy(input.benchMm - clearanceMm),
      // Rows share one bearing: their difference is tilt, judged on its own, so only the spread of repeats counts here.
      ...doubtsOf(here, input),
      rowDifferenceMm:
        tiltedLast && last
          ? rowsApart(last)
          : tidy(Math.abs(mean(here.map((r) => r.rowAMm)) - mean(here.map((r) => r.rowBMm)))),
      setAside,
      inFit: true,
    };
  });
}

const rowsApart = (r: DriveUpReading): number => tidy(Math.abs(r.rowAMm - r.rowBMm));

/** The rows may differ by what they differ by on the bench and one blade more; past that the outer ring is tilted. */
const rowsLimitMm = (input: Pick<DriveUpForecastInput, 'bladeStepMm' | 'benchRowDifferenceMm'>): number =>
  input.bladeStepMm + (input.benchRowDifferenceMm ?? 0);

/**
 * The pairs that count at a nut angle: once the ring is square and both rows were felt again, the pairs felt while it was tilted
 * count no more.
 */
function countedAt(
  input: DriveUpForecastInput,
  angleDeg: number,
): { counted: DriveUpReading[]; tiltedLast: boolean; setAside: number } {
  const here = input.readings.filter((r) => r.angleDeg === angleDeg);
  const isTilted = (r: DriveUpReading) => rowsApart(r) > rowsLimitMm(input) + 1e-6;
  const last = here.at(-1);
  const tiltedLast = last !== undefined && isTilted(last);
  const counted = tiltedLast ? here : here.filter((r) => !isTilted(r));
  return { counted, tiltedLast, setAside: here.length - counted.length };
}

/** Readings of both rows at one place as their means: a mean of two rows steps by √½ of the blade. */
function seenOf(
  here: readonly DriveUpReading[],
  input: Pick<DriveUpForecastInput, 'bladeStepMm' | 'hand'>,
): Seen {
  const pairs = here.map((r) => (r.rowAMm + r.rowBMm) / 2);
  const stepMm = input.bladeStepMm / Math.SQRT2;
  const hand = scaledHand(input.hand, Math.SQRT1_2);
  const own = handOver([pairs], stepMm, hand?.card);
  // What the bench showed of the hand counts beside the repeats here.
  return { ...bothSeen(own, hand), count: own.count, stepMm };
}
/** Doubt of the mean of both rows felt once or more: half of what holds 95 in 100. */
export const pairsUncertainty = (
  pairs: readonly DriveUpReading[],
  input: Pick<DriveUpForecastInput, 'bladeStepMm' | 'hand'>,
): number => doubtOfMean(seenOf(pairs, input));

const seenAt = (input: DriveUpForecastInput, angleDeg: number): Seen =>
  seenOf(countedAt(input, angleDeg).counted, input);

/** What the mean of both rows scatters by, and half of what holds 95 in 100 of it. */
function doubtsOf(here: DriveUpReading[], input: DriveUpForecastInput): { u: number; doubtMm: number } {
  const seen = seenOf(here, input);
  return { u: deviationOfMean(seen).deviation, doubtMm: doubtOfMean(seen) };
}

/**
 * Leave out the flat beginning: until the sleeve bites, the nut turns and nothing closes, and those points would lay
 * the line too shallow. The last flat point stays where nothing better is there to hold the line's start.
 */
function markBite(points: DriveUpPoint[], stepMm: number): DriveUpPoint[] {
  const bite = points.findIndex((p) => p.reductionMm > 0.75 * stepMm);
  if (bite < 0) return points;
  const from = points.length - bite >= 2 && bite >= 2 ? bite : Math.max(0, bite - 1);
  return points.map((p, i) => ({ ...p, inFit: i >= from }));
}

/**
 * Where a drive-up by feelers stands after each reading: reduction so far, fraction of the target, the least-squares
 * line of clearance on nut angle with its uncertainty, eighths left, and warnings. Before two angles are read the
 * slope expected from pitch, taper and k stands in, with a quarter's doubt.
 * Source: bearing handbooks for the band (from memory), GUM H.3 for the line, ISO 14253-1 for the decision.
 */
export function driveUpForecast(input: DriveUpForecastInput): CalculatorResult<DriveUpForecastValues> {
  const targetResult = driveUpTarget(input);
  const target = targetResult.values;
  const benchU = input.benchUncertaintyMm ?? readingUncertainty(input.bladeStepMm, input.hand);
  const points = markBite(toPoints(input), input.bladeStepMm);
  const last = points.at(-1);
  const fitted = points.filter((p) => p.inFit);
  const readingU = fitted.length ? mean(fitted.map((p) => p.u)) : input.bladeStepMm / Math.sqrt(24);
  const line = fitLine(
    fitted.map((p) => ({ x: p.angleDeg, y: p.clearanceMm })),
    readingU,
  );
  const uReduction = last ? inQuadrature(benchU, last.doubtMm) : benchU;
  const stand = placeOf(last, target, uReduction);
  const tilted = last !== undefined && last.rowDifferenceMm > rowsLimitMm(input) + 1e-6;
  const belief = tilted ? null : beliefOf(input, target, points, benchU);
  const ahead = look(input, target, belief, last);
  const advice = adviceOf(target, belief, last);
  // In the band as felt, and by all that was felt on the way no more likely to be past it than one turn would risk: it stands there.
  if (stand.place === 'in-band' && stand.verdict === 'too-close' && advice && advice.now.over <= RISK_TAKEN)
    stand.verdict = advice.now.short > RISK_TAKEN ? 'caution' : 'accept';
  const findings: Finding[] = targetResult.findings.filter(
    (f) => f.verdict === 'reject' || f.verdict === 'incomplete',
  );
  const measuredK = line ? tidy((-line.slope * 360 * input.taper) / input.pitchMm) : null;

  const pitch = pitchFindings(input, target, line);
  if (findings.every((f) => f.verdict === 'caution')) {
    findings.unshift(placeFinding(stand, last, target, uReduction, ahead.suggestedStepDeg));
    findings.push(
      ...driveUpWarnings({
        points,
        target,
        line,
        tilted,
        rowsLimitMm: rowsLimitMm(input),
        measuredK,
        overDriven: stand.place === 'over-driven',
        nextReductionMm: ahead.nextReductionMm,
        nextExpandedMm: ahead.nextReductionExpandedMm,
        stepDeg: input.stepDeg ?? 45,
      }),
    );
  }
  findings.push(...pitch);
  return {
    values: {
      target,
      points,
      tilted,
      place: stand.place,
      clearanceMm: last?.clearanceMm ?? null,
      reductionMm: last?.reductionMm ?? null,
      reductionExpandedMm: last ? 2 * uReduction : null,
      fractionOfAim: last && target.aimMm ? last.reductionMm / target.aimMm : null,
      slopeMmPerDeg: line?.slope ?? null,
      interceptMm: line?.intercept ?? null,
      fittedFrom: fitted.length,
      measuredK,
      ...ahead,
      advice,
    },
    findings,
    working: writeOut(input, target, last, line, uReduction, ahead),
    beams:
      last && target.reductionMinMm !== null && target.reductionMaxMm !== null && target.aimMm !== null
        ? [
            {
              label: COMMON.reduction,
              quantity: 'length',
              value: last.reductionMm,
              target: target.aimMm,
              lower: target.reductionMinMm,
              upper: target.reductionMaxMm,
              expanded: 2 * uReduction,
              verdict: tilted ? gravest([stand.verdict, 'reject']) : stand.verdict,
              doubt: doubtSaid({
                stepMm: input.bladeStepMm / Math.SQRT2,
                hand: seenAt(input, last.angleDeg),
                stampedMm: input.bladeStepMm,
                other: { mm: benchU, from: M.benchClearanceTakenFrom },
                marginMm: Math.min(
                  last.reductionMm - target.reductionMinMm,
                  target.reductionMaxMm - last.reductionMm,
                ),
                where: M.angle,
              }),
            },
          ]
        : [],
  };
}

/** A pitch nobody has looked at, and a closing that fits another. */
function pitchFindings(
  input: DriveUpForecastInput,
  target: DriveUpTargetValues,
  line: FittedLine | null,
): Finding[] {
  const shared = { verdict: 'caution' as const, source: 'practice' as const, acceptable: true };
  const expected = target.reductionPerEighthMm / 45;
  const seen =
    line && line.slope < 0
      ? pitchSeen(input.pitchMm, -line.slope / expected, line.slopeUncertainty / -line.slope)
      : null;
  if (seen !== null)
    return [
      {
        ...shared,
        code: 'driveup.pitch',
        reason: M.closesAsPitchWouldNot({ seen: sayPitch(seen), pitch: sayPitch(input.pitchMm) }),
        params: { seen, pitchMm: input.pitchMm },
        remedy: M.lookSleevesThreadBeforeNut,
      },
    ];
  return input.pitchAssumed
    ? [
        {
          ...shared,
          code: 'driveup.pitch-assumed',
          reason: M.pitchSupposedBoreNobodyHas({ pitch: sayPitch(input.pitchMm) }),
          params: { pitchMm: input.pitchMm },
          remedy: M.layThreadGaugeSleeveCount,
        },
      ]
    : [];
}

function writeOut(
  input: DriveUpForecastInput,
  target: DriveUpTargetValues,
  last: DriveUpPoint | undefined,
  line: FittedLine | null,
  uReduction: number,
  ahead: ReturnType<typeof look>,
): WorkingLine[] {
  if (!last)
    return [
      {
        what: COMMON.expected,
        sum: M.eighthFromPitchTaperK({
          reductionPerEighth: len(target.reductionPerEighthMm, 4),
          k: target.k.toFixed(2),
        }),
      },
    ];
  const here = countedAt(input, last.angleDeg).counted;
  const sum = listOf(
    here.map((r) => expr`${num(r.rowAMm)} + ${num(r.rowBMm)}`),
    ' + ',
  );
  const add = feelOffset(input.feel, input.bladeStepMm);
  const lines: WorkingLine[] = [
    { what: M.bench, sum: len(input.benchMm) },
    {
      what: COMMON.now,
      sum: expr`(${sum})/${2 * here.length}${add ? M.halfBlade({ add: num(add) }) : ''} = ${len(last.clearanceMm, 4)}`,
    },
    {
      what: M.taken,
      sum: expr`${num(input.benchMm)} − ${num(last.clearanceMm)} = ${len(last.reductionMm)} ± ${len(2 * uReduction, 4)}`,
    },
  ];
  if (line) {
    lines.push({
      what: M.line,
      sum: M.pointsEighth({
        count: line.count,
        slope: len(-line.slope * 45, 4),
        slopeUncertainty: len(2 * line.slopeUncertainty * 45, 4),
      }),
    });
  } else {
    lines.push({
      what: COMMON.expected,
      sum: M.eighthFromPitchTaperK({
        reductionPerEighth: len(target.reductionPerEighthMm, 4),
        k: target.k.toFixed(2),
      }),
    });
  }
  if (ahead.eighthsToAim !== null && target.aimMm !== null) {
    lines.push({
      what: M.still,
      sum: M.aimEighthsNut({
        aim: len(tidy(target.aimMm - last.reductionMm)),
        eighthsToAim: ahead.eighthsToAim.toFixed(1),
        eighthsToAimExpanded: (ahead.eighthsToAimExpanded ?? 0).toFixed(1),
        angle: sayNutAngle(last.angleDeg),
      }),
    });
  }
  return lines;
}
