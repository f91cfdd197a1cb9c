import type { Finding } from '../judgement/result.ts';

/** A quantity mark, or a number written out. */
const NUMBER = /⟦[A-Z](-?[\d.e+-]+)(?:\|\d)?⟧|[-−]?\d+(?:\.\d+)?/g;

/**
 * The numbers in a sentence with quantity marks, smallest first: marked ones in the unit inside, others as written. The
 * words between them do not count, nor their order.
 * @example numbersIn('Run-out is ⟦L0.07|3⟧, 2 of 4 places') // [0.07, 2, 4]
 */
export function numbersIn(sentence: string): number[] {
  return [...sentence.matchAll(NUMBER)]
    .map((m) => Number(m[1] ?? m[0].replace('−', '-')))
    .filter(Number.isFinite)
    .sort((a, b) => a - b);
}

/** The numbers a finding stands on: those it names, else those its sentence says. */
export const numbersOf = (finding: Pick<Finding, 'numbers' | 'reason'>): number[] =>
  finding.numbers ? [...finding.numbers].sort((a, b) => a - b) : numbersIn(finding.reason);

/** Are two lists the same numbers? Sums done in another order may differ in their last digit. */
export const sameNumbers = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length &&
  a.every((x, i) => Math.abs(x - (b[i] ?? Number.NaN)) <= 1e-9 * Math.max(1, Math.abs(x)));
