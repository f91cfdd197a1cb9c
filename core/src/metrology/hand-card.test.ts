import { describe, expect, it } from 'vitest';
import { CARD_WITHIN, handCard } from './hand-card.ts';

describe('a hand card', () => {
  it('is the sample deviation of ten readings, in the unit and in steps (by hand)', () => {
    // Five of 0.05 and five of 0.06: each 0.005 off the mean; ten of 2.5e-5 over nine.
    const told = handCard([0.05, 0.06, 0.05, 0.06, 0.05, 0.06, 0.05, 0.06, 0.05, 0.06], 0.01);
    if (!told.ok) throw new Error(told.why);
    expect(told.scatter).toBeCloseTo(Math.sqrt(2.5e-4 / 9), 7);
    expect(told.steps).toBeCloseTo(0.527, 3);
    expect(told.free).toBe(9);
    expect(told.low).toBeCloseTo(0.69 * told.scatter, 9);
    expect(told.high).toBeCloseTo(1.83 * told.scatter, 9);
  });

  it('its bounds are those of chi square with nine degrees of freedom: 2.700 and 19.023 (tables, from memory)', () => {
    expect(1 - CARD_WITHIN.below).toBeCloseTo(Math.sqrt(9 / 19.023), 2);
    expect(1 + CARD_WITHIN.above).toBeCloseTo(Math.sqrt(9 / 2.7), 2);
  });

  it('ten that are all the same are a card too; fewer, or one that strays, are none', () => {
    const same = handCard(new Array(10).fill(1), 0.01);
    expect(same).toMatchObject({ ok: true, scatter: 0, same: true });
    expect(handCard(new Array(9).fill(1), 0.01)).toEqual({ ok: false, why: 'count' });
    expect(handCard([...new Array(9).fill(1), 1.5], 0.01)).toEqual({ ok: false, why: 'strays' });
  });
});
