import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COVERAGE } from '../../metrology/decision.ts';
import { len, num } from '../../quantities/say.ts';
import type { TaperRatio } from './clearance-table.ts';
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
      reason: `Feelers say ${len(input.reductionMm)} is taken out; the ${hydraulic ? 'travel' : 'nut'} makes ${len(convertedMm)} of it. ${sayCause(cause, hydraulic)}`,
      params: {
        reductionMm: input.reductionMm,
        hydraulic: Boolean(hydraulic),
        convertedMm,
        cause: sayCause(cause, hydraulic),
      },
      source: 'geometry',
      ...(cause === 'agree' || cause === 'settling'
        ? {}
        : { remedy: 'Feel both rows again; then the zero, the pitch and the taper on the sheet.' }),
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
      reason: `${len(input.residualMm)} is left, under the ${len(input.leastResidualMm)} the feelers’ table asks for.`,
      params: { residualMm: input.residualMm, leastResidualMm: input.leastResidualMm },
      limit: `residual at least ${len(input.leastResidualMm)}`,
      source: 'bearing-handbooks',
      remedy: 'This school is judged by its own sheet; ask the maker before it runs.',
      acceptable: false,
    });
  return {
    values: { convertedMm, differenceMm, cause },
    findings,
    working: [
      {
        what: hydraulic ? 'by the travel' : 'by the nut',
        sum: `k ${k.toFixed(2)} × ${len(input.travelMm)} ÷ ${input.taper} = ${len(convertedMm)}`,
      },
      {
        what: 'felt less that',
        sum: `${num(input.reductionMm)} − ${num(convertedMm)} = ${len(differenceMm)}, doubt ± ${len(doubt)}`,
      },
    ],
    beams: [],
  };
}

function sayCause(cause: CrossCheckValues['cause'], hydraulic: boolean): string {
  switch (cause) {
    case 'agree':
      return 'They agree.';
    case 'settling':
      return `That much of the travel goes into settling of sleeve and surfaces (${num(SETTLING_MM.least, 2)} to ${len(SETTLING_MM.most, 2)} along the shaft).`;
    case 'zero-early':
      return hydraulic
        ? 'Much of the travel closed nothing: the zero was set before the start pressure, or the indicator’s base gave way.'
        : 'Much of the turn closed nothing: the zero was not metal to metal, or it took up sleeve and shaft.';
    case 'zero-late':
      return hydraulic
        ? 'More is gone than the travel explains: the bearing was well up its taper before the zero.'
        : 'More is gone than the turn explains: the bearing stood tight before the zero was marked.';
    case 'taper':
      return 'The taper or the pitch is not what the sheet says, or the ring was tilted when it was felt.';
  }
}
