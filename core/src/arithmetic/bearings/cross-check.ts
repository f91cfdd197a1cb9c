import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE } from '../../metrology/decision.ts';
import { len, num } from '../../quantities/say.ts';
import type { TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';
import { effectiveK, reductionForTravel } from './travel.ts';

export type CrossCheckInput = {
  school: 'nut-angle' | 'hydraulic';
  boreMm: number;
  taper: TaperRatio;
  hollowRatio?: number | undefined;
  /** Travel the other school made: pitch × angle ÷ 360 from a hand-set zero, or the indicator’s from the start pressure. */
  travelMm: number;
  /** Clearance lost between bench and locked, by feelers, and its standard uncertainty. */
  reductionMm: number;
  uncertaintyMm: number;
  leastResidualMm?: number | undefined;
  residualMm?: number | undefined;
};

export type CrossCheckValues = {
  /** What the travel would have taken out by the taper’s sum. */
  convertedMm: number;
  /** Felt less converted. */
  differenceMm: number;
  /** Where the two disagree: why, most likely. */
  cause: 'agree' | 'settling' | 'zero-late' | 'zero-early' | 'taper';
};

/** Axial settling of surfaces and sleeve that eats travel without closing the bearing. Common practice, no source. */
const SETTLING_MM = { least: 0.02, most: 0.04 } as const;
/** Travel already made before the start pressure's zero, as a share of the whole. Common practice, no source. */
const BEFORE_START = 0.35;

/**
 * Two methods on one bearing: what feelers say was taken out, beside what nut angle or hydraulic travel makes of it by the
 * taper. Each school is judged by its own table; the difference is information, with its likeliest cause.
 * Source: geometry of thread and taper; settling by common practice.
 */
export function crossCheck(input: CrossCheckInput): CalculatorResult<CrossCheckValues> {
  const k = effectiveK(input.boreMm, input.hollowRatio);
  const convertedMm = reductionForTravel(input.travelMm, input.taper, k);
  const differenceMm = input.reductionMm - convertedMm;
  const doubt = COVERAGE.k2 * input.uncertaintyMm + 0.1 * convertedMm;
  const settled = reductionForTravel(SETTLING_MM.most, input.taper, k);
  const hydraulic = input.school === 'hydraulic';
  const cause: CrossCheckValues['cause'] =
    Math.abs(differenceMm) <= doubt
      ? 'agree'
      : differenceMm < 0
        ? -differenceMm <= doubt + settled
          ? 'settling'
          : 'zero-early'
        : hydraulic && differenceMm <= doubt + (BEFORE_START * convertedMm) / (1 - BEFORE_START)
          ? 'agree'
          : input.reductionMm > 1.5 * convertedMm
            ? 'zero-late'
            : 'taper';
  const findings: Finding[] = [
    {
      code: 'cross-check',
      verdict: cause === 'agree' || cause === 'settling' ? 'accept' : 'caution',
      reason: M.feelersSayTakenOutMakes({
        reduction: len(input.reductionMm),
        hydraulic: hydraulic ? 'travel' : 'nut',
        converted: len(convertedMm),
        cause: sayCause(cause, hydraulic),
      }),
      params: {
        reductionMm: input.reductionMm,
        hydraulic: Boolean(hydraulic),
        convertedMm,
        cause: sayCause(cause, hydraulic),
      },
      source: 'geometry',
      ...(cause === 'agree' || cause === 'settling' ? {} : { remedy: M.feelBothRowsAgainThen }),
      acceptable: true,
    },
  ];
  if (
    input.residualMm !== undefined &&
    input.leastResidualMm !== undefined &&
    input.residualMm + COVERAGE.k2 * input.uncertaintyMm < input.leastResidualMm
  )
    findings.push({
      code: 'cross-check.residual',
      verdict: 'caution',
      reason: M.leftUnderFeelersTableAsks({
        residual: len(input.residualMm),
        leastResidual: len(input.leastResidualMm),
      }),
      params: { residualMm: input.residualMm, leastResidualMm: input.leastResidualMm },
      limit: M.residualLeast({ leastResidual: len(input.leastResidualMm) }),
      source: 'bearing-handbooks',
      remedy: M.schoolJudgedOwnSheetAsk,
      acceptable: false,
    });
  return {
    values: { convertedMm, differenceMm, cause },
    findings,
    working: [
      {
        what: hydraulic ? M.travel : M.nut,
        sum: expr`k ${k.toFixed(2)} × ${len(input.travelMm)} ÷ ${input.taper} = ${len(convertedMm)}`,
      },
      {
        what: M.feltLess,
        sum: M.doubt({
          reduction: num(input.reductionMm),
          converted: num(convertedMm),
          difference: len(differenceMm),
          doubt: len(doubt),
        }),
      },
    ],
    beams: [],
  };
}

function sayCause(cause: CrossCheckValues['cause'], hydraulic: boolean): Text {
  switch (cause) {
    case 'agree':
      return M.theyAgree;
    case 'settling':
      return M.muchTravelGoesIntoSettling({
        least: num(SETTLING_MM.least, 2),
        most: len(SETTLING_MM.most, 2),
      });
    case 'zero-early':
      return hydraulic ? M.muchTravelClosedNothingZero : M.muchTurnClosedNothingZero;
    case 'zero-late':
      return hydraulic ? M.moreGoneThanTravelExplains : M.moreGoneThanTurnExplains;
    case 'taper':
      return M.taperPitchNotWhatSheet;
  }
}
