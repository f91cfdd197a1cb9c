import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runoutLimits } from '../arithmetic/shaft/limits.ts';
import { decide } from '../metrology/decision.ts';
import { settle } from '../metrology/settle.ts';
import { doubtOfMean } from '../metrology/uncertainty.ts';
import { say } from '../quantities/say.ts';
import { limitInForce } from '../sources/limits.ts';
import { betweenAngles, judgeUpper, upperBeam } from './judge.ts';

const limit = limitInForce(runoutLimits(60), 'flat');
const judged = (valueMm: number, uncertaintyMm: number, more: object = {}) =>
  judgeUpper({
    code: 'runout.tir',
    what: 'Run-out',
    valueMm,
    uncertaintyMm,
    limit,
    means: 'the faces follow it.',
    remedy: 'Straighten or replace.',
    ...more,
  });

describe('a value that may be too large', () => {
  it('is told by the decision rule and by nothing else, whatever value, doubt and rule', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.constantFrom('k2' as const, 'one-sided' as const),
        (value, u, rule) => {
          const f = judged(value, u, { rule });
          expect(f.verdict).toBe(decide(value, u, { upper: limit.limitMm }, rule).verdict);
          expect(f.marginMm).toBeCloseTo(limit.limitMm - value, 12);
          // Each verdict comes with a sentence, and what stops with what to do.
          expect(say(f.reason, 'mm')).toMatch(/^Run-out is \d/);
          if (f.verdict !== 'accept') expect(f.remedy).toBeTruthy();
          expect(say(f.limit ?? '', 'mm')).toMatch(/^0\.050 mm \(flat\)$/);
        },
      ),
    );
  });

  it('is over where what could make it smaller cannot bring it back, though the rest of the doubt is wide', () => {
    // 0.070 on 0.050: ± 0.024 all in all, of which only ± 0.010 could make it smaller.
    expect(judged(0.07, 0.012).verdict).toBe('too-close');
    expect(judged(0.07, 0.012, { downwardMm: 0.005 }).verdict).toBe('reject');
    expect(judged(0.055, 0.012, { downwardMm: 0.005 }).verdict).toBe('too-close');
  });

  it('nothing is accepted so near a limit by so few angles; well clear of it is', () => {
    const few = { tirMm: 0.04, missedMm: 0.006, few: true };
    const more = betweenAngles(few, 0.001, 0.05, 4);
    expect(judged(0.04, 0.001, { more }).verdict).toBe('too-close');
    expect(judged(0.04, 0.001, { more }).remedy).toMatchObject({
      id: 'judgement.readTurnAngles',
      params: { angles: 8 },
    });
    expect(betweenAngles({ ...few, tirMm: 0.02 }, 0.004, 0.05, 4)).toBeUndefined();
    // What hides between them is more than the gauge’s own doubt: that is said, and does not stop an accept by itself.
    expect(betweenAngles({ tirMm: 0.02, missedMm: 0.01, few: false }, 0.001, 0.05, 6)).toMatchObject({
      always: false,
    });
  });

  it('so many readings more settle it, if they agree, and not one fewer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
        fc.constantFrom(0.001, 0.005, 0.01),
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.constantFrom('k2' as const, 'one-sided' as const),
        (margin, stepMm, count, share, rule) => {
          const scatterMm = share * stepMm;
          const { more, stepMm: finer } = settle({ marginMm: margin, stepMm, count, scatterMm, rule });
          const at = (n: number) =>
            decide(0.05 - margin, doubtOfMean({ count: n, stepMm, scatterMm }), { upper: 0.05 }, rule)
              .verdict;
          if (more !== null) {
            expect(at(count + more)).toBe('accept');
            if (more > 0) expect(at(count + more - 1)).toBe('too-close');
          } else expect(at(count + 30)).toBe('too-close');
          // One reading of so fine a gauge does it at once.
          const one = doubtOfMean({ count: 1, stepMm: finer * 0.999 });
          expect(decide(0.05 - margin, one, { upper: 0.05 }, rule).verdict).toBe('accept');
        },
      ),
    );
  });
});

it('the beam stands level at nothing, with the limit in force as its stop and the other schools beside it', () => {
  const beam = upperBeam('TIR', 0.031, 0.004, limit, 'accept', ['doubt']);
  expect(beam).toMatchObject({
    target: 0,
    upper: 0.05,
    value: 0.031,
    expanded: 0.004,
    doubt: ['doubt'],
  });
  expect(beam.alternatives?.map((a) => a.at).sort()).toEqual(limit.others.map((o) => o.limitMm).sort());
  expect(beam.alternatives).not.toHaveLength(0);
});
