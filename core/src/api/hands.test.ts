import { describe, expect, it } from 'vitest';
import { type HandCardKept, handDueOn, handFor, newHandSchema } from './hands.ts';

const card = (more: Partial<HandCardKept> = {}): HandCardKept => ({
  ...{ id: 'a', personId: 'asta', person: 'Asta', instrumentId: 'mic', instrument: 'Micrometer' },
  ...{ kind: 'micrometer', step: 0.01, values: [], watchedBy: null, at: '2026-01-31T10:00:00.000Z' },
  ...{ scatter: 0.004, free: 9 },
  ...more,
});

describe('hand cards', () => {
  it('are due again by the site’s rule: a year where nothing is chosen', () => {
    expect(handDueOn(card(), {})).toBe('2027-01-31');
    expect(handDueOn(card(), { hands: 'half-year' })).toBe('2026-07-31');
    expect(handDueOn(card(), { hands: 'two-years' })).toBe('2028-01-31');
    expect(handDueOn(card(), { hands: 'never' })).toBe('2027-01-31');
  });

  it('count for one person, one kind of gauge and one step; the newest, and none that is overdue', () => {
    const mic = { kind: 'micrometer', step: 0.01 };
    const cards = [
      card(),
      card({ id: 'b', at: '2026-03-01T10:00:00.000Z' }),
      card({ id: 'c', personId: 'bram' }),
    ];
    const on = (day: string) => handFor(cards, 'asta', mic, {}, day)?.id;
    expect(on('2026-12-01')).toBe('b');
    expect(on('2027-02-15')).toBe('b');
    expect(on('2027-03-02')).toBeUndefined();
    expect(handFor(cards, 'asta', { kind: 'dial', step: 0.01 }, {}, '2026-12-01')).toBeNull();
    expect(handFor(cards, 'asta', { kind: 'micrometer', step: 0.001 }, {}, '2026-12-01')).toBeNull();
    expect(handFor(cards, 'oskar', mic, {}, '2026-12-01')).toBeNull();
  });

  it('take ten readings and no fewer', () => {
    expect(newHandSchema.isValidSync({ instrumentId: 'mic', values: new Array(10).fill(1) })).toBe(true);
    expect(newHandSchema.isValidSync({ instrumentId: 'mic', values: new Array(9).fill(1) })).toBe(false);
    expect(newHandSchema.isValidSync({ instrumentId: 'mic', values: new Array(10).fill('x') })).toBe(false);
  });
});
