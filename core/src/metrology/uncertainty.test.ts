import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { half95, studentT95 } from './uncertainty.ts';

/** The share of Student's distribution within ± t, by Simpson's rule over its density: nothing of ours in it but the sum. */
function within(t: number, free: number): number {
  // Γ((ν+1)/2)/Γ(ν/2) by the recurrence from Γ(1/2) and Γ(1).
  const gammas = (x: number): number =>
    x === 0.5 ? Math.sqrt(Math.PI) : x === 1 ? 1 : (x - 1) * gammas(x - 1);
  const scale = gammas((free + 1) / 2) / (Math.sqrt(free * Math.PI) * gammas(free / 2));
  const density = (x: number) => scale * (1 + (x * x) / free) ** (-(free + 1) / 2);
  const n = 20_000;
  const h = (2 * t) / n;
  let sum = density(-t) + density(t);
  for (let i = 1; i < n; i++) sum += (i % 2 === 1 ? 4 : 2) * density(-t + i * h);
  return (sum * h) / 3;
}

describe('Student’s factor', () => {
  // Source: the density itself, integrated; GUM table G.2 gives the same to three digits, from memory.
  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('of %d degrees of freedom holds 95 in 100', (free) => {
    expect(within(studentT95(free), free)).toBeCloseTo(0.95, 4);
  });
  it.each([12, 15, 20, 30, 50, 100])('of %d, by the short formula, to a thousandth', (free) => {
    expect(Math.abs(within(studentT95(free), free) - 0.95)).toBeLessThan(0.0015);
  });
  it('falls with every degree more, between whole numbers too, and never under 1.96', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.double({ min: 1.001, max: 3, noNaN: true }),
        (a, by) => {
          expect(studentT95(a * by)).toBeLessThanOrEqual(studentT95(a) + 0.03);
          expect(studentT95(a)).toBeGreaterThan(1.96);
        },
      ),
    );
    expect(studentT95(2.5)).toBeLessThan(studentT95(2));
    expect(studentT95(2.5)).toBeGreaterThan(studentT95(3));
    expect(half95(0.01, 3)).toBeCloseTo(0.01591, 6);
  });
});
