import fc from 'fast-check';
import { lusolve, type Matrix, matrix } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { quietHand } from '../../testing/test-stand.ts';
import { bearingFloat } from './float.ts';
import { type HydraulicNutInput, hydraulicNut } from './hydraulic-nut.ts';
import { type InterferenceInput, interferenceFit, STEEL } from './interference.ts';
import { type NutAngleInput, nutAngle } from './nut-angle.ts';
import { splitRaceGap } from './split-race-gap.ts';

const fit = (more: Partial<InterferenceInput>) =>
  interferenceFit({ jointMm: 100, racewayMm: 126, widthMm: 46, ...more });

/**
 * Two thick cylinders pressed together, solved from their boundary conditions alone by a general solver (npm mathjs): radial
 * displacement A·r + B/r in each, no stress inside the shaft and outside the ring, one pressure and the interference between.
 */
function byBoundary(
  d: number,
  outside: number,
  bore: number,
  delta: number,
  e1: number,
  e2: number,
  nu: number,
) {
  // Plane stress: σr = E/(1−ν²)·((1+ν)A − (1−ν)B/r²).
  const stress = (e: number, r: number): [number, number] => [e / (1 - nu), -e / (1 + nu) / (r * r)];
  const [rb, rc, ro] = [bore / 2, d / 2, outside / 2];
  const [a1, b1] = stress(e1, rb);
  const [a2, b2] = stress(e1, rc);
  const [c2, d2] = stress(e2, rc);
  const [c3, d3] = stress(e2, ro);
  const solved = lusolve(
    matrix([
      [a1, b1, 0, 0],
      [0, 0, c3, d3],
      [a2, b2, -c2, -d2],
      [-rc, -1 / rc, rc, 1 / rc],
    ]),
    matrix([0, 0, 0, delta / 2]),
  ) as Matrix;
  const [, , A = 0, B = 0] = (solved.toArray() as number[][]).map((r) => r[0] ?? 0);
  return { pressure: -(c2 * A + d2 * B), growth: 2 * (A * ro + B / ro) };
}

describe('ring on a shaft', () => {
  it('solid shaft, one steel: p = Eδ/(2d)(1 − (d/D)²), growth δ·d/D, the closed form (Lamé, any machine-design text)', () => {
    const v = fit({ interferenceMm: 0.05 }).values;
    expect(v.pressureMpa).toBeCloseTo(((206_000 * 0.05) / 200) * (1 - (100 / 126) ** 2), 9);
    expect(v.reductionMm).toBeCloseTo((0.05 * 100) / 126, 9);
    expect(v.k).toBeCloseTo(100 / 126, 9);
  });

  it('hollow shafts and unlike materials equal the boundary-value problem solved by mathjs (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.85, noNaN: true }),
        fc.double({ min: 1.15, max: 1.6, noNaN: true }),
        fc.double({ min: 0.005, max: 0.1, noNaN: true }),
        fc.double({ min: 0.4, max: 1.2, noNaN: true }),
        (hollow, ratio, delta, soft) => {
          const d = 80;
          const shaft = { youngMpa: soft * STEEL.youngMpa, poisson: 0.3 };
          const ours = fit({
            jointMm: d,
            racewayMm: d * ratio,
            shaftBoreMm: d * hollow,
            interferenceMm: delta,
            shaft,
          }).values;
          const theirs = byBoundary(d, d * ratio, d * hollow, delta, shaft.youngMpa, STEEL.youngMpa, 0.3);
          expect(ours.pressureMpa / theirs.pressure).toBeCloseTo(1, 7);
          expect(ours.reductionMm / theirs.growth).toBeCloseTo(1, 7);
        },
      ),
    );
  });

  it('interference, travel and reduction are one fit said three ways; smoothing costs travel, not reduction', () => {
    const a = fit({ taper: 12, reductionMm: 0.05 }).values;
    expect(fit({ taper: 12, interferenceMm: a.interferenceMm }).values.reductionMm).toBeCloseTo(0.05, 12);
    expect(fit({ taper: 12, travelMm: a.travelMm ?? 0 }).values.reductionMm).toBeCloseTo(0.05, 12);
    const rough = fit({ taper: 12, reductionMm: 0.05, smoothingMm: 0.003 }).values;
    expect((rough.travelMm ?? 0) - (a.travelMm ?? 0)).toBeCloseTo(12 * 0.003, 12);
    expect(() => fit({ taper: 12, travelMm: 0.5, reductionMm: 0.05 })).toThrow(/one of/);
    expect(() => fit({ travelMm: 0.5 })).toThrow(/taper only/);
    expect(() => fit({ racewayMm: 90, interferenceMm: 0.01 })).toThrow(/larger/);
  });

  it('the tabled drive-up lies where the model puts it with settling: bore 100, 0.045–0.060 mm ↔ 0.70–0.90 mm (handbook tables, from memory)', () => {
    const travel = (reductionMm: number, settlingMm: number) =>
      fit({ taper: 12, reductionMm, smoothingMm: settlingMm / 12 }).values.travelMm ?? 0;
    // Settling of 0.02 to 0.04 mm axial in all (common practice, no source).
    expect(travel(0.045, 0.02)).toBeGreaterThan(0.66);
    expect(travel(0.045, 0.04)).toBeLessThan(0.74);
    expect(travel(0.06, 0.02)).toBeGreaterThan(0.86);
    expect(travel(0.06, 0.04)).toBeLessThan(0.96);
  });

  it('clamped rollers are told; what is driven on with µ comes off with less on a taper', () => {
    const v = fit({ taper: 12, reductionMm: 0.12, benchMm: 0.1 });
    expect(v.findings.find((f) => f.code === 'interference.residual')?.verdict).toBe('reject');
    // A stress that tears steel is said, whatever clearance is left.
    const torn = fit({ taper: 12, reductionMm: 5 });
    expect(torn.findings.map((f) => [f.code, f.verdict])).toEqual([['interference.hoop', 'reject']]);
    expect(v.values.driveN).toBeGreaterThan(v.values.releaseN);
    // 12 % on top and below of µ = 0.15 at a slope of 1/24: by hand 0.15 ± 0.04167.
    expect(v.values.driveN / v.values.releaseN).toBeCloseTo((0.15 + 1 / 24) / (0.15 - 1 / 24), 9);
  });
});

describe('drive-up by nut angle', () => {
  const ask = (more: Partial<NutAngleInput> = {}) =>
    nutAngle({
      boreMm: 60,
      taper: 12,
      pitchMm: 2,
      makerMinDeg: 80,
      makerMaxDeg: 100,
      zeroProven: true,
      ...more,
    });
  const of = (r: ReturnType<typeof nutAngle>, code: string) =>
    r.findings.find((f) => f.code === code)?.verdict;
  it('travel = pitch × angle / 360: a quarter turn at 2 mm is 0.5 mm (geometry)', () => {
    expect(ask({ makerMaxDeg: 90 }).values.travelMaxMm).toBeCloseTo(0.5, 12);
    expect(ask({ makerMaxDeg: 90 }).values.reductionMaxMm).toBeCloseTo((0.77 * 0.5) / 12, 12);
  });
  it('judges by the maker’s band alone, and only from a proven zero', () => {
    expect(of(ask({ turnedDeg: 60 }), 'nut-angle.turned')).toBe('incomplete');
    expect(of(ask({ turnedDeg: 90 }), 'nut-angle.turned')).toBe('accept');
    expect(of(ask({ turnedDeg: 120 }), 'nut-angle.turned')).toBe('reject');
    expect(of(ask({ zeroProven: false }), 'nut-angle.zero')).toBe('incomplete');
  });
  it('an angle that by the sum eats the whole clearance is questioned, not refused', () => {
    expect(of(ask({ makerMinDeg: 400, makerMaxDeg: 450, benchMm: 0.07 }), 'nut-angle.eats-all')).toBe(
      'caution',
    );
    expect(of(ask({ benchMm: 0.07 }), 'nut-angle.eats-all')).toBeUndefined();
  });
});

describe('drive-up by hydraulic nut', () => {
  const ask = (more: Partial<HydraulicNutInput> = {}) =>
    hydraulicNut({
      startPressureMpa: 3.2,
      sheetAreaMm2: 12_000,
      nutAreaMm2: 10_000,
      driveUpMinMm: 0.6,
      driveUpMaxMm: 0.75,
      abortPressureMpa: 30,
      resolutionMm: 0.01,
      hand: quietHand(0.01),
      ...more,
    });
  const of = (r: ReturnType<typeof hydraulicNut>, code: string) =>
    r.findings.find((f) => f.code === code)?.verdict;
  it('start pressure goes by the piston areas: 3.2 × 12000 / 10000 = 3.84 (p₁A₁ = p₂A₂)', () => {
    expect(ask().values.startPressureMpa).toBeCloseTo(3.84, 12);
    expect(of(ask(), 'hydraulic.zero')).toBe('incomplete');
    expect(of(ask({ nutAreaMm2: 900 }), 'hydraulic.areas')).toBe('reject');
  });
  it('travel from the one zero, whichever way the indicator goes', () => {
    expect(ask({ zeroMm: 2, nowMm: 1.35, sign: -1 }).values.travelMm).toBeCloseTo(0.65, 12);
    expect(of(ask({ zeroMm: 2, nowMm: 1.35, sign: -1 }), 'hydraulic.travel')).toBe('accept');
    expect(of(ask({ zeroMm: 0, nowMm: 0.4 }), 'hydraulic.travel')).toBe('incomplete');
    expect(of(ask({ zeroMm: 0, nowMm: 0.8 }), 'hydraulic.travel')).toBe('reject');
    expect(of(ask({ zeroMm: 0, nowMm: 0.748 }), 'hydraulic.travel')).toBe('caution');
  });
  it('abort pressure before the travel is a stop; after it, none', () => {
    expect(of(ask({ zeroMm: 0, nowMm: 0.3, nowPressureMpa: 31 }), 'hydraulic.abort')).toBe('reject');
    expect(of(ask({ zeroMm: 0, nowMm: 0.65, nowPressureMpa: 31 }), 'hydraulic.abort')).toBeUndefined();
  });
});

describe('float and split race', () => {
  it('2400 mm of shaft 35 K warmer grow 0.983 mm (by hand 11.7e-6 × 2400 × 35)', () => {
    const r = bearingFloat({ spanMm: 2400, shaftOverBaseK: 35, roomMm: 10 });
    expect(r.values.growthMm).toBeCloseTo(0.9828, 6);
    expect(r.findings[0]?.verdict).toBe('accept');
    expect(r.values.setOffsetMm).toBe(0);
  });
  it('too little room on the side of growth: offset towards the fixed bearing, or another housing (property: the offset it names does)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 6000, noNaN: true }),
        fc.double({ min: -60, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (spanMm, shaftOverBaseK, roomMm) => {
          const r = bearingFloat({ spanMm, shaftOverBaseK, roomMm });
          if (r.values.neededMm > roomMm) return;
          const set = bearingFloat({ spanMm, shaftOverBaseK, roomMm, offsetMm: r.values.setOffsetMm });
          expect(set.findings[0]?.verdict).toBe('accept');
        },
      ),
    );
    // A ring cannot stand 8 off the middle of a seat that has 2 on each side.
    expect(() => bearingFloat({ spanMm: 500, shaftOverBaseK: 30, roomMm: 4, offsetMm: -8 })).toThrow(
      /cannot stand/,
    );
    expect(bearingFloat({ spanMm: 6000, shaftOverBaseK: 100, roomMm: 2 }).findings[0]?.remedy).toMatchObject({
      id: 'arithmetic.bearings.seatTooNarrowGrowthHowever',
    });
  });
  it('joint gaps equal and not zero; by the shaft π·(d − d₀)/2 each (geometry)', () => {
    const of = (gapAMm: number, gapBMm: number, more = {}) =>
      splitRaceGap({ gapAMm, gapBMm, bladeStepMm: 0.05, ...more });
    expect(of(0.3, 0.35).findings.map((f) => f.verdict)).toEqual(['accept']);
    // About equal: two blades or a fifth of the mean, to a third with a caution; more for a lead hand. Common practice.
    expect(of(0.3, 0.31, { bladeStepMm: 0.005 }).findings.map((f) => f.verdict)).toEqual(['accept']);
    expect(of(0.3, 0.39, { bladeStepMm: 0.005 }).findings.map((f) => f.verdict)).toEqual(['caution']);
    expect(of(0.3, 0.45).findings.map((f) => [f.verdict, f.acceptable])).toEqual([['reject', true]]);
    expect(of(0, 0.3).findings.map((f) => [f.code, f.acceptable])).toEqual([['split-race.closed', false]]);
    const sized = of(0.3, 0.3, { shaftMm: 100, closedBoreMm: 99.8 });
    expect(sized.values.expectedMm).toBeCloseTo(0.314159, 5);
    expect(sized.findings.at(-1)?.verdict).toBe('accept');
    expect(of(0.9, 0.9, { shaftMm: 100, closedBoreMm: 99.8 }).findings.at(-1)?.verdict).toBe('caution');
  });
});
