import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearingSection, GAP_SCALE, type Vec } from './section.ts';

const top = (points: Vec[]) => Math.max(...points.map((p) => p.y));
const low = (points: Vec[]) => Math.min(...points.map((p) => p.y));
const draw = (more: Partial<Parameters<typeof bearingSection>[0]> = {}) =>
  bearingSection({ shaftMm: 90, boreMm: 100, taper: 12, travelMm: 0, clearanceMm: 0.1, ...more });

describe('the drawn section', () => {
  it('is to scale: shaft and bore where they belong, width and outside in the proportions of the kind', () => {
    const s = draw();
    expect(top(s.shaft)).toBe(45);
    expect(low(s.sleeve)).toBe(45);
    const widths = s.outerRing.map((p) => p.x);
    expect(Math.max(...widths) - Math.min(...widths)).toBeCloseTo(56, 6);
    expect(top(s.outerRing)).toBeGreaterThanOrEqual(90);
  });

  it('opens the feeler gap fifty times its size, over both rows alike', () => {
    for (const clearanceMm of [0.02, 0.05, 0.1, 0.2]) {
      for (const g of draw({ clearanceMm }).gaps)
        expect(g.to.y - g.from.y).toBeCloseTo(GAP_SCALE * clearanceMm, 9);
    }
    expect(draw().gaps.map((g) => g.row)).toEqual(['A', 'B']);
  });

  it('moves the ring up its taper by the travel and leaves shaft, sleeve and nut where they are', () => {
    const before = draw();
    const after = draw({ travelMm: 0.8 });
    expect(after.shaft).toEqual(before.shaft);
    expect(after.sleeve).toEqual(before.sleeve);
    expect(after.nut).toEqual(before.nut);
    expect((after.innerRing[0]?.x ?? 0) - (before.innerRing[0]?.x ?? 0)).toBeCloseTo(-0.8, 9);
    // Up the taper the sleeve is thicker: the ring's bore opens by travel / (2 × 12) on radius.
    expect((after.innerRing[0]?.y ?? 0) - (before.innerRing[0]?.y ?? 0)).toBeCloseTo(0.8 / 24, 9);
  });

  it('has nothing inside out for any bearing it may be asked to draw', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 25, max: 500, noNaN: true }),
        fc.double({ min: 0.8, max: 0.95, noNaN: true }),
        fc.constantFrom(12 as const, 30 as const),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (boreMm, share, taper, clearanceMm) => {
          const s = draw({ boreMm, shaftMm: boreMm * share, taper, clearanceMm });
          const all = [s.shaft, s.sleeve, s.innerRing, s.outerRing, ...s.rollers, s.nut, s.washer].flat();
          for (const p of all) expect(Number.isFinite(p.x) && Number.isFinite(p.y)).toBe(true);
          expect(top(s.sleeve)).toBeLessThan(top(s.innerRing));
          for (const r of s.rollers) {
            expect(top(r)).toBeLessThan(top(s.outerRing));
            expect(top(r)).toBeGreaterThan(top(s.innerRing));
          }
          expect(s.left).toBeLessThan(s.right);
        },
      ),
    );
  });
});
