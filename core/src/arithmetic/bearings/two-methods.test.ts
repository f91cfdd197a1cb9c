import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parsePressure } from '../../quantities/pressure.ts';
import { formatTemperature, parseTemperature } from '../../quantities/temperature.ts';
import { alternateHalves, boltPattern, seatingPasses } from '../bolting/pattern.ts';
import { setScrewPasses } from '../bolting/set-screws.ts';
import { greaseCompatibility, THICKENERS } from '../lubrication/compatibility.ts';
import { regreasingWatch } from '../lubrication/watch.ts';
import { clearanceReduction } from './clearance-reduction.ts';
import { crossCheck } from './cross-check.ts';
import { forwardAlignments } from './lock-alignment.ts';
import { lockMeasureNow, lockSpacing, lockStops } from './lock-stops.ts';
import { thermalShift } from './thermal.ts';

describe('feelers beside another method', () => {
  const check = (reductionMm: number, school: 'nut-angle' | 'hydraulic' = 'nut-angle', more = {}) =>
    crossCheck({
      school,
      boreMm: 100,
      taper: 12,
      travelMm: 0.8,
      reductionMm,
      uncertaintyMm: 0.0015,
      ...more,
    });
  it('0.77 × 0.8 ÷ 12 = 0.0513 is what the travel makes (geometry)', () => {
    expect(check(0.05).values.convertedMm).toBeCloseTo(0.05133, 5);
    expect(check(0.05).values.cause).toBe('agree');
  });
  it('less: settling first, then a zero too early; more: the taper, then a zero too late', () => {
    expect(check(0.0415).values.cause).toBe('settling');
    expect(check(0.03).values.cause).toBe('zero-early');
    expect(check(0.065).values.cause).toBe('taper');
    expect(check(0.09).values.cause).toBe('zero-late');
  });
  it('travel from a start pressure is shorter than from first contact: more felt than it makes is usual', () => {
    expect(check(0.065, 'hydraulic').values.cause).toBe('agree');
    expect(check(0.065, 'hydraulic').findings[0]?.verdict).toBe('accept');
    expect(check(0.12, 'hydraulic').values.cause).toBe('zero-late');
  });
  it('a residual under the feelers’ table is said, but does not judge another school', () => {
    const codes = check(0.05, 'nut-angle', { residualMm: 0.02, leastResidualMm: 0.035 }).findings;
    expect(codes.find((f) => f.code === 'cross-check.residual')?.verdict).toBe('caution');
  });
});

describe('the table by bore', () => {
  it('over 80 to 100: normal 80–110, reduction 45–60, least residual 35 (from memory); the maker outranks it', () => {
    expect(clearanceReduction({ boreMm: 100, taper: 12, clearanceClass: 'CN' }).values).toEqual({
      benchLowerMm: 0.08,
      benchUpperMm: 0.11,
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
      leastResidualMm: 0.035,
      travelMm: [0.7, 0.9],
    });
    const maker = clearanceReduction({
      boreMm: 100,
      taper: 30,
      clearanceClass: 'C5',
      makerLeastResidualMm: 0.12,
    });
    expect(maker.values).toMatchObject({ leastResidualMm: 0.12, travelMm: [1.7, 2.2] });
    expect(maker.findings[0]?.source).toBe('maker');
    expect(clearanceReduction({ boreMm: 20, taper: 12, clearanceClass: 'CN' }).findings[0]?.verdict).toBe(
      'incomplete',
    );
  });
});

describe('heat', () => {
  it('is α·ΔT·(d + 3D)/4 (bearing handbooks, from memory; α from Machinery’s Handbook), and nothing at one temperature', () => {
    // Bore 100, outside 180, 20 K: 11.7e-6 × 160 × 20 = 0.03744.
    expect(thermalShift({ boreMm: 100, outsideMm: 180, shaftOverRingK: 20 }).values.lostMm).toBeCloseTo(
      0.03744,
      6,
    );
    // Where the outside is not known: 1.6 × bore, and said to be an estimate.
    const guess = thermalShift({ boreMm: 100, shaftOverRingK: 20 });
    expect(guess.values.lostMm).toBeCloseTo(0.03744, 6);
    expect(guess.findings[0]?.reason).toMatchObject({ id: 'arithmetic.bearings.shaftKThanRingClearance' });
    expect(thermalShift({ boreMm: 100, shaftOverRingK: 0 }).values.lostMm).toBe(0);
    expect(thermalShift({ boreMm: 100, shaftOverRingK: -20 }).values.lostMm).toBeLessThan(0);
  });
});

describe('lock positions', () => {
  const even = { nutSlots: 4, washerTabs: 17 };
  it('equal patterns: every gap ahead is the measured one and whole spacings more (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5.2, noNaN: true }),
        fc.integer({ min: 0, max: 300 }),
        (gap, turned) => {
          const now = lockMeasureNow(even, gap, turned);
          const spacing = lockSpacing(even);
          expect(now).toBeGreaterThanOrEqual(0);
          expect(now).toBeLessThan(spacing + 1e-9);
          const off = (((turned + now - gap) % spacing) + spacing) % spacing;
          expect(Math.min(off, spacing - off)).toBeLessThan(1e-6);
        },
      ),
    );
  });
  it('unequal patterns: turning on by any stop brings a slot to a tab (property)', () => {
    const uneven = {
      ...even,
      lock: { by: 'plate' as const, nutDeg: [0, 100, 220], washerDeg: [0, 45, 160] },
    };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (lead) => {
        const stops = lockStops(uneven, { measureNowDeg: lead, nowDeg: 0, minDeg: 0, maxDeg: 359 });
        for (const s of stops) {
          const met = forwardAlignments(
            { anglesDeg: uneven.lock.nutDeg },
            { anglesDeg: uneven.lock.washerDeg },
            (lead + s.forwardDeg) % 360,
          );
          expect(Math.min(...met.map((d) => Math.min(d, 360 - d)))).toBeLessThan(1e-4);
        }
      }),
    );
  });
});

describe('bolts of a split part and set screws', () => {
  it('side about, every screw once, opposite ones in a row (common practice, no source)', () => {
    expect(alternateHalves(8)).toEqual([1, 5, 2, 6, 3, 7, 4, 8]);
    expect(boltPattern({ count: 6, layout: 'halves', torqueNm: 40 }).values.crosswise).toEqual([
      1, 4, 2, 5, 3, 6,
    ]);
    expect(() => boltPattern({ count: 5, layout: 'halves', torqueNm: 40 })).toThrow(/even number/);
    expect(() => seatingPasses(3, 40)).toThrow(/even number/);
  });
  it('patterns of 2 to 32 on a circle meet every bolt once and begin with two opposite (property)', () => {
    for (let n = 2; n <= 32; n++) {
      const order = boltPattern({ count: n, layout: 'circle', torqueNm: 40 }).values.crosswise;
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
      const apart = Math.abs((order[1] ?? 0) - (order[0] ?? 0));
      expect(Math.min(apart, n - apart)).toBe(Math.floor(n / 2));
    }
  });
  it('dog points before cup points, then all once round (common practice, no source)', () => {
    const passes = setScrewPasses(2, 2, 12);
    expect(passes.map((p) => p.order)).toEqual([
      [1, 2],
      [1, 2],
      [3, 4],
      [3, 4],
      [1, 2, 3, 4],
    ]);
    expect(setScrewPasses(0, 3, 12).map((p) => p.name)).toEqual([
      { id: 'arithmetic.bolting.snug', params: { name: { id: 'common.cupPoints', params: {} } } },
      {
        id: 'arithmetic.bolting.torque',
        params: { name: { id: 'common.cupPoints', params: {} } },
      },
      { id: 'arithmetic.bolting.allOnceRound', params: {} },
    ]);
    expect(() => setScrewPasses(0, 0, 12)).toThrow(RangeError);
  });
});

describe('greases', () => {
  it('are compatible both ways or neither, and each with itself (from memory)', () => {
    for (const a of THICKENERS) {
      expect(greaseCompatibility({ inside: a, fresh: a }).values.goes).toBe('yes');
      for (const b of THICKENERS)
        expect(greaseCompatibility({ inside: a, fresh: b }).values.goes).toBe(
          greaseCompatibility({ inside: b, fresh: a }).values.goes,
        );
    }
    expect(greaseCompatibility({ inside: 'clay', fresh: 'lithium' }).findings[0]?.verdict).toBe('reject');
  });
  const watch = (...t: number[]) =>
    regreasingWatch({ startC: 48, readings: t.map((temperatureC, i) => ({ minutes: 15 * i, temperatureC })) })
      .values.state;
  it('a rise that falls back is usual, one that climbs after two hours is not (common practice, no source)', () => {
    expect(watch()).toBe('waiting');
    expect(watch(50, 58, 66)).toBe('rising');
    expect(watch(50, 66, 70, 64, 60)).toBe('falling-back');
    expect(watch(50, 60, 55, 50, 49)).toBe('back');
    expect(watch(50, 54, 58, 62, 66, 70, 74, 78, 82, 86)).toBe('climbing');
    expect(watch(50, 101)).toBe('hot');
  });
});

describe('pressures and temperatures as people say them', () => {
  it('250 bar = 25 MPa; 1000 psi = 6.8948 MPa (Debian units: `units "1000 psi" MPa` → 6.8947573)', () => {
    expect(parsePressure('250 bar', 'mm')).toEqual({ ok: true, mpa: 25 });
    const psi = parsePressure('1000', 'in');
    expect(psi.ok && psi.mpa).toBeCloseTo(6.8947573, 6);
    expect(parsePressure('25', 'mm')).toEqual({ ok: true, mpa: 25 });
    // A process may stand under the air's pressure; where it may not, the place says so.
    expect(parsePressure('-0.5 bar', 'mm')).toEqual({ ok: true, mpa: -0.05 });
    for (const bad of ['', 'much', '3 furlongs']) expect(parsePressure(bad, 'mm').ok).toBe(false);
  });
  it('212 °F is 100 °C (Debian units: `units "tempF(212)" tempC` → 100)', () => {
    expect(parseTemperature('212 F', 'mm')).toEqual({ ok: true, c: 100 });
    expect(parseTemperature('72', 'mm')).toEqual({ ok: true, c: 72 });
    expect(parseTemperature('-5 °C', 'in')).toEqual({ ok: true, c: -5 });
    expect(formatTemperature(100, 'in')).toBe('212 °F');
    for (const bad of ['', 'hot', '3 K']) expect(parseTemperature(bad, 'mm').ok).toBe(false);
  });
});
