import fc from 'fast-check';
import { inv, type Matrix, matrix, multiply } from 'mathjs';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { below, normal, randomFrom } from '../../metrology/random.ts';
import { driveUpTrial, trialSummary } from '../../simulation/drive-up-trial.ts';
import { advise, type Belief, believe, chancesAt, foresee, RISK_TAKEN } from './drive-up-belief.ts';

const band = { reductionMinMm: 0.045, reductionMaxMm: 0.06, leastResidualMm: 0.035 };
const input = {
  benchMm: 0.1,
  benchU: 0.001,
  expectedPerDegMm: (0.77 * 2) / (12 * 360),
  bladeStepMm: 0.005,
  points: [] as Array<{ angleDeg: number; clearanceMm: number; u: number }>,
};
const point = (angleDeg: number, clearanceMm: number, u = 0.0012) => ({ angleDeg, clearanceMm, u });
const known = (more: Partial<typeof input> = {}): Belief => {
  const b = believe({ ...input, ...more });
  if (!b) throw new Error('no belief');
  return b;
};

describe('model and feelers weighed together', () => {
  it('the normal distribution is that of simple-statistics’ table to its step', () => {
    for (let z = -3; z <= 3; z += 0.25)
      expect(Math.abs(below(z) - cumulativeStdNormalProbability(z))).toBeLessThan(2e-4);
    expect(below(1.959964)).toBeCloseTo(0.975, 5);
  });

  it('its answer is the Gaussian posterior (Pᵖ + HᵀWH)⁻¹ worked by a general matrix package (npm mathjs)', () => {
    const points = [point(0, 0.1), point(90, 0.073), point(135, 0.056)];
    const s = input.expectedPerDegMm;
    const rows: Array<[number[], number, number]> = [
      [[1, 0, 0], 0.1, 0.001],
      [[0, 1, 0], 15 * s, 9 * s],
      [[0, 0, 1], 1.025 * s, 0.045 * s],
      [[1, 0, 0], 0.1, 0.00125],
      [[1, 1, -90], 0.073, 0.00125],
      [[1, 1, -135], 0.056, 0.00125],
    ];
    const h = matrix(rows.map(([a, , u]) => a.map((x) => x / u)));
    const y = matrix(rows.map(([, v, u]) => [v / u]));
    const ht = matrix(
      (h.toArray() as number[][])[0]?.map((_, j) => (h.toArray() as number[][]).map((r) => r[j] ?? 0)) ?? [],
    );
    const cov = inv(multiply(ht, h) as Matrix) as Matrix;
    const mean = multiply(cov, multiply(ht, y)) as Matrix;
    const ours = known({ points });
    (mean.toArray() as number[][]).forEach((r, i) => {
      expect(ours.mean[i]).toBeCloseTo(r[0] ?? Number.NaN, 9);
    });
    const c = cov.toArray() as number[][];
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) expect((ours.covariance[i]?.[j] ?? 0) / (c[i]?.[j] ?? 1)).toBeCloseTo(1, 5);
  });

  it('chances add up to one and equal a Monte Carlo of the same belief within its own scatter', () => {
    const b = known({ points: [point(90, 0.072)] });
    const random = randomFrom(11);
    for (const deg of [120, 140, 160, 180]) {
      const c = chancesAt(b, band, deg);
      expect(c.inBand + c.short + c.over).toBeCloseTo(1, 9);
      const f = foresee(b, deg);
      const given = f.together / f.reductionU ** 2;
      const rest = Math.sqrt(Math.max(0, f.residualU ** 2 - given * f.together));
      const n = 20_000;
      let inside = 0;
      let over = 0;
      for (let i = 0; i < n; i++) {
        const z = normal(random);
        const reduction = f.reductionMm + f.reductionU * z;
        const residual = f.residualMm + given * f.reductionU * z + rest * normal(random);
        if (reduction > band.reductionMaxMm || residual < band.leastResidualMm) over++;
        else if (reduction >= band.reductionMinMm) inside++;
      }
      expect(Math.abs(c.inBand - inside / n)).toBeLessThan(0.015);
      expect(Math.abs(c.over - over / n)).toBeLessThan(0.015);
    }
  });

  it('readings narrow it; before any it knows no more than the model', () => {
    const blind = foresee(known(), 135);
    const seen = foresee(known({ points: [point(90, 0.072), point(112.5, 0.064)] }), 135);
    expect(seen.reductionU).toBeLessThan(0.6 * blind.reductionU);
    expect(blind.reductionMm).toBeCloseTo(input.expectedPerDegMm * (1.025 * 135 - 15), 9);
  });

  it('never advises a turn with more than two chances in a hundred of over-driving (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.08, max: 0.14, noNaN: true }),
        fc.integer({ min: 0, max: 8 }),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        (benchMm, eighths, fast) => {
          const angleDeg = 45 * eighths;
          const points =
            angleDeg >= 45
              ? [point(angleDeg, benchMm - fast * input.expectedPerDegMm * (angleDeg - 12))]
              : [];
          const a = advise(known({ benchMm, points }), band, angleDeg);
          if (a.turnDeg > 0) expect(a.then.over).toBeLessThanOrEqual(RISK_TAKEN);
          expect(a.turnDeg).toBeLessThanOrEqual(90);
        },
      ),
    );
  });

  it('in the middle of the band it says stop', () => {
    const a = advise(
      known({ points: [point(90, 0.072), point(135, 0.0555), point(150, 0.0485)] }),
      band,
      150,
    );
    expect(a.turnDeg).toBe(0);
    expect(a.now.inBand).toBeGreaterThan(0.95);
  });
});

describe('simulated bearings driven up by the forecast alone, against the notebook rule', () => {
  const setup = { boreMm: 100, taper: 12, clearanceClass: 'CN', pitchMm: 2, bladeStepMm: 0.005 } as const;
  it('the same seed is the same trial', () => {
    expect(driveUpTrial(setup, 42, 'forecast')).toEqual(driveUpTrial(setup, 42, 'forecast'));
    expect(driveUpTrial(setup, 43, 'forecast')).not.toEqual(driveUpTrial(setup, 42, 'forecast'));
  });
  it('over-drives at most a tenth as often, ends in the band more often, and needs no more readings (300 seeds; 1000 in docs)', () => {
    const [forecast, notebook] = [trialSummary(setup, 300, 'forecast'), trialSummary(setup, 300, 'notebook')];
    expect(notebook.overDriven).toBeGreaterThan(0.2);
    expect(forecast.overDriven).toBeLessThanOrEqual(notebook.overDriven / 10);
    expect(forecast.inBand).toBeGreaterThan(notebook.inBand);
    expect(forecast.readings).toBeLessThanOrEqual(notebook.readings);
  }, 30_000);
  it('holds where k scatters more than the model thinks', () => {
    const rough = { ...setup, kScatter: 0.06 };
    const [forecast, notebook] = [trialSummary(rough, 200, 'forecast'), trialSummary(rough, 200, 'notebook')];
    expect(forecast.overDriven).toBeLessThanOrEqual(notebook.overDriven / 10);
  }, 30_000);
});
