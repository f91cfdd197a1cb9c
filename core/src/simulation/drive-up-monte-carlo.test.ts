import { quantile } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { believe, chancesAt, foresee } from '../arithmetic/bearings/drive-up-belief.ts';
import { normal, randomFrom } from '../metrology/random.ts';
import { DriveUpMonteCarlo, driveUpMonteCarlo, type MonteCarloInput } from './drive-up-monte-carlo.ts';

const input: MonteCarloInput = {
  seed: 7,
  samples: 40_000,
  benchMm: 0.1,
  benchU: 0.0015,
  expectedPerDegMm: 0.000_3565,
  bladeStepMm: 0.005,
  points: [
    { angleDeg: 0, clearanceMm: 0.1, u: 0.0015 },
    { angleDeg: 90, clearanceMm: 0.0725, u: 0.001 },
    { angleDeg: 135, clearanceMm: 0.055, u: 0.001 },
  ],
  band: { reductionMinMm: 0.045, reductionMaxMm: 0.06, leastResidualMm: 0.035 },
  aimMm: 0.0525,
  nowDeg: 135,
  stopsDeg: [135, 143, 152, 160, 175],
};

describe('a drive-up drawn many times', () => {
  it('the same seed gives the same answer, however it is portioned; another seed nearly the same', () => {
    const whole = driveUpMonteCarlo(input);
    const parts = new DriveUpMonteCarlo(input);
    let n = 0;
    while (!parts.step(777)) n++;
    expect(n).toBeGreaterThan(40);
    expect(parts.progress).toBe(1);
    expect(parts.result()).toEqual(whole);
    const other = driveUpMonteCarlo({ ...input, seed: 8 });
    expect(other).not.toEqual(whole);
    expect(other.best?.inBand).toBeCloseTo(whole.best?.inBand ?? 0, 2);
  });

  it('chances add up to one, rise to a best stop and fall again as it is over-driven', () => {
    const { stops, best, effective } = driveUpMonteCarlo({
      ...input,
      stopsDeg: [135, 143, 152, 160, 175, 200, 230],
    });
    for (const s of stops) expect(s.inBand + s.short + s.over).toBeCloseTo(1, 9);
    for (let i = 1; i < stops.length; i++)
      expect(stops[i]?.over ?? 0).toBeGreaterThanOrEqual((stops[i - 1]?.over ?? 0) - 1e-12);
    // The best is the first that no other beats by more than a thousandth.
    expect(best?.inBand).toBeGreaterThan(Math.max(...stops.map((s) => s.inBand)) - 1e-3);
    expect(stops.at(-1)?.over).toBeGreaterThan(0.9);
    expect(effective).toBeGreaterThan(2000);
  });

  it('agrees with the closed form of the bell-shaped belief where blades are fine and the bite is far behind', () => {
    const fine: MonteCarloInput = {
      ...input,
      bladeStepMm: 0.0002,
      points: input.points.map((p) => ({ ...p, u: 0.0006 })),
    };
    const belief = believe(fine);
    if (!belief) throw new Error('no belief');
    for (const s of driveUpMonteCarlo(fine).stops) {
      const f = foresee(belief, s.angleDeg);
      expect(s.residualMm.middle).toBeCloseTo(f.residualMm, 3);
      expect(Math.abs(s.inBand - chancesAt(belief, fine.band, s.angleDeg).inBand)).toBeLessThan(0.12);
    }
  });

  it('before anything is felt its spread is the prior’s, as drawn plainly (npm simple-statistics quantiles)', () => {
    const blind = driveUpMonteCarlo({ ...input, points: [], stopsDeg: [150], nowDeg: 0 });
    const random = randomFrom(99);
    const s = input.expectedPerDegMm;
    const residual: number[] = [];
    while (residual.length < 40_000) {
      const bench = input.benchMm + input.benchU * normal(random);
      const slack = 15 + 9 * normal(random);
      const perDeg = s * (1.025 + 0.045 * normal(random));
      if (slack >= 0) residual.push(bench - Math.max(0, perDeg * 150 - s * slack));
    }
    const spread = blind.stops[0]?.residualMm;
    expect(spread?.low).toBeCloseTo(quantile(residual, 0.05), 3);
    expect(spread?.middle).toBeCloseTo(quantile(residual, 0.5), 3);
    expect(spread?.high).toBeCloseTo(quantile(residual, 0.95), 3);
  });

  it('refuses to draw from nothing', () => {
    expect(() => new DriveUpMonteCarlo({ ...input, samples: 0 })).toThrow(RangeError);
  });
});
