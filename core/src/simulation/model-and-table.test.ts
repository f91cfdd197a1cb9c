import { describe, expect, it } from 'vitest';
import { largestDisagreement, modelAgainstTable, modelTravel } from './model-and-table.ts';

describe('the model of thick rings beside the drive-up table', () => {
  const rows = modelAgainstTable();
  it('covers the whole range at both tapers (general bearing handbooks, from memory)', () => {
    expect(rows.filter((r) => r.taper === 12)).toHaveLength(19);
    expect(rows.filter((r) => r.taper === 30)).toHaveLength(14);
    expect([rows[0]?.overMm, rows.at(-1)?.uptoMm]).toEqual([24, 500]);
  });
  it('their bands overlap in every row; over 30 mm bore they agree within a tenth at both ends', () => {
    for (const r of rows) {
      expect(r.apartMm, `${r.overMm} to ${r.uptoMm} at 1:${r.taper}`).toBe(0);
      if (r.overMm >= 30) for (const off of r.off) expect(Math.abs(off)).toBeLessThan(0.1);
    }
  });
  it('they differ most in the smallest bores, where settling rules', () => {
    const worst = largestDisagreement(rows);
    expect([worst.overMm, worst.taper]).toEqual([24, 12]);
    expect(Math.max(...worst.off.map(Math.abs))).toBeLessThan(0.15);
  });
  it('one row by hand: 12 × 0.05 ÷ (1/1.24 − 0.015) + 0.03 = 0.788 (Lamé, one steel, solid shaft)', () => {
    expect(modelTravel(110, 0.05, 12)).toBeCloseTo((12 * 0.05) / (1 / 1.24 - 0.015) + 0.03, 9);
  });
});
