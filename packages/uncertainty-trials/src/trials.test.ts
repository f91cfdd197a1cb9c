import { describe, expect, it } from 'vitest';
import { everyRow } from './all.ts';
import { Chance } from './chance.ts';
import { holds, plainlyOutside, table } from './row.ts';

/** The short form of `npm run proof -- uncertainty`: the same trials, fewer of them, so that only what is plainly wrong shows. */
describe('what is stated with a doubt', () => {
  const rows = everyRow(60);
  it.each(rows.map((r) => [`${r.statement}: ${r.hand ?? ''} ${r.cell}`, r] as const))('%s', (_, row) => {
    expect(plainlyOutside(row), table([row])).toBe(false);
  });
});

describe('the trials themselves', () => {
  it('a claim that is wrong is found: a band of half the width catches far too few', () => {
    const chance = new Chance(3);
    const trials = 2000;
    let caught = 0;
    for (let i = 0; i < trials; i++) if (Math.abs(chance.bell()) < 0.98) caught++;
    const row = {
      statement: '',
      cell: '',
      claimed: '95 %',
      low: 0.94,
      high: 0.97,
      trials,
      share: caught / trials,
    };
    expect(holds(row)).toBe(false);
    expect(holds({ ...row, share: 0.95 })).toBe(true);
    expect(holds({ ...row, share: 1 })).toBe(false);
    expect(holds({ ...row, trials: 0 })).toBe(false);
    // Nothing is added to the band: what lies a hair outside does not hold, though so many trials might have done it.
    expect(holds({ ...row, share: 0.9399 })).toBe(false);
    expect(plainlyOutside({ ...row, share: 0.9399 })).toBe(false);
    expect(plainlyOutside(row)).toBe(true);
  });

  it('chance is even and bell-shaped (mean, variance, tails by the law)', () => {
    const chance = new Chance(9);
    const n = 40_000;
    const bells = Array.from({ length: n }, () => chance.bell());
    const mean = bells.reduce((a, b) => a + b, 0) / n;
    expect(Math.abs(mean)).toBeLessThan(0.02);
    expect(bells.reduce((a, b) => a + b * b, 0) / n).toBeCloseTo(1, 1);
    expect(bells.filter((z) => Math.abs(z) > 1.96).length / n).toBeCloseTo(0.05, 2);
    const evens = Array.from({ length: n }, () => chance.even());
    expect(Math.min(...evens)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...evens)).toBeLessThan(1);
    expect(evens.filter((x) => x < 0.25).length / n).toBeCloseTo(0.25, 2);
  });
});
