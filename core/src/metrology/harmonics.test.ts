import fc from 'fast-check';
import FFT from 'fft.js';
import { inv, lusolve, type Matrix, matrix, multiply, transpose } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { normal, randomFrom } from '../metrology/random.ts';
import { fitHarmonics, highestOrder, significance, wrapDeg } from './harmonics.ts';
import { leastSquares } from './least-squares.ts';

const even = (n: number) => Array.from({ length: n }, (_, i) => (360 * i) / n);
const rad = (deg: number) => (deg * Math.PI) / 180;

/** Standard deviation of 1× and 2× along their phases (degrees of the wave) and square to them, by a general package's inverse (npm mathjs). */
function doubts(
  readings: readonly { angleDeg: number }[],
  phasesDeg: readonly [number, number],
  deviation: number,
) {
  const a = matrix(
    readings.map(({ angleDeg }) => [
      1,
      ...[1, 2].flatMap((k) => [Math.cos(k * rad(angleDeg)), Math.sin(k * rad(angleDeg))]),
      ...(readings.length >= 8 ? [Math.cos(3 * rad(angleDeg)), Math.sin(3 * rad(angleDeg))] : []),
    ]),
  );
  const covariance = inv(multiply(transpose(a), a) as Matrix).toArray() as number[][];
  const of = (k: 1 | 2, phaseDeg: number) => {
    const at = (row: number, column: number) => covariance[2 * k - 1 + row]?.[2 * k - 1 + column] ?? 0;
    const towards = (u: number, v: number) =>
      deviation * Math.sqrt(u * u * at(0, 0) + v * v * at(1, 1) + 2 * u * v * at(0, 1));
    const [c, s] = [Math.cos(rad(phaseDeg)), Math.sin(rad(phaseDeg))];
    return { along: towards(c, s), square: towards(-s, c) };
  };
  return [of(1, phasesDeg[0]), of(2, phasesDeg[1])] as const;
}

describe('harmonic fit', () => {
  it('on even spacing equals a general FFT package to 1e-9 (npm fft.js)', () => {
    const value = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(8, 16, 32).chain((n) => fc.array(value, { minLength: n, maxLength: n })),
        (values) => {
          const n = values.length;
          const fit = fitHarmonics(
            even(n).map((angleDeg, i) => ({ angleDeg, valueMm: values[i] ?? 0 })),
            0.001,
          );
          const fft = new FFT(n);
          const out = fft.createComplexArray() as number[];
          fft.realTransform(out, values);
          expect(fit?.meanMm).toBeCloseTo((out[0] ?? 0) / n, 9);
          for (const h of fit?.harmonics ?? []) {
            expect(h.cosMm).toBeCloseTo((2 * (out[2 * h.order] ?? 0)) / n, 9);
            expect(h.sinMm).toBeCloseTo((-2 * (out[2 * h.order + 1] ?? 0)) / n, 9);
          }
          expect(fit?.harmonics).toHaveLength(3);
        },
      ),
    );
  });

  it('recovers planted amplitude and phase within the noise on uneven spacing', () => {
    fc.assert(
      fc.property(
        fc.record({
          a1: fc.double({ min: 0.02, max: 0.2, noNaN: true }),
          p1: fc.double({ min: 0, max: 359, noNaN: true }),
          a2: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
          p2: fc.double({ min: 0, max: 179, noNaN: true }),
          n: fc.integer({ min: 12, max: 24 }),
          seed: fc.integer({ min: 1, max: 1e6 }),
        }),
        ({ a1, p1, a2, p2, n, seed }) => {
          const random = randomFrom(seed);
          const jitter = () => 2 * random() - 1;
          const sigma = 0.001;
          const readings = even(n).map((a) => {
            const angleDeg = wrapDeg(a + jitter() * (120 / n));
            const valueMm =
              a1 * Math.cos(rad(angleDeg - p1)) + a2 * Math.cos(2 * rad(angleDeg - p2)) + sigma * jitter();
            return { angleDeg, valueMm };
          });
          const fit = fitHarmonics(readings, sigma / Math.sqrt(3));
          const [h1, h2] = fit?.harmonics ?? [];
          const near = (a: number, b: number, period: number) =>
            Math.abs(wrapDeg(a - b + period / 2, period) - period / 2);
          // Six standard deviations: beyond chance in any number of draws. A phase is in doubt by what lies square to its
          // amplitude: on uneven angles that is not the amplitude's own doubt.
          const [doubt1, doubt2] = doubts(readings, [p1, 2 * p2], sigma / Math.sqrt(3));
          expect(Math.abs((h1?.amplitudeMm ?? 0) - a1)).toBeLessThan(6 * doubt1.along);
          expect(Math.abs((h2?.amplitudeMm ?? 0) - a2)).toBeLessThan(6 * doubt2.along);
          expect(near(h1?.phaseDeg ?? 0, p1, 360)).toBeLessThan(((6 * doubt1.square) / a1) * (180 / Math.PI));
          expect(near(h2?.phaseDeg ?? 0, p2, 180)).toBeLessThan(
            ((6 * doubt2.square) / a2 / 2) * (180 / Math.PI),
          );
        },
      ),
      { numRuns: 200, examples: [[{ a1: 0.02, p1: 0, a2: 0.01, p2: 0, n: 20, seed: 973021 }]] },
    );
  });

  it('fits what the count carries: 4–5 → 1×, 6–7 → 2×, 8 and more → 3× (common practice, no source)', () => {
    expect([3, 4, 5, 6, 7, 8, 24].map(highestOrder)).toEqual([0, 1, 1, 2, 2, 3, 3]);
    const of = (n: number) =>
      fitHarmonics(
        even(n).map((angleDeg) => ({ angleDeg, valueMm: Math.cos(rad(angleDeg)) / 50 })),
        0.001,
      );
    expect(of(3)).toBeNull();
    expect(of(5)?.harmonics).toHaveLength(1);
    expect(of(7)?.harmonics).toHaveLength(2);
    expect(of(8)?.harmonics).toHaveLength(3);
    expect(of(4)?.harmonics[0]?.amplitudeMm).toBeCloseTo(0.02, 12);
  });

  it('repeats at one angle count as one angle, and angles too close together are not over-read', () => {
    const crowded = [0, 1, 2, 3, 4, 5, 6, 7].map((angleDeg) => ({ angleDeg, valueMm: 0.01 }));
    expect(fitHarmonics(crowded, 0.001)).toBeNull();
    const repeated = [0, 0, 90, 90, 180, 180, 270, 270].map((angleDeg, i) => ({
      angleDeg,
      valueMm: 0.01 * (i % 2),
    }));
    expect(fitHarmonics(repeated, 0.001)?.harmonics).toHaveLength(1);
    // Six angles over a third of a turn carry 1× at most.
    const third = [0, 20, 40, 60, 80, 100, 120].map((angleDeg) => ({
      angleDeg,
      valueMm: 0.03 * Math.cos(rad(angleDeg)),
    }));
    expect(fitHarmonics(third, 0.0001)?.harmonics.length ?? 0).toBeLessThan(2);
  });

  it('TIR of a pure once-a-turn is twice its amplitude; of an oval the diameters differ by four times it (geometry)', () => {
    const oval = fitHarmonics(
      even(16).map((a) => ({ angleDeg: a, valueMm: 0.012 * Math.cos(2 * rad(a - 33)) })),
      0.0001,
    );
    expect(oval?.tirFitMm).toBeCloseTo(0.024, 6);
    const diameter = (deg: number) => (oval?.at(deg) ?? 0) + (oval?.at(deg + 180) ?? 0);
    expect(diameter(33) - diameter(123)).toBeCloseTo(4 * (oval?.harmonics[1]?.amplitudeMm ?? 0), 9);
    expect(oval?.harmonics[1]?.phaseDeg).toBeCloseTo(33, 6);
  });

  it('its least squares equal a general solver on the normal equations (npm mathjs)', () => {
    const entry = fc.integer({ min: -300, max: 300 }).map((v) => v / 100);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(entry, entry, entry), { minLength: 6, maxLength: 12 }),
        fc.array(entry, { minLength: 12, maxLength: 12 }),
        (rows, ys) => {
          const y = ys.slice(0, rows.length);
          const ours = leastSquares(rows, y);
          fc.pre(ours !== null && ours.spread > 0.05);
          const a = matrix(rows);
          const theirs = lusolve(
            multiply(transpose(a), a) as Matrix,
            multiply(transpose(a), matrix(y)) as Matrix,
          ) as Matrix;
          theirs.toArray().forEach((row, i) => {
            expect(ours?.x[i]).toBeCloseTo((row as number[])[0] ?? Number.NaN, 7);
          });
        },
      ),
    );
  });

  it('an amplitude scatters by σ·√(2/n) on even spacing (GUM H.3 for orthogonal columns), σ from the card and what is left beside the fit', () => {
    const fit = fitHarmonics(
      even(12).map((a) => ({ angleDeg: a, valueMm: 0.05 * Math.cos(rad(a)) })),
      0.003,
      { card: { scatter: 0.003, free: 9 } },
    );
    // 12 readings leave 12 − 7 = 5 free, and no residual: (1·0.0012² + 9·0.003²)/15 of the hand, 0.003²/12 of the step.
    const sigma = Math.sqrt((0.0012 ** 2 + 9 * 0.003 ** 2) / 15 + 0.003 ** 2 / 12);
    for (const h of fit?.harmonics ?? []) expect(h.standardMm).toBeCloseTo(sigma * Math.sqrt(2 / 12), 9);
    expect(fit?.free).toBe(15);
  });

  it('a gauge that goes on over the turn is told from the waves by closing it', () => {
    const readings = even(12).map((a) => ({
      angleDeg: a,
      valueMm: 0.05 * Math.cos(rad(a)) + (0.02 * a) / 360,
    }));
    const closed = fitHarmonics(readings, 0.001, undefined, 0.05 + 0.02);
    expect(closed?.harmonics[0]?.amplitudeMm).toBeCloseTo(0.05, 9);
    expect(closed?.harmonics[1]?.amplitudeMm).toBeCloseTo(0, 9);
    // Left open it makes waves of its own.
    expect(fitHarmonics(readings, 0.001)?.harmonics[1]?.amplitudeMm).toBeGreaterThan(0.001);
  });

  it('noise alone is called a wave in three of a hundred: Rayleigh’s law, and Fisher’s where the deviation is estimated (npm simple-statistics)', () => {
    // By the law itself: three waves, P(any A > t·σ) = 1 − (1 − exp(−t²/2))³.
    const t = significance(3, Number.POSITIVE_INFINITY);
    expect(1 - (1 - Math.exp(-(t * t) / 2)) ** 3).toBeCloseTo(0.03, 9);
    const random = randomFrom(17);
    const free = 6;
    let named = 0;
    const trials = 20_000;
    for (let i = 0; i < trials; i++) {
      const s = Math.sqrt(
        Array.from({ length: free }, () => normal(random) ** 2).reduce((a, b) => a + b, 0) / free,
      );
      if (Math.hypot(normal(random), normal(random)) > significance(1, free) * s) named++;
    }
    expect(named / trials).toBeGreaterThan(0.026);
    expect(named / trials).toBeLessThan(0.034);
  });
});
