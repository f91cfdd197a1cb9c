import { describe, expect, it } from 'vitest';
import {
  BOLT_SIZES,
  type BoltSize,
  boltSize,
  coreDiameterMm,
  pitchDiameterMm,
  stressAreaMm2,
} from './threads.ts';

const size = (name: string): BoltSize => {
  const b = boltSize(name);
  if (!b) throw new Error(name);
  return b;
};

describe('threads', () => {
  // Source: ISO 724 (pitch diameter d2) and DIN 13-1 (core diameter d3), coarse and fine, from memory, mm.
  it.each([
    ['M5', 4.48, 4.019],
    ['M6', 5.35, 4.773],
    ['M8', 7.188, 6.466],
    ['M10', 9.026, 8.16],
    ['M12', 10.863, 9.853],
    ['M14', 12.701, 11.546],
    ['M16', 14.701, 13.546],
    ['M18', 16.376, 14.933],
    ['M20', 18.376, 16.933],
    ['M22', 20.376, 18.933],
    ['M24', 22.051, 20.319],
    ['M27', 25.051, 23.319],
    ['M30', 27.727, 25.706],
    ['M36', 33.402, 31.093],
    ['M42', 39.077, 36.479],
    ['M48', 44.752, 41.866],
    ['M8x1', 7.35, 6.773],
    ['M10x1.25', 9.188, 8.466],
    ['M12x1.25', 11.188, 10.466],
    ['M16x1.5', 15.026, 14.16],
    ['M20x1.5', 19.026, 18.16],
    ['M24x2', 22.701, 21.546],
  ])('%s: pitch diameter %d, core %d', (name, d2, d3) => {
    expect(pitchDiameterMm(size(name))).toBeCloseTo(d2, 2);
    expect(coreDiameterMm(size(name))).toBeCloseTo(d3, 2);
  });

  it('the stress area is that of the mean of pitch and core diameter (ISO 898-1), to a thousandth', () => {
    for (const b of BOLT_SIZES.filter((s) => !s.inch)) {
      const mean = (pitchDiameterMm(b) + coreDiameterMm(b)) / 2;
      expect(stressAreaMm2(b) / ((Math.PI / 4) * mean ** 2)).toBeCloseTo(1, 3);
    }
  });

  // Source: ASME B1.1, from memory: basic pitch diameters, in.
  it.each([
    ['1/4-20', 0.2175],
    ['3/8-16', 0.3344],
    ['1/2-13', 0.45],
    ['5/8-11', 0.566],
    ['3/4-10', 0.685],
    ['1-8', 0.9188],
    ['1/2-20', 0.4675],
    ['3/4-16', 0.7094],
  ])('%s: pitch diameter %d in', (name, d2) => {
    expect(pitchDiameterMm(size(name)) / 25.4).toBeCloseTo(d2, 3);
  });

  it('every size has a name of its own, a hole it goes through, and a head that rests beside the hole', () => {
    expect(new Set(BOLT_SIZES.map((b) => b.name)).size).toBe(BOLT_SIZES.length);
    for (const b of BOLT_SIZES) {
      expect(b.holeMm, b.name).toBeGreaterThan(b.diameterMm);
      expect(b.holeMm, b.name).toBeLessThan(1.2 * b.diameterMm);
      expect(b.faceMm, b.name).toBeGreaterThan(b.holeMm);
      expect(coreDiameterMm(b), b.name).toBeGreaterThan(0.7 * b.diameterMm);
    }
    expect(boltSize('M17')).toBeUndefined();
  });

  it('a fine thread of the same size carries more', () => {
    for (const fine of BOLT_SIZES.filter((b) => b.name.includes('x')))
      expect(stressAreaMm2(fine)).toBeGreaterThan(stressAreaMm2(size(`M${fine.diameterMm}`)));
  });
});
