import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { len, num } from '../../quantities/say.ts';

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
  say: { code: string; alike: string; unlike: string; remedy: string },
): Finding {
  const mean = gapsMm.reduce((s, g) => s + g, 0) / gapsMm.length;
  const differenceMm = Math.max(...gapsMm) - Math.min(...gapsMm);
  const alikeMm = Math.max(2 * bladeStepMm, ALIKE_SHARE * mean);
  const cautionMm = Math.max(alikeMm, CAUTION_SHARE * mean);
  const shared = {
    code: say.code,
    source: 'practice' as const,
    limit: `${len(alikeMm)} (two blades, or a fifth of the gap)`,
    acceptable: true,
  };
  if (differenceMm <= alikeMm + 1e-9)
    return { ...shared, verdict: 'accept', reason: say.alike, params: { alike: say.alike } };
  return {
    ...shared,
    verdict: differenceMm <= cautionMm + 1e-9 ? 'caution' : 'reject',
    reason: `The joints differ by ${len(differenceMm)}: ${say.unlike}`,
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
      reason: 'A joint has no gap: the halves meet before they grip the shaft.',
      params: {},
      remedy: 'Stop. Measure the shaft: it is too small, or the halves are of two races.',
    });
  if (!closed)
    findings.push(
      aboutEqual([input.gapAMm, input.gapBMm], input.bladeStepMm, {
        code: 'split-race.equal',
        alike: 'Both joints gape alike.',
        unlike: 'the race sits to one side.',
        remedy: 'Ease the clamp screws, hold the lower joint with a feeler, and close them evenly.',
      }),
    );
  if (expectedMm !== null && expectedMm <= 0 && !closed)
    findings.push({
      ...shared,
      code: 'split-race.small',
      verdict: 'reject',
      reason: `A shaft of ${len(shaftMm ?? 0)} is under the bore at which the halves meet, ${len(closedBoreMm ?? 0)}: they cannot grip it.`,
      params: { shaftMm: shaftMm ?? 0, closedBoreMm: closedBoreMm ?? 0 },
      remedy: 'Measure the shaft again, and look at the maker’s bore: one of them is not this race’s.',
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
          ? `A shaft of ${len(shaftMm ?? 0)} should leave ${len(expectedMm)} at each joint, and does.`
          : `A shaft of ${len(shaftMm ?? 0)} should leave ${len(expectedMm)} at each joint, not ${len(mean)}: the race is not seated, or the shaft not what was measured.`,
      params: {
        shaftMm: off <= allowed ? (shaftMm ?? 0) : null,
        expectedMm: off <= allowed ? expectedMm : null,
        shaftMm2: off <= allowed ? null : (shaftMm ?? 0),
        expectedMm2: off <= allowed ? null : expectedMm,
        mean: off <= allowed ? null : mean,
      },
      source: 'geometry',
      ...(off <= allowed
        ? {}
        : { remedy: 'Tap the clamp rings down all round, tighten, feel again; then the shaft.' }),
      acceptable: true,
    });
  }
  return {
    values: { differenceMm, expectedMm },
    findings,
    working: [
      { what: 'difference', sum: `${num(input.gapAMm)}, ${num(input.gapBMm)}: ${len(differenceMm)}` },
      ...(expectedMm === null
        ? []
        : [
            {
              what: 'by the shaft',
              sum: `π × (${num(shaftMm ?? 0)} − ${num(closedBoreMm ?? 0)}) ÷ 2 = ${len(expectedMm)}`,
            },
          ]),
    ],
    beams: [],
  };
}
