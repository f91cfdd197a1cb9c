import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgedTurn, tooFewFor } from './turn.ts';

const wave = (amplitude: number, phase: number) => (deg: number) =>
  amplitude * Math.cos(((deg - phase) * Math.PI) / 180);
const even = (n: number) => Array.from({ length: n }, (_, i) => (360 * i) / n);
const spread = (values: number[]) => Math.max(...values) - Math.min(...values);

describe('a turn read at some angles only', () => {
  it('a once-a-turn wave hides no more between them than is said, wherever its high spot stands (brute force)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 24 }),
        fc.double({ min: 0.005, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (n, amplitude, phase) => {
          const angles = even(n);
          const read = spread(angles.map(wave(amplitude, phase)));
          const fit = {
            tirFitMm: read,
            harmonics: [{ amplitudeMm: amplitude }] as never,
          };
          const { missedMm } = judgedTurn(read, angles, fit);
          expect(2 * amplitude - read).toBeLessThanOrEqual(missedMm + 1e-9);
        },
      ),
    );
  });

  it('and somewhere it hides all of that, where the angles are even in number', () => {
    for (const n of [4, 6, 8, 12]) {
      const amplitude = 0.1;
      const angles = even(n);
      // Half way between two angles, and so half way between the two opposite them.
      const read = spread(angles.map(wave(amplitude, 180 / n)));
      const { missedMm } = judgedTurn(read, angles, {
        tirFitMm: read,
        harmonics: [{ amplitudeMm: amplitude }] as never,
      });
      expect(2 * amplitude - read).toBeCloseTo(missedMm, 9);
    }
  });

  it('the larger of read and fitted is judged; a fit over a wide gap is not believed', () => {
    const fit = { tirFitMm: 0.09, harmonics: [{ amplitudeMm: 0.045 }] as never };
    expect(judgedTurn(0.08, even(8), fit).tirMm).toBe(0.09);
    expect(judgedTurn(0.1, even(8), fit).tirMm).toBe(0.1);
    // A quarter and a half of the turn unseen.
    expect(judgedTurn(0.08, [0, 45, 90, 135, 180, 225], fit).tirMm).toBe(0.08);
    expect(judgedTurn(0.08, [0, 180], fit).tirMm).toBe(0.08);
    expect(judgedTurn(0.08, even(8), null).tirMm).toBe(0.08);
  });

  it('fewer than six places accept nothing, however small it reads: twice a turn hides between four', () => {
    // Geometry: of an oval met at its four nodes nothing is read.
    expect(spread(even(4).map((deg) => 0.1 * Math.cos((2 * (deg - 45) * Math.PI) / 180)))).toBeCloseTo(0, 12);
    const four = judgedTurn(0.04, even(4), null);
    expect(four.few).toBe(true);
    expect(tooFewFor(four, 0.05)).toBe(true);
    expect(tooFewFor(four, 0.6)).toBe(true);
    // Over the limit they do reject.
    expect(tooFewFor(four, 0.03)).toBe(false);
    expect(tooFewFor(judgedTurn(0.04, even(5), null), 0.05)).toBe(true);
    expect(tooFewFor(judgedTurn(0.04, even(6), null), 0.05)).toBe(false);
  });
});
