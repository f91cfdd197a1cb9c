import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normal, randomFrom } from './random.ts';
import {
  aloneDeviation,
  deviationOfMean,
  doubtOfMean,
  half95,
  meanUncertainty,
  pooledDeviation,
  REPEATABILITY,
  resolutionUncertainty,
  spreadOver,
  stepShare,
  studentT95,
} from './uncertainty.ts';

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

describe('doubt of a mean', () => {
  it('the step does not average away where all readings land on one, and does as √n where they do not', () => {
    expect(stepShare(9, 0.01)).toBe(resolutionUncertainty(0.01));
    expect(stepShare(9, 0.01, true)).toBeCloseTo(resolutionUncertainty(0.01) / 3, 12);
    expect(spreadOver([0.05, 0.05, 0.05], 0.01)).toBe(false);
    expect(spreadOver([0.05, 0.06, 0.05], 0.01)).toBe(true);
  });

  it('what is known before counts as so many readings more (pooled variance, by hand)', () => {
    // Five known of 0.004, squares of 0.0003 beside a fit with 3 free: (5·0.004² + 0.0003)/8 = 4.75e-5.
    const pooled = pooledDeviation(0.004, 0.0003, 3);
    expect(pooled.deviation).toBeCloseTo(Math.sqrt(4.75e-5), 12);
    expect(pooled.free).toBe(8);
    // Nothing left free adds nothing.
    expect(pooledDeviation(0.004, 0, -1)).toEqual({
      deviation: 0.004,
      free: REPEATABILITY.knownAsFrom,
    });
  });

  it('its degrees of freedom are those of Welch and Satterthwaite: (u_c)⁴ over the sum of u⁴/ν, the step known for sure', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 0.001, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        (count, stepMm, scatterMm) => {
          const { deviation, free } = deviationOfMean({ count, stepMm, scatterMm });
          const own = REPEATABILITY.shareOfStep * stepMm;
          const nu = REPEATABILITY.knownAsFrom + count - 1;
          const scatter = Math.sqrt(
            (REPEATABILITY.knownAsFrom * own ** 2 + (count - 1) * scatterMm ** 2) / nu / count,
          );
          // GUM G.4: only the scatter is estimated.
          expect(free).toBeCloseTo(deviation ** 4 / (scatter ** 4 / nu), 6);
          expect(deviation).toBeGreaterThanOrEqual(scatter);
        },
      ),
    );
  });

  it('a difference of two places doubts as two readings do', () => {
    const one = deviationOfMean({ count: 4, stepMm: 0.01 }).deviation;
    const two = deviationOfMean({ count: 4, stepMm: 0.01, places: 2 }).deviation;
    expect(two).toBeCloseTo(one * Math.SQRT2, 12);
    expect(aloneDeviation(0.01)).toBeCloseTo(Math.hypot(0.004, 0.01 / Math.sqrt(12)), 12);
  });

  it('more readings of the same scatter never doubt more, a coarser step never less', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.double({ min: 0.001, max: 0.02, noNaN: true }),
        // Past two steps of scatter a third reading says first how bad the hand is: there the doubt may grow.
        fc.double({ min: 0, max: 2, noNaN: true }),
        (count, stepMm, steps) => {
          const scatterMm = steps * stepMm;
          const at = (n: number, step: number) =>
            doubtOfMean({ count: n, stepMm: step, scatterMm, scattered: scatterMm > 0 });
          expect(at(count + 1, stepMm)).toBeLessThanOrEqual(at(count, stepMm) * 1.001);
          expect(at(count, stepMm * 1.5)).toBeGreaterThanOrEqual(at(count, stepMm) * 0.999999);
        },
      ),
    );
  });

  // Hands as decision 001 takes them: a quiet one, usual ones, one in a hurry, in steps of the gauge. Trials, not a table: no source.
  it.each([1, 2, 3, 5, 10])(
    'of %d readings of any such hand, ± 2 of it holds the truth 95 times in 100',
    (count) => {
      const random = randomFrom(31 * count);
      const step = 0.01;
      let held = 0;
      const trials = 20_000;
      for (let i = 0; i < trials; i++) {
        const hand = ([0.15, 0.3, 0.5, 0.8] as const)[i % 4] ?? 0.5;
        const truth = 0.05 + step * random();
        const read = Array.from(
          { length: count },
          () => Math.round((truth + hand * step * normal(random)) / step) * step,
        );
        const mean = read.reduce((a, b) => a + b, 0) / count;
        if (Math.abs(mean - truth) <= 2 * meanUncertainty(read, step)) held++;
      }
      expect(held / trials).toBeGreaterThan(0.925);
      expect(held / trials).toBeLessThan(0.975);
    },
  );

  it('of nothing there is none', () => {
    expect(meanUncertainty([], 0.01)).toBeNaN();
  });
});
