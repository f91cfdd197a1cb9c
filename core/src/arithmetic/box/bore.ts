import { betweenAngles, judgeUpper, sayLimit, upperBeam } from '../../judgement/judge.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { len, num } from '../../quantities/say.ts';
import { limitInForce } from '../../sources/limits.ts';
import { M } from './messages.ts';
import { withoutSag } from './sag.ts';
import { sweep, sweepDoubt } from './sweep.ts';

export type BoxBoreInput = {
  /** Sweep of the bore or register, indicator on the shaft; angles from the top. */
  readings: readonly AngleReading[];
  closingMm?: number | undefined;
  /** Reading at the bottom, zero on top, with the set-up hung on a stiff bar; 0 for a bracket that does not give. */
  sagMm?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  makerLimitMm?: number | undefined;
  rule?: DecisionRule | undefined;
  wanted?: number | undefined;
};

export type BoxBoreValues = {
  tirMm: number | null;
  eccentricityMm: number | null;
  /** Direction of the most positive reading: inside a bore a wall that stands nearer pushes the plunger in. */
  nearestDeg: number | null;
  sagMm: number | null;
  corrected: AngleReading[];
  limitMm: number;
  taken: number;
};

/** Concentricity of box bore to shaft, TIR. Common practice, no source. */
export const BOX_BORE_TIR_MM = 0.13;

/**
 * Concentricity of a box bore by a sweep from the shaft, the sag of the bracket taken out first. Eccentricity is the 1×
 * amplitude; the wall is nearest to the shaft where the reading is highest.
 * Source: common practice for the limit; geometry.
 */
export function boxBore(input: BoxBoreInput): CalculatorResult<BoxBoreValues> {
  const sagMm = input.sagMm ?? null;
  const corrected = withoutSag(input.readings, sagMm ?? 0, 'inside');
  const limit = limitInForce(
    [{ school: 'practice', title: COMMON.commonPractice, limitMm: BOX_BORE_TIR_MM, source: 'practice' }],
    'practice',
    input.makerLimitMm,
  );
  const s = sweep({
    readings: corrected,
    // At the top, where a turn begins and ends, the bracket does not sag.
    closingMm: input.closingMm,
    resolutionMm: input.resolutionMm,
    hand: input.hand,
    wanted: input.wanted ?? 8,
    code: 'bore',
  });
  const h1 = s.fit?.harmonics[0];
  const findings: Finding[] = [];
  const working: WorkingLine[] = [{ what: M.limitTir, sum: sayLimit(limit) }];
  const beams = [];
  if (sagMm !== null)
    working.push({
      what: M.bracketSag,
      sum: M.sBarInsideBoreS({ sag: len(sagMm) }),
    });
  else
    findings.push({
      code: 'bore.sag',
      verdict: 'caution',
      reason: M.sagBracketNotMeasuredStands,
      params: {},
      source: 'practice',
      remedy: M.hangSetUpStiffBar,
      acceptable: false,
    });
  if (s.tirMm !== null) {
    const { marginMm: _, ...judged } = judgeUpper({
      code: 'bore.tir',
      what: M.boreTirSweep,
      valueMm: s.tirMm,
      uncertaintyMm: s.uncertaintyMm,
      downwardMm: Math.SQRT2 * readingUncertainty(input.resolutionMm, input.hand),
      limit,
      rule: input.rule,
      means: M.shaftBoxDoNotShare,
      remedy: M.checkFitBoxFrameBearings,
      more: s.turn
        ? betweenAngles(
            s.turn,
            Math.SQRT2 * readingUncertainty(input.resolutionMm, input.hand),
            limit.limitMm,
            s.taken,
          )
        : undefined,
      again: {
        where: M.atAnd2({ high: s.highDeg, low: s.lowDeg }),
        stepMm: input.resolutionMm,
        count: input.hand?.count ?? 1,
        hand: input.hand,
        places: 2,
      },
    });
    findings.push(judged);
    beams.push(
      upperBeam(
        M.boreTir,
        s.tirMm,
        COVERAGE[input.rule ?? 'k2'] * s.uncertaintyMm,
        limit,
        judged.verdict,
        sweepDoubt(s, input, limit.limitMm),
      ),
    );
  }
  if (h1)
    working.push({
      what: M.eccentricity,
      sum: M.n1AmplitudeWallNearest({
        amplitude: len(h1.amplitudeMm, 4),
        uncertainty: num(2 * h1.uncertaintyMm, 4),
        phase: h1.phaseDeg.toFixed(0),
      }),
    });
  findings.push(...s.findings);
  return {
    values: {
      tirMm: s.tirMm,
      eccentricityMm: h1?.amplitudeMm ?? null,
      nearestDeg: h1?.phaseDeg ?? null,
      sagMm,
      corrected,
      limitMm: limit.limitMm,
      taken: s.taken,
    },
    findings,
    working,
    beams,
  };
}
