import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decisionSum } from '../judgement/decision-sum.ts';
import { decide } from './decision.ts';
import { saySettle, settle } from './settle.ts';
import { meanUncertainty } from './uncertainty.ts';

describe('how many more readings would settle it', () => {
  it('the number it names settles, one fewer does not (the rule itself as the reference)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0003, max: 0.02, noNaN: true }),
        fc.constantFrom(0.001, 0.002, 0.005, 0.01, 0.0254),
        fc.integer({ min: 1, max: 6 }),
        (marginMm, stepMm, count) => {
          const s = settle({ marginMm, stepMm, count });
          const verdict = (n: number) =>
            decide(1 - marginMm, meanUncertainty(new Array(n).fill(0.5), stepMm), { upper: 1 }).verdict;
          if (s.more === null) expect(verdict(count + 30)).toBe('too-close');
          else {
            expect(verdict(count + s.more)).toBe('accept');
            if (s.more > 0) expect(verdict(count + s.more - 1)).toBe('too-close');
          }
        },
      ),
    );
  });

  it('says so in words: some more, a finer gauge, or nobody', () => {
    expect(saySettle({ more: 1, stepMm: 0.004 }, 'there')).toMatch(/^One more reading there/);
    expect(saySettle({ more: 3, stepMm: 0.004 }, 'there')).toMatch(/^3 more readings there/);
    expect(saySettle({ more: null, stepMm: 0.004 }, 'there')).toMatch(/steps ⟦L0.004\|4⟧ or finer/);
    expect(saySettle({ more: null, stepMm: 0.00001 }, 'there')).toMatch(/lead hand/);
  });
});

describe('decision sum against the GUM, by hand', () => {
  // u by hand for 0.048, 0.050, 0.049 on a step of 0.002: s = 0.001 (sample), s/√3 = 0.00057735;
  // step 0.002/√12 = 0.00057735, /√3 = 0.00033333 → u = √(0.00057735² + 0.00033333²) = 0.00066667; U = 0.00133333.
  const readingsMm = [0.048, 0.05, 0.049];
  it('standard and expanded uncertainty', () => {
    const { values } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05 });
    expect(values.meanMm).toBeCloseTo(0.049, 12);
    expect(values.standardMm).toBeCloseTo(6.666667e-4, 9);
    expect(values.expandedMm).toBeCloseTo(1.333333e-3, 9);
    expect(values.marginMm).toBeCloseTo(0.001, 12);
  });
  it('too close with k = 2, and the count that would settle it', () => {
    const { values, findings } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05 });
    expect(findings[0]?.verdict).toBe('too-close');
    // n = 6: s/√6 = 0.00040825, step floor 0.00028868 (r/√12/2 > r/√12/√6 = 0.0002357) → u 0.0005, U 0.001 ≤ margin.
    expect(values.moreReadings).toBe(3);
    expect(findings[0]?.remedy).toMatch(/^3 more readings/);
  });
  it('the one-sided rule guards with 1.65 u: U = 0.0011, still too close here, inside at 0.0488', () => {
    expect(
      decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05, rule: 'one-sided' }).values.expandedMm,
    ).toBeCloseTo(1.1e-3, 9);
    const lower = decisionSum({
      readingsMm: readingsMm.map((v) => v - 0.0002),
      stepMm: 0.002,
      upperMm: 0.05,
      rule: 'one-sided',
    });
    expect(lower.findings[0]?.verdict).toBe('accept');
  });
  it('a difference counts the step twice; a calibration’s doubt comes in quadrature', () => {
    // One difference on a step of 0.01: √2 · 0.01/√12 = 0.0040825; with 0.003 from the calibration √(…) = 0.0050662.
    const one = decisionSum({ readingsMm: [0.03], stepMm: 0.01, difference: true, upperMm: 0.05 });
    expect(one.values.standardMm).toBeCloseTo(0.00408248, 8);
    const both = decisionSum({
      readingsMm: [0.03],
      stepMm: 0.01,
      difference: true,
      otherMm: 0.003,
      upperMm: 0.05,
    });
    expect(both.values.standardMm).toBeCloseTo(0.00506623, 8);
  });
  it('without a limit nothing is judged', () => {
    const { findings, values } = decisionSum({ readingsMm, stepMm: 0.002 });
    expect(findings[0]?.verdict).toBe('incomplete');
    expect(values.moreReadings).toBeNull();
  });
});
