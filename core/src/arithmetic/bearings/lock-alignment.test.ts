import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { verdictOf } from '../../judgement/result.ts';
import { forwardAlignments, lcm, lockAlignment } from './lock-alignment.ts';

describe('lock alignment', () => {
  it('4 slots and 17 tabs meet every 360/68°; 4 and 18 every 10° (geometry, by hand)', () => {
    expect(lcm(4, 17)).toBe(68);
    expect(lcm(4, 18)).toBe(36);
    const r = lockAlignment({
      boreMm: 100,
      taper: 12,
      pitchMm: 2,
      nut: { count: 4 },
      washer: { count: 18 },
      forwardDeg: 11,
    });
    expect(r.values.spacingDeg).toBe(10);
    expect(r.values.least?.forwardDeg).toBeCloseTo(1, 6);
    // cost = k·pitch·angle/(360·12) = 0.77·2·1/4320
    expect(r.values.least?.costMm).toBeCloseTo(0.000356, 6);
  });

  it('told nothing of where the tabs stand, it gives the most it can cost', () => {
    const r = lockAlignment({ boreMm: 100, taper: 12, pitchMm: 2, nut: { count: 4 }, washer: { count: 17 } });
    expect(r.values.least).toBeNull();
    expect(r.values.worstDeg).toBeCloseTo(360 / 68, 6);
    expect(r.findings[0]?.verdict).toBe('caution');
  });

  it('stops when the next tab would leave the band, and picks the stop nearest the aim', () => {
    const base = {
      boreMm: 100,
      taper: 12 as const,
      pitchMm: 2,
      nut: { count: 4 },
      washer: { count: 4 },
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
      aimMm: 0.052,
    };
    expect(lockAlignment({ ...base, forwardDeg: 80, reductionNowMm: 0.05 }).findings[0]?.verdict).toBe(
      'reject',
    );
    const fine = lockAlignment({ ...base, washer: { count: 18 }, forwardDeg: 4, reductionNowMm: 0.04 });
    expect(fine.values.best?.reductionMm).toBeCloseTo(0.052, 2);
    expect(fine.values.best?.inBand).toBe(true);
  });

  it('unequal patterns are searched by their angle lists', () => {
    expect(forwardAlignments({ anglesDeg: [0, 100] }, { anglesDeg: [30, 200] }, 0)).toEqual([
      30, 100, 200, 290,
    ]);
    const r = lockAlignment({
      boreMm: 100,
      taper: 12,
      pitchMm: 2,
      nut: { anglesDeg: [0, 100] },
      washer: { anglesDeg: [30, 200] },
      forwardDeg: 0,
    });
    expect(r.values.spacingDeg).toBeNull();
    expect(r.values.least?.forwardDeg).toBe(30);
  });

  it('at every alignment some slot stands at some tab, and between two none does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 24 }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        (slots, tabs, lead) => {
          const found = forwardAlignments({ count: slots }, { count: tabs }, lead);
          expect(found).toHaveLength(lcm(slots, tabs));
          for (const f of found) {
            const met = Array.from({ length: slots }, (_, s) => (360 * s) / slots + lead + f).some((at) => {
              const off = (((at * tabs) / 360) % 1) * (360 / tabs);
              return Math.min(off, 360 / tabs - off) < 1e-4;
            });
            expect(met).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('accept where it lands in band', () => {
    const r = lockAlignment({
      boreMm: 100,
      taper: 12,
      pitchMm: 2,
      nut: { count: 4 },
      washer: { count: 17 },
      forwardDeg: 3,
      reductionNowMm: 0.05,
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
      aimMm: 0.052,
    });
    expect(verdictOf(r.findings)).toBe('accept');
  });
});
