import type { CalculatorResult, Finding } from '../calculators/result.ts';
import { len, num } from '../quantities/say.ts';

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

/**
 * Joint gaps of a split inner race: equal, and not zero. No gap at all means the shaft is too small and the race cannot grip;
 * how wide they should be follows from the shaft: π·(shaft − closed bore) shared by two joints.
 * Source: geometry; common practice for equal within one blade.
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
      remedy: 'Stop. Measure the shaft: it is too small, or the halves are of two races.',
    });
  const equal = differenceMm <= input.bladeStepMm + 1e-9;
  findings.push({
    ...shared,
    code: 'split-race.equal',
    verdict: equal ? 'accept' : 'reject',
    reason: equal
      ? 'Both joints gape alike.'
      : `The joints differ by ${len(differenceMm)}: the race sits to one side.`,
    limit: `${len(input.bladeStepMm)} (one blade)`,
    ...(equal
      ? {}
      : { remedy: 'Ease the clamp screws, hold the lower joint with a feeler, and close them evenly.' }),
  });
  if (expectedMm !== null && !closed) {
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
