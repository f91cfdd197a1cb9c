import { describe, expect, it } from 'vitest';
import { quietHand } from '../../testing/test-stand.ts';
import { clearanceClass } from './clearance-class.ts';
import { classBand, clearanceBands, mountingLimits, mountingRanges } from './clearance-table.ts';
import { interferenceFit } from './interference.ts';
import { effectiveK, ringK, sleevePitch, travelForReduction } from './travel.ts';

describe('clearance and reduction tables', () => {
  // Source: ISO 5753-1, tapered bore, from memory: over 80 to 100: normal 80–110, C3 110–140, C4 140–180; over 100 to 120: 100–135, 135–170, 170–220.
  it.each([
    [100, 'CN', 0.08, 0.11],
    [100, 'C3', 0.11, 0.14],
    [100, 'C4', 0.14, 0.18],
    [120, 'CN', 0.1, 0.135],
    [120, 'C3', 0.135, 0.17],
    [120, 'C4', 0.17, 0.22],
  ] as const)('bore %d %s is %d to %d', (bore, name, lowerMm, upperMm) => {
    expect(classBand(bore, name)).toEqual({ class: name, lowerMm, upperMm });
  });

  it('classes meet without gap and grow with the bore', () => {
    let before = 0;
    for (const bore of [
      20, 30, 40, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500,
    ]) {
      const bands = clearanceBands(bore);
      for (let i = 1; i < bands.length; i++) expect(bands[i]?.lowerMm).toBe(bands[i - 1]?.upperMm);
      expect(bands[1]?.lowerMm).toBeGreaterThan(before);
      before = bands[1]?.lowerMm ?? 0;
    }
    expect(() => clearanceBands(18)).toThrow(RangeError);
    expect(() => clearanceBands(501)).toThrow(/500/);
  });

  it('reduction, drive-up and least residual', () => {
    // Source: general bearing handbooks, from memory: over 80 to 100: 45–60 µm, 0.70–0.90 mm at 1:12, least 35/50/80; over 100 to 120: 50–70, 0.75–1.10, 50/65/100.
    expect(mountingLimits(100, 'CN', 12)).toMatchObject({
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
      travelMm: [0.7, 0.9],
      leastResidualMm: 0.035,
    });
    expect(mountingLimits(100, 'C4', 12)?.leastResidualMm).toBe(0.08);
    expect(mountingLimits(110, 'C3', 12)).toMatchObject({
      reductionMinMm: 0.05,
      reductionMaxMm: 0.07,
      travelMm: [0.75, 1.1],
      leastResidualMm: 0.065,
    });
    expect(mountingLimits(24, 'CN', 12)).toBeNull();
    expect(mountingLimits(100, 'C2', 12)?.leastResidualMm).toBeNull();
  });

  it('travel by k stands beside the tabled drive-up over the whole table within a fifth', () => {
    // Source: the tabled drive-up itself (from memory). k is one rule for all bores; the table was rounded row by row.
    for (const { upto } of mountingRanges()) {
      const row = mountingLimits(upto, 'CN', 12);
      if (!row?.travelMm) throw new Error('every row has a drive-up at 1:12');
      const middle = (row.travelMm[0] + row.travelMm[1]) / 2;
      const predicted = travelForReduction(
        (row.reductionMinMm + row.reductionMaxMm) / 2,
        12,
        effectiveK(upto),
      );
      expect(predicted / middle).toBeGreaterThan(0.8);
      expect(predicted / middle).toBeLessThan(1.2);
    }
  });

  it('k: 0.77 solid, 0.60 at 24 mm, a hollow shaft by thick cylinders (Lamé); pitch by ISO 2982', () => {
    expect(effectiveK(100)).toBe(0.77);
    expect(effectiveK(24)).toBeCloseTo(0.6, 9);
    // k = [2F/(F² − 1)] / [(F² + 1)/(F² − 1) + (1 + c²)/(1 − c²)], F = 1.2: by hand 0.8333 solid, 0.6442 at c = 0.7, 0.773 of it.
    expect(ringK(1.2, 0)).toBeCloseTo(1 / 1.2, 9);
    expect(ringK(1.2, 0.7)).toBeCloseTo(0.6442, 4);
    expect(effectiveK(100, 0.7) / effectiveK(100)).toBeCloseTo(0.773, 3);
    // The same by the whole thick-cylinder sum of a ring on a hollow shaft, which knows nothing of this short form.
    for (const c of [0, 0.3, 0.5, 0.7])
      expect(
        interferenceFit({
          jointMm: 100,
          racewayMm: 120,
          shaftBoreMm: 100 * c,
          widthMm: 40,
          interferenceMm: 0.05,
        }).values.k,
      ).toBeCloseTo(ringK(1.2, c), 9);
    expect([25, 60, 100, 160, 240].map(sleevePitch)).toEqual([1.5, 2, 2, 3, 4]);
  });
});

const pair = (a: number, b = a) => ({ rowAMm: a, rowBMm: b });

describe('bench clearance', () => {
  const bench = (sets: Array<{ rowAMm: number; rowBMm: number }>, more = {}) =>
    clearanceClass({
      boreMm: 100,
      clearanceClass: 'CN',
      bladeStepMm: 0.01,
      hand: quietHand(0.01),
      sets,
      ...more,
    });
  const codes = (r: ReturnType<typeof bench>) =>
    Object.fromEntries(r.findings.map((f) => [f.code, f.verdict]));

  it('is the mean of the pair means, with its spread', () => {
    const r = bench([pair(0.09), pair(0.09, 0.1), pair(0.08)]);
    expect(r.values.benchMm).toBeCloseTo((0.09 + 0.095 + 0.08) / 3, 5);
    expect(r.values.spreadMm).toBeCloseTo(0.015, 9);
    expect(codes(r)).toMatchObject({ 'bench.spread': 'caution' });
  });

  it('wants three sets, rows within one blade, and the class on the ring', () => {
    expect(codes(bench([pair(0.1)]))).toMatchObject({ 'bench.sets': 'incomplete' });
    expect(codes(bench([pair(0.1), pair(0.1, 0.13), pair(0.1)]))).toMatchObject({ 'bench.rows.2': 'reject' });
    const out = bench([pair(0.13), pair(0.13), pair(0.13)]);
    expect(codes(out)).toMatchObject({ 'bench.class': 'reject' });
    expect(out.values.likelyClass).toBe('C3');
    // Inside as felt it goes on with a caution; outside as felt it is looked at again.
    expect(codes(bench([pair(0.11), pair(0.11), pair(0.11)]))).toMatchObject({ 'bench.class': 'caution' });
    expect(codes(bench([pair(0.11, 0.12), pair(0.11), pair(0.12)]))).toMatchObject({
      'bench.class': 'too-close',
    });
  });

  it('a blade that goes, the next not, reads half a step more', () => {
    expect(bench([pair(0.1), pair(0.1), pair(0.1)], { feel: 'goes' }).values.benchMm).toBeCloseTo(0.105, 9);
  });

  it('a maker’s class of no width has no place in it: told as nothing, never as a number without end', () => {
    const r = bench([pair(0.13), pair(0.13), pair(0.13)], { makerLowerMm: 0.13, makerUpperMm: 0.13 });
    expect(r.values.placeInClass).toBeNull();
    expect(r.values.benchMm).toBeCloseTo(0.13, 9);
  });

  it('the maker’s class outranks the table', () => {
    const r = bench([pair(0.13), pair(0.13), pair(0.13)], { makerLowerMm: 0.11, makerUpperMm: 0.15 });
    expect(r.findings.find((f) => f.code === 'bench.class')).toMatchObject({
      verdict: 'accept',
      source: 'maker',
    });
  });
});
