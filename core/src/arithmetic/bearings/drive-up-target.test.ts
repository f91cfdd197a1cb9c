import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DriveUpTargetInput, driveUpTarget } from './drive-up-target.ts';

const target = (more: Partial<DriveUpTargetInput> = {}) =>
  driveUpTarget({ boreMm: 100, taper: 12, clearanceClass: 'CN', benchMm: 0.1, pitchMm: 2, ...more });

describe('target of a drive-up', () => {
  it('reduction, residual, travel and nut turns for a 100 bore', () => {
    const v = target().values;
    expect(v).toMatchObject({
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
      leastResidualMm: 0.035,
      residualMinMm: 0.04,
      residualMaxMm: 0.055,
    });
    expect(v.aimMm).toBeCloseTo(0.045 + (0.25 + 0.5 * (0.02 / 0.03)) * 0.015, 6);
    expect(v.travelAimMm).toBeCloseTo((12 * (v.aimMm ?? 0)) / 0.77, 5);
    expect(v.nutEighthsAim).toBeCloseTo((8 * (v.travelAimMm ?? 0)) / 2, 5);
    // travel = 12·reduction/k: 0.70 mm at 0.045, as tabled (bearing handbooks, from memory)
    expect(v.travelMinMm).toBeCloseTo(0.7013, 3);
  });

  it('at the bottom of its class the band shrinks to a point: bench 0.080 takes 0.045 and nothing more', () => {
    const v = target({ benchMm: 0.08 }).values;
    expect([v.reductionMinMm, v.reductionMaxMm, v.aimMm]).toEqual([0.045, 0.045, 0.045]);
    expect(target({ benchMm: 0.08 }).findings[0]?.verdict).toBe('caution');
  });

  it('high in its class takes the larger reduction, low the smaller', () => {
    expect(target({ benchMm: 0.11 }).values.aimMm).toBeGreaterThan(
      target({ benchMm: 0.1 }).values.aimMm ?? 1,
    );
  });

  it('cannot be met with too little clearance; C2 asks for the maker’s sheet; the maker outranks', () => {
    expect(target({ benchMm: 0.07 }).findings[0]).toMatchObject({
      code: 'target.impossible',
      verdict: 'reject',
      acceptable: false,
    });
    expect(target({ clearanceClass: 'C2', benchMm: 0.07 }).findings[0]).toMatchObject({
      code: 'target.no-table',
      verdict: 'incomplete',
    });
    const maker = target({
      makerReductionMinMm: 0.05,
      makerReductionMaxMm: 0.055,
      makerLeastResidualMm: 0.03,
    });
    expect(maker.values).toMatchObject({
      reductionMinMm: 0.05,
      reductionMaxMm: 0.055,
      leastResidualMm: 0.03,
      limitSource: 'maker',
    });
  });

  it('never aims outside its band nor leaves less than the least residual', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.08, max: 0.18, noNaN: true }),
        fc.constantFrom('CN' as const, 'C3' as const, 'C4' as const),
        (benchMm, clearanceClass) => {
          const v = target({ benchMm, clearanceClass }).values;
          if (!v.possible) return;
          expect(v.aimMm).toBeGreaterThanOrEqual((v.reductionMinMm ?? 0) - 1e-6);
          expect(v.aimMm).toBeLessThanOrEqual((v.reductionMaxMm ?? 0) + 1e-6);
          expect(v.residualMinMm).toBeGreaterThanOrEqual((v.leastResidualMm ?? 0) - 2e-6);
        },
      ),
    );
  });
});
