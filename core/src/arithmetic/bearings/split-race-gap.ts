import { aboutEqual } from '../../judgement/about-equal.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type SplitRaceGapInput = {
  /** Gaps felt at the two joints of the inner race. */
  gapAMm: number;
  gapBMm: number;
  bladeStepMm: number;
  shaftMm?: number | undefined;
  /** Bore at which the halves just meet; from the maker. */
  closedBoreMm?: number | undefined;
};

export type SplitRaceGapValues = { differenceMm: number; expectedMm: number | null };

/** Gaps of a race and of its clamp rings are alike within a fifth of their mean; to a third it is a caution. Common practice, no source. */
export const RACE_SHARES = { alike: 1 / 5, caution: 1 / 3 } as const;

/**
 * Joint gaps of a split inner race: equal, and not zero. No gap at all means the shaft is too small and the race cannot grip;
 * how wide they should be follows from the shaft: π·(shaft − closed bore) shared by two joints.
 * Source: geometry; common practice for about equal.
 */
export function splitRaceGap(input: SplitRaceGapInput): CalculatorResult<SplitRaceGapValues> {
  const differenceMm = Math.abs(input.gapAMm - input.gapBMm);
  const { shaftMm, closedBoreMm } = input;
  const expectedMm =
    shaftMm !== undefined && closedBoreMm !== undefined ? (Math.PI * (shaftMm - closedBoreMm)) / 2 : null;
  const shared = { source: 'practice' as const, acceptable: false };
  const findings: Finding[] = [];
  const closed = Math.min(input.gapAMm, input.gapBMm) <= 0;
  if (closed)
    findings.push({
      ...shared,
      code: 'split-race.closed',
      verdict: 'reject',
      reason: M.jointHasNoGapHalves,
      params: {},
      remedy: M.stopMeasureShaftTooSmall,
    });
  if (!closed)
    findings.push(
      aboutEqual([input.gapAMm, input.gapBMm], input.bladeStepMm, RACE_SHARES, {
        code: 'split-race.equal',
        alike: M.bothJointsGapeAlike,
        unlike: M.raceSitsOneSide,
        remedy: M.easeClampScrewsHoldLower,
      }),
    );
  if (expectedMm !== null && expectedMm <= 0 && !closed)
    findings.push({
      ...shared,
      code: 'split-race.small',
      verdict: 'reject',
      reason: M.shaftUnderBoreWhichHalves({ shaft: len(shaftMm ?? 0), closedBore: len(closedBoreMm ?? 0) }),
      params: { shaftMm: shaftMm ?? 0, closedBoreMm: closedBoreMm ?? 0 },
      remedy: M.measureShaftAgainLookMakers,
    });
  if (expectedMm !== null && expectedMm > 0 && !closed) {
    const mean = (input.gapAMm + input.gapBMm) / 2;
    const off = Math.abs(mean - expectedMm);
    const allowed = Math.max(2 * input.bladeStepMm, 0.3 * Math.abs(expectedMm));
    findings.push({
      code: 'split-race.expected',
      verdict: off <= allowed ? 'accept' : 'caution',
      reason:
        off <= allowed
          ? M.shaftShouldLeaveEachJoint({ shaft: len(shaftMm ?? 0), expected: len(expectedMm) })
          : M.shaftShouldLeaveEachJoint2({
              shaft: len(shaftMm ?? 0),
              expected: len(expectedMm),
              mean: len(mean),
            }),
      params: {
        shaftMm: off <= allowed ? (shaftMm ?? 0) : null,
        expectedMm: off <= allowed ? expectedMm : null,
        shaftMm2: off <= allowed ? null : (shaftMm ?? 0),
        expectedMm2: off <= allowed ? null : expectedMm,
        mean: off <= allowed ? null : mean,
      },
      source: 'geometry',
      ...(off <= allowed ? {} : { remedy: M.tapClampRingsDownAll }),
      acceptable: true,
    });
  }
  return {
    values: { differenceMm, expectedMm },
    findings,
    working: [
      { what: M.difference, sum: expr`${num(input.gapAMm)}, ${num(input.gapBMm)}: ${len(differenceMm)}` },
      ...(expectedMm === null
        ? []
        : [
            {
              what: M.shaft,
              sum: expr`π × (${num(shaftMm ?? 0)} − ${num(closedBoreMm ?? 0)}) ÷ 2 = ${len(expectedMm)}`,
            },
          ]),
    ],
    beams: [],
  };
}
