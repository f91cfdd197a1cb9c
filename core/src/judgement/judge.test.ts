import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runoutLimits } from '../arithmetic/shaft/limits.ts';
import { decide } from '../metrology/decision.ts';
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

  it('nothing is accepted by fewer than six angles, whatever it reads', () => {
    const few = { tirMm: 0.04, missedMm: 0.006, few: true };
    const more = betweenAngles(few, 0.001, 0.05, 4);
    expect(judged(0.04, 0.001, { more }).verdict).toBe('too-close');
    expect(judged(0.04, 0.001, { more }).remedy).toMatchObject({
      id: 'judgement.readSwingOrAngles',
      params: { angles: 6 },
    });
    expect(betweenAngles({ ...few, tirMm: 0.002 }, 0.004, 0.05, 4)).toMatchObject({ always: true });
    // What hides between more of them is more than the gauge’s own doubt: that is said, and does not stop an accept by itself.
    expect(betweenAngles({ tirMm: 0.02, missedMm: 0.01, few: false }, 0.001, 0.05, 6)).toMatchObject({
      always: false,
    });
  });

  it('says with what the limit is settled, by the hand that read it', () => {
    const again = { where: 'there', stepMm: 0.01, count: 1, hand: { card: { scatter: 0.004, free: 9 } } };
    expect(judged(0.04, 0.0063, { again }).remedy).toMatchObject({ id: 'metrology.wouldSettleIfTheyAgree' });
    expect(judged(0.03, 0.025, { again: { ...again, hand: {} } }).remedy).toMatchObject({
      id: 'metrology.handNotKnownReadOr',
    });
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
