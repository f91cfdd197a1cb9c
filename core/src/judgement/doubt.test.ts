import { describe, expect, it } from 'vitest';
import { readingUncertainty } from '../metrology/hand.ts';
import { say } from '../quantities/say.ts';
import { doubtSaid } from './doubt.ts';

/** A usual hand: 0.4 of a step. */
const hand = (stepMm: number) => ({ card: { scatter: 0.4 * stepMm, free: 9 } });
const said = (asked: Parameters<typeof doubtSaid>[0]) =>
  doubtSaid({ hand: hand(asked.stepMm), ...asked }).map((l) => say(l, 'mm'));

describe('a doubt in words', () => {
  it('one reading: as thick as twice its doubt, and of what (by hand: 1/12 of the step against 0.4² of it)', () => {
    const [thick, from] = said({ stepMm: 0.01 });
    expect(thick).toContain((2 * readingUncertainty(0.01, hand(0.01))).toFixed(4));
    // 1/12 = 0.0833 of 0.0833 + 0.16 = 34 %.
    expect(from).toBe('Of it 34 % the gauge’s step of 0.0100 mm, 66 % repeatability.');
  });

  it('half the step leaves half of it; what has another cause stays, and is named', () => {
    const [, , finer] = said({ stepMm: 0.01 });
    expect(finer).toContain(readingUncertainty(0.01, hand(0.01)).toFixed(4));
    const [, from] = said({ stepMm: 0.001, places: 2, other: { mm: 0.01, from: 'the angles' } });
    expect(from).toMatch(/^Of it (9\d|100) % the angles|, 9\d % the angles\.$/);
  });

  it('of a hand nothing is known of it says so', () => {
    const [thick, from] = said({ stepMm: 0.01, hand: {} });
    expect(thick).toContain('0.0500');
    expect(from).toContain('repeatability not known');
  });

  it('says the cheapest way where the limit is nearer than the doubt, and that it is settled where not', () => {
    expect(said({ stepMm: 0.01, marginMm: 0.05 }).at(-1)).toMatch(/^It is settled/);
    expect(said({ stepMm: 0.01, marginMm: -0.05 }).at(-1)).toMatch(/^It is settled/);
    expect(said({ stepMm: 0.01, marginMm: 0.008, where: 'at that place' }).at(-1)).toMatch(
      /^Cheapest: .*at that place/,
    );
    expect(said({ stepMm: 0.01, marginMm: 0.003 }).at(-1)).toMatch(/finer/);
  });
});
