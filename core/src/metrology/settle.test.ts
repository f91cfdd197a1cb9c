import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decisionSum } from '../judgement/decision-sum.ts';
import { decide } from './decision.ts';
import { doubtOfMean, HANDS, readingUncertainty } from './hand.ts';
import { saySettle, settle } from './settle.ts';

describe('how many more readings would settle it', () => {
  it('the number it names settles, if they scatter as the card says; one fewer does not (the rule itself as the reference)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0003, max: 0.02, noNaN: true }),
        fc.constantFrom(0.001, 0.002, 0.005, 0.01, 0.0254),
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        (marginMm, stepMm, count, steps) => {
          const card = { scatter: steps * stepMm, free: 9 };
          const s = settle({ marginMm, stepMm, count, hand: { card } });
          // What the card and one usual reading say together of the hand.
          const scatterMm = Math.sqrt((card.scatter ** 2 * 9 + (HANDS.usual * stepMm) ** 2) / 10);
          const verdict = (n: number) =>
            decide(
              1 - marginMm,
              doubtOfMean({
                count: n,
                stepMm,
                card,
                scatterMm: n > 1 ? scatterMm : 0,
                free: n - 1,
                scattered: n > 1,
              }),
              { upper: 1 },
            ).verdict;
          if (s.more === null) expect(verdict(HANDS.most)).toBe('too-close');
          else {
            expect(verdict(count + s.more)).toBe('accept');
            if (s.more > 1) expect(verdict(count + s.more - 1)).toBe('too-close');
          }
          expect(s.unknown).toBe(false);
        },
      ),
    );
  });

  it('of a hand nothing is known of asks for three readings, or for its card; near the limit for a finer gauge', () => {
    expect(settle({ marginMm: 0.03, stepMm: 0.01, count: 1 })).toMatchObject({ more: 2, unknown: true });
    expect(settle({ marginMm: 0.03, stepMm: 0.01, count: 2 })).toMatchObject({ more: 1, unknown: true });
    expect(settle({ marginMm: 0.001, stepMm: 0.01, count: 1 })).toMatchObject({ more: null, unknown: true });
  });

  it('says so in words: some more, a hand card, a finer gauge, or nobody', () => {
    const known = { unknown: false };
    expect(saySettle({ more: 1, stepMm: 0.004, ...known }, 'there')).toMatchObject({
      id: 'metrology.wouldSettleIfTheyAgree',
    });
    expect(saySettle({ more: 3, stepMm: 0.004, unknown: true }, 'there')).toMatchObject({
      id: 'metrology.handNotKnownReadOr',
    });
    expect(saySettle({ more: null, stepMm: 0.004, unknown: true }, 'there')).toMatchObject({
      id: 'metrology.handNotKnownFinerGauge',
    });
    expect(saySettle({ more: null, stepMm: 0.004, ...known }, 'there')).toMatchObject({
      id: 'metrology.noNumberReadingsGaugeSettles',
      params: { step: { mm: 0.004, digits: 4 } },
    });
    expect(saySettle({ more: null, stepMm: 0.00001, ...known }, 'there')).toMatchObject({
      id: 'metrology.standsLimitItselfNoGauge',
    });
  });
});

describe('decision sum against the GUM, by hand', () => {
  // 0.048, 0.050, 0.049 on a step of 0.002, no card: s = 0.001 with 2 free, t = 4.303; the step 0.002/√12 = 0.00057735. Both fall
  // over √3: U = 1.3·√((4.303·0.001)²/3 + (2·0.00057735)²/3) = 1.3·√(6.17194e-6 + 4.4444e-7) = 0.0033439. Source of t: GUM table G.2.
  const readingsMm = [0.048, 0.05, 0.049];
  it('standard and expanded uncertainty', () => {
    const { values } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05 });
    expect(values.meanMm).toBeCloseTo(0.049, 12);
    expect(values.expandedMm).toBeCloseTo(0.0033439, 6);
    expect(values.standardMm).toBeCloseTo(0.0033439 / 2, 6);
    expect(values.marginMm).toBeCloseTo(0.001, 12);
  });
  it('with a card of 0.001 the scatter is pooled: (1·0.0008² + 9·0.001² + 2·0.001²)/12, t(12) = 2.179', () => {
    const hand = { card: { scatter: 0.001, free: 9 } };
    const { values } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05, hand });
    const pooled = (0.0008 ** 2 + 11 * 0.001 ** 2) / 12;
    // By the short formula 1.96 + 2.6/12 = 2.1767; the table says 2.179.
    expect(values.expandedMm).toBeCloseTo(1.3 * 2.179 * Math.sqrt((pooled + 0.002 ** 2 / 12) / 3), 5);
  });
  it('too close with k = 2, and the count that would settle it', () => {
    const { values, findings } = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.051 });
    expect(findings[0]?.verdict).toBe('too-close');
    expect(values.moreReadings).toBe(2);
    expect(findings[0]?.remedy).toMatchObject({ id: 'metrology.wouldSettleIfTheyAgree' });
    // All on one step it is known to a step and no nearer: nearer than that no number of readings settles it.
    const one = decisionSum({ readingsMm: [0.049, 0.049, 0.049], stepMm: 0.002, upperMm: 0.05 });
    expect(one.findings[0]?.verdict).toBe('too-close');
    const inside = decisionSum({ readingsMm: [0.049, 0.049, 0.049], stepMm: 0.002, upperMm: 0.0511 });
    expect(inside.findings[0]?.verdict).toBe('accept');
  });
  it('the one-sided rule guards with 1.65 u (ISO 14253-1:2017, from memory)', () => {
    const by = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.05, rule: 'one-sided' });
    expect(by.values.expandedMm).toBeCloseTo((1.65 * 0.0033439) / 2, 6);
    const lower = decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.0519, rule: 'one-sided' });
    expect(lower.findings[0]?.verdict).toBe('accept');
    expect(decisionSum({ readingsMm, stepMm: 0.002, upperMm: 0.0519 }).findings[0]?.verdict).toBe(
      'too-close',
    );
  });
  it('a difference counts the step twice; a calibration’s doubt comes in quadrature', () => {
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
  it('the end gauge of GUM H.1: readings to a step of 1 nm, their pooled scatter and the rest in quadrature', () => {
    // H.1.3.2: five readings, 215 nm on the mean; the experimental standard deviation of the comparison 13 nm of 24 free gives
    // u(d̄) = 13/√5 = 5.8 nm. H.1.4: 25 nm of the standard, 3.9 and 6.7 of the comparator, 2.9 and 16.6 of temperature: u_c = 32 nm;
    // of 16 free t99 = 2.92, U99 = 93 nm. From memory. Here the card takes the place of the 24 free; ours is wider by its factor.
    const card = { scatter: 13e-6, free: 24 };
    const nm = [215, 202, 228, 209, 221].map((x) => x * 1e-6);
    const other = Math.hypot(25, 3.9, 6.7, 2.9, 16.6) * 1e-6;
    const { values } = decisionSum({ readingsMm: nm, stepMm: 1e-6, otherMm: other, hand: { card } });
    expect(values.meanMm).toBeCloseTo(215e-6, 9);
    expect(1e6 * values.standardMm).toBeGreaterThan(31);
    expect(1e6 * values.standardMm).toBeLessThan(34);
  });
});
