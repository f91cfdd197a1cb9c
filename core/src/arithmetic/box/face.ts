import { betweenAngles, judgeUpper, sayLimit, upperBeam } from '../../judgement/judge.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { len, num } from '../../quantities/say.ts';
import { limitInForce } from '../../sources/limits.ts';
import { type FaceMethod, faceLimits } from './limits.ts';
import { M } from './messages.ts';
import { sweep, sweepDoubt } from './sweep.ts';

export type BoxFaceInput = {
  shaftMm: number;
  boxBoreMm: number;
  /** Radius at which the indicator sweeps the face, clamped on the shaft. */
  sweepRadiusMm: number;
  readings: readonly AngleReading[];
  closingMm?: number | undefined;
  /** The whole swing of the needle over a continuous turn, each time it was read: the TIR itself. */
  swingsMm?: readonly number[] | undefined;
  bySwing?: boolean | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  school: FaceMethod;
  makerLimitMm?: number | undefined;
  /** Measured end play; where the shaft is not held one way it gets into every reading. */
  endPlayMm?: number | undefined;
  heldOneWay?: boolean | undefined;
  rule?: DecisionRule | undefined;
  wanted?: number | undefined;
};

export type BoxFaceValues = {
  tirMm: number | null;
  /** Tilt of the face against the shaft's axis, mm per 100 mm. */
  tiltMmPer100: number | null;
  /** Where the face stands nearest the indicator, degrees. */
  tiltDeg: number | null;
  /** Height of the warp (twice a turn), peak to valley. */
  warpMm: number | null;
  warpDeg: number | null;
  limitMm: number;
  taken: number;
};

/** End play over this share of the limit is worth a word where the shaft is not held one way. */
const PLAY_SHARE = 0.2;

/**
 * Squareness of a box face by an indicator clamped on the shaft: TIR against the limit in force; 1× is the tilt, angle
 * 2A₁/(2R); 2× is a warped face, which no shimming cures. Axial float gets into the sweep and is warned of.
 * Source: limits as in `faceLimits`; geometry.
 */
export function boxFace(input: BoxFaceInput): CalculatorResult<BoxFaceValues> {
  const limit = limitInForce(faceLimits(input.shaftMm, input.boxBoreMm), input.school, input.makerLimitMm);
  const s = sweep({ ...input, wanted: input.wanted ?? 8, code: 'face' });
  const [h1, h2] = s.fit?.harmonics ?? [];
  const tiltMmPer100 = h1 ? (100 * h1.amplitudeMm) / input.sweepRadiusMm : null;
  const warped =
    h2 !== undefined &&
    h2.amplitudeMm > 2 * h2.uncertaintyMm &&
    h2.amplitudeMm > 0.5 * (h1?.amplitudeMm ?? 0);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [{ what: COMMON.limit, sum: sayLimit(limit) }];
  const beams = [];
  if (s.tirMm !== null) {
    const { marginMm: _, ...judged } = judgeUpper({
      code: 'face.tir',
      what: M.faceTirSweep,
      valueMm: s.tirMm,
      uncertaintyMm: s.uncertaintyMm,
      downwardMm: Math.SQRT2 * readingUncertainty(input.resolutionMm, input.hand),
      limit,
      rule: input.rule,
      means: warped ? M.warpedMoreThanTilted : M.glandWouldPullSealOut,
      remedy: warped ? M.warpedFaceReFacedNo : M.checkGasketRemainsBurrsFit,
      more: s.turn
        ? betweenAngles(
            s.turn,
            Math.SQRT2 * readingUncertainty(input.resolutionMm, input.hand),
            limit.limitMm,
            s.taken,
          )
        : undefined,
      again: {
        where: s.highDeg === null ? M.overWholeTurn : M.atAnd2({ high: s.highDeg, low: s.lowDeg }),
        stepMm: input.resolutionMm,
        count: input.hand?.count ?? 1,
        hand: input.hand,
        places: 2,
      },
    });
    findings.push(judged);
    working.push({
      what: 'TIR',
      sum:
        s.highDeg === null
          ? M.wholeSwing({ tir: len(s.tirMm) })
          : M.highestLowest({ high: s.highDeg, low: s.lowDeg, tir: len(s.tirMm) }),
    });
    beams.push(
      upperBeam(
        M.faceTir,
        s.tirMm,
        COVERAGE[input.rule ?? 'k2'] * s.uncertaintyMm,
        limit,
        judged.verdict,
        sweepDoubt(s, input, limit.limitMm),
      ),
    );
  }
  if (h1 && tiltMmPer100 !== null)
    working.push({
      what: M.tiltOnceTurn,
      sum: M.n22Per100Nearest({
        amplitude: num(h1.amplitudeMm, 4),
        sweepRadius: num(input.sweepRadiusMm, 1),
        tiltMmPer100: num(tiltMmPer100, 4),
        phase: h1.phaseDeg.toFixed(0),
      }),
    });
  if (h2) {
    working.push({
      what: M.warpTwiceTurn,
      sum: expr`2 × ${num(h2.amplitudeMm, 4)} = ${len(2 * h2.amplitudeMm, 4)}`,
    });
    if (h2.amplitudeMm > 2 * h2.uncertaintyMm && 2 * h2.amplitudeMm > 0.3 * limit.limitMm)
      findings.push({
        code: 'face.warp',
        verdict: 'caution',
        reason: M.faceWarpedApartFromTilt({ amplitude: len(2 * h2.amplitudeMm) }),
        params: { amplitudeMm: 2 * h2.amplitudeMm },
        source: 'geometry',
        remedy: M.straightedgeMarkingBlueOverFace,
        acceptable: false,
      });
  }
  findings.push(...floatFindings(input, limit.limitMm), ...s.findings);
  return {
    values: {
      tirMm: s.tirMm,
      tiltMmPer100,
      tiltDeg: h1?.phaseDeg ?? null,
      warpMm: h2 ? 2 * h2.amplitudeMm : null,
      warpDeg: h2?.phaseDeg ?? null,
      limitMm: limit.limitMm,
      taken: s.taken,
    },
    findings,
    working,
    beams,
  };
}

/** Axial float gets into a face sweep unless the shaft is held one way. */
function floatFindings(input: BoxFaceInput, limitMm: number): Finding[] {
  if (input.heldOneWay === true) return [];
  const play = input.endPlayMm;
  if (play !== undefined && play <= PLAY_SHARE * limitMm) return [];
  return [
    {
      code: 'face.float',
      verdict: 'caution',
      reason: play === undefined ? M.endPlayNotKnownShaft : M.shaftFloatsWhereNotHeld({ play: len(play) }),
      params: { play: play === undefined ? null : play },
      source: 'practice',
      remedy: M.pushShaftOneWayHold,
      acceptable: false,
    },
  ];
}
