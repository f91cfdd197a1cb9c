import { betweenAngles, judgeUpper, sayLimit, upperBeam } from '../../judgement/judge.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { readingUncertainty } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { limitInForce } from '../../sources/limits.ts';
import { type FaceMethod, faceLimits } from './limits.ts';
import { sweep, sweepDoubt } from './sweep.ts';

export type BoxFaceInput = {
  shaftMm: number;
  boxBoreMm: number;
  /** Radius at which the indicator sweeps the face, clamped on the shaft. */
  sweepRadiusMm: number;
  readings: readonly AngleReading[];
  closingMm?: number | undefined;
  resolutionMm: number;
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
  const working: WorkingLine[] = [{ what: 'limit', sum: sayLimit(limit) }];
  const beams = [];
  if (s.tirMm !== null) {
    const { marginMm: _, ...judged } = judgeUpper({
      code: 'face.tir',
      what: 'The face, TIR of the sweep,',
      valueMm: s.tirMm,
      uncertaintyMm: s.uncertaintyMm,
      downwardMm: Math.SQRT2 * readingUncertainty(input.resolutionMm),
      limit,
      rule: input.rule,
      means: warped ? 'it is warped more than tilted.' : 'the gland would pull the seal out of square.',
      remedy: warped
        ? 'A warped face is re-faced; no gasket or bolt cures it.'
        : 'Check gasket remains, burrs and the fit of box to frame; then re-face the box.',
      more: s.turn
        ? betweenAngles(s.turn, Math.SQRT2 * readingUncertainty(input.resolutionMm), limit.limitMm, s.taken)
        : undefined,
      again: { where: `at ${s.highDeg}° and ${s.lowDeg}°`, stepMm: input.resolutionMm, count: 1, places: 2 },
    });
    findings.push(judged);
    working.push({ what: 'TIR', sum: `highest at ${s.highDeg}° − lowest at ${s.lowDeg}° = ${len(s.tirMm)}` });
    beams.push(
      upperBeam(
        'Face, TIR',
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
      what: 'tilt (once a turn)',
      sum: `2 × ${num(h1.amplitudeMm, 4)} ÷ (2 × ${num(input.sweepRadiusMm, 1)}) = ${num(tiltMmPer100, 4)} per 100, nearest at ${h1.phaseDeg.toFixed(0)}°`,
    });
  if (h2) {
    working.push({
      what: 'warp (twice a turn)',
      sum: `2 × ${num(h2.amplitudeMm, 4)} = ${len(2 * h2.amplitudeMm, 4)}`,
    });
    if (h2.amplitudeMm > 2 * h2.uncertaintyMm && 2 * h2.amplitudeMm > 0.3 * limit.limitMm)
      findings.push({
        code: 'face.warp',
        verdict: 'caution',
        reason: `The face is warped by ${len(2 * h2.amplitudeMm)}, apart from its tilt.`,
        params: { amplitudeMm: 2 * h2.amplitudeMm },
        source: 'geometry',
        remedy: 'Straightedge and marking blue over the face; a warp is re-faced, not shimmed.',
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
      reason:
        play === undefined
          ? 'The end play is not known and the shaft was not said to be held one way: float gets into this sweep.'
          : `The shaft floats by ${len(play)}; where it is not held one way that gets into this sweep.`,
      params: { play: play === undefined ? null : play },
      source: 'practice',
      remedy: 'Push the shaft one way and hold it there through the whole turn.',
      acceptable: false,
    },
  ];
}
