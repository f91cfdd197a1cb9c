import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
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

/** Gaps are alike within the larger of two blades and this share of their mean; to the next share it is a caution. Common practice. */
const ALIKE_SHARE = 1 / 5;
const CAUTION_SHARE = 1 / 3;

/** Are the gaps of joints about equal? More unequal than a third of their mean is for a lead hand to accept. */
export function aboutEqual(
  gapsMm: readonly number[],
  bladeStepMm: number,
  say: { code: string; alike: Text; unlike: Text; remedy: Text },
): Finding {
  const mean = gapsMm.reduce((s, g) => s + g, 0) / gapsMm.length;
  const differenceMm = Math.max(...gapsMm) - Math.min(...gapsMm);
  const alikeMm = Math.max(2 * bladeStepMm, ALIKE_SHARE * mean);
  const cautionMm = Math.max(alikeMm, CAUTION_SHARE * mean);
  const shared = {
    code: say.code,
    source: 'practice' as const,
    limit: M.twoBladesFifthGap({ alike: len(alikeMm) }),
    acceptable: true,
  };
  if (differenceMm <= alikeMm + 1e-9)
    return { ...shared, verdict: 'accept', reason: say.alike, params: { alike: say.alike } };
  return {
    ...shared,
    verdict: differenceMm <= cautionMm + 1e-9 ? 'caution' : 'reject',
    reason: M.jointsDiffer({ difference: len(differenceMm), unlike: say.unlike }),
    params: { differenceMm, unlike: say.unlike },
    remedy: say.remedy,
  };
}

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
      aboutEqual([input.gapAMm, input.gapBMm], input.bladeStepMm, {
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
