import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decisionSum } from '../judgement/decision-sum.ts';
import { decide } from './decision.ts';
import { saySettle, settle } from './settle.ts';
import { meanUncertainty, readingUncertainty } from './uncertainty.ts';

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
    expect(saySettle({ more: 1, stepMm: 0.004 }, 'there')).toMatchObject({
      id: 'metrology.wouldSettleIfTheyAgree',
    });
    expect(saySettle({ more: 3, stepMm: 0.004 }, 'there')).toMatchObject({
      id: 'metrology.wouldSettleIfTheyAgree',
    });
    expect(saySettle({ more: null, stepMm: 0.004 }, 'there')).toMatchObject({
      id: 'metrology.noNumberReadingsGaugeSettles',
      params: { step: { mm: 0.004, digits: 4 } },
    });
    expect(saySettle({ more: null, stepMm: 0.00001 }, 'there')).toMatchObject({
      id: 'metrology.standsLimitItselfNoGauge',
    });
  });
});

describe('decision sum against the GUM, by hand', () => {
  // u by hand for 0.048, 0.050, 0.049 on a step of 0.002: s = 0.001 with 2 free; by themselves gauge and hand scatter 0.4 × 0.002 =
  // 0.0008, known as from 5: pooled √((5·0.0008² + 2·0.001²)/7) = 0.00086189, /√3 = 0.00049761; step 0.002/√12 = 0.00057735,
  // /√3 = 0.00033333: u = 0.00059894. Free by Welch and Satterthwaite 7·(0.00059894/0.00049761)⁴ = 14.69:
  // t = 1.96 + 2.6/14.69 = 2.13697; half of what holds 95 in 100 is 0.00063996.
  const readingsMm = [0.048, 0.05, 0.049];
  it('standard and expanded uncertainty', () => {
    const { values } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05 });
    expect(values.meanMm).toBeCloseTo(0.049, 12);
    expect(values.standardMm).toBeCloseTo(6.3996e-4, 7);
    expect(values.expandedMm).toBeCloseTo(1.27992e-3, 7);
    expect(values.marginMm).toBeCloseTo(0.001, 12);
  });
  it('too close with k = 2, and the count that would settle it', () => {
    const { values, findings } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05 });
    expect(findings[0]?.verdict).toBe('too-close');
    // If they scatter as these: n = 5: pooled 0.00089443/√5 = 0.0004, step 0.0002582, u 0.0004761, t(18.06) 2.104: U 0.0010017, still
    // over the margin; n = 6 is under it.
    expect(values.moreReadings).toBe(3);
    expect(findings[0]?.remedy).toMatchObject({ id: 'metrology.wouldSettleIfTheyAgree' });
    // All on one step the step's share of U alone, 2 × 0.00057735, is more than the margin: no number of readings settles it.
    const one = decisionSum({ readingsMm: [0.049, 0.049, 0.049], stepMm: 0.002, upperMm: 0.05 });
    expect(one.values.moreReadings).toBeNull();
    expect(one.findings[0]?.remedy).toMatchObject({ id: 'metrology.noNumberReadingsGaugeSettles' });
  });
  it('the one-sided rule guards with 1.65 u: U = 0.00106, still too close here, inside at 0.0488', () => {
    expect(
      decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05, rule: 'one-sided' }).values.expandedMm,
    ).toBeCloseTo(1.65 * 6.3996e-4, 7);
    const lower = decisionSum({
      readingsMm: readingsMm.map((v) => v - 0.0002),
      stepMm: 0.002,
      upperMm: 0.05,
      rule: 'one-sided',
    });
    expect(lower.findings[0]?.verdict).toBe('accept');
  });
  it('a difference counts the step twice; a calibration’s doubt comes in quadrature', () => {
    // One difference on a step of 0.01 has √2 of one reading's doubt; 0.003 from the calibration comes in quadrature.
    const alone = Math.SQRT2 * readingUncertainty(0.01);
    const one = decisionSum({ readingsMm: [0.03], stepMm: 0.01, difference: true, upperMm: 0.05 });
    expect(one.values.standardMm).toBeCloseTo(alone, 8);
    const both = decisionSum({
      readingsMm: [0.03],
      stepMm: 0.01,
      difference: true,
      otherMm: 0.003,
      upperMm: 0.05,
    });
    expect(both.values.standardMm).toBeCloseTo(Math.hypot(alone, 0.003), 8);
  });
  it('without a limit nothing is judged', () => {
    const { findings, values } = decisionSum({ readingsMm, stepMm: 0.002 });
    expect(findings[0]?.verdict).toBe('incomplete');
    expect(values.moreReadings).toBeNull();
  });
});
