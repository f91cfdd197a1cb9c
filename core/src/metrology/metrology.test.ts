import fc from 'fast-check';
import { linearRegression, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { decide, gravest } from './decision.ts';
import { fitLine } from './line.ts';
import { inQuadrature, resolutionUncertainty, sampleDeviation } from './uncertainty.ts';

describe('uncertainty', () => {
  it('a step of 0.01 is u = 0.0029 (GUM 4.3.7: a/√3, a half the step)', () => {
    expect(resolutionUncertainty(0.01)).toBeCloseTo(0.005 / Math.sqrt(3), 12);
    expect(inQuadrature(3, 4)).toBe(5);
  });
  it('the sample deviation is that of a general statistics library', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -10, max: 10, noNaN: true }), { minLength: 2, maxLength: 30 }),
        (v) => {
          expect(sampleDeviation(v)).toBeCloseTo(sampleStandardDeviation(v), 9);
        },
      ),
    );
  });
});

describe('decision by ISO 14253-1', () => {
  it('accepts inside by more than U, rejects outside by more than U, else it is too close', () => {
    const band = { lower: 0.045, upper: 0.06 };
    expect(decide(0.052, 0.002, band).verdict).toBe('accept');
    expect(decide(0.058, 0.002, band).verdict).toBe('too-close');
    expect(decide(0.062, 0.002, band).verdict).toBe('too-close');
    expect(decide(0.065, 0.002, band).verdict).toBe('reject');
    expect(decide(0.04, 0.002, band).verdict).toBe('reject');
  });
  it('the guard band ends at U to the nanometre, on both sides', () => {
    expect(decide(0.056, 0.002, { upper: 0.06 }).verdict).toBe('accept');
    expect(decide(0.05601, 0.002, { upper: 0.06 }).verdict).toBe('too-close');
    expect(decide(0.064, 0.002, { upper: 0.06 }).verdict).toBe('too-close');
    expect(decide(0.06401, 0.002, { upper: 0.06 }).verdict).toBe('reject');
  });
  it('the one-sided house rule guards with 1.65 u', () => {
    expect(decide(0.0566, 0.002, { upper: 0.06 }, 'one-sided').verdict).toBe('accept');
    expect(decide(0.0566, 0.002, { upper: 0.06 }).verdict).toBe('too-close');
  });
  it('is never accept and reject by turns as the value grows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.01, noNaN: true }), (u) => {
        const order = ['accept', 'too-close', 'reject'];
        const seen = Array.from({ length: 60 }, (_, i) =>
          order.indexOf(decide(0.04 + i * 0.001, u, { upper: 0.06 }).verdict),
        );
        expect(seen).toEqual([...seen].sort((a, b) => a - b));
      }),
    );
  });
  it('the gravest verdict wins', () => {
    expect(gravest([])).toBe('accept');
    expect(gravest(['accept', 'caution', 'too-close'])).toBe('too-close');
    expect(gravest(['reject', 'incomplete'])).toBe('reject');
  });
});

describe('fitted line', () => {
  it('slope and intercept equal simple-statistics to 1e-9', () => {
    const point = fc.record({
      x: fc.double({ min: 0, max: 720, noNaN: true }),
      y: fc.double({ min: 0, max: 0.5, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 20 }), (points) => {
        const spread = Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x));
        fc.pre(spread > 1);
        const ours = fitLine(points, 0.001);
        const theirs = linearRegression(points.map((p) => [p.x, p.y]));
        expect(ours?.slope).toBeCloseTo(theirs.m, 9);
        expect(ours?.intercept).toBeCloseTo(theirs.b, 9);
      }),
    );
  });
  it('the uncertainty of its slope is that of R', () => {
    // Rscript -e 'x<-c(0,45,90,135,180);y<-c(.100,.086,.069,.055,.037);s<-summary(lm(y~x));print(s$coefficients,digits=10);print(s$sigma,digits=10)'
    //   x -0.0003488888889, Std. Error 8.413197549e-06; sigma 0.001197219
    const line = fitLine(
      [0, 45, 90, 135, 180].map((x, i) => ({ x, y: [0.1, 0.086, 0.069, 0.055, 0.037][i] ?? 0 })),
      0,
    );
    expect(line?.slope).toBeCloseTo(-3.488888889e-4, 12);
    expect(line?.slopeUncertainty).toBeCloseTo(8.413197549e-6, 12);
    expect(line?.deviation).toBeCloseTo(0.001197219, 9);
  });
  it('is that of the Norris set of NIST (StRD, linear, lower difficulty), to nine digits', () => {
    // Source: NIST Statistical Reference Datasets, Norris, from memory: B0 -0.262323073774029 (sd 0.232818234301152),
    // B1 1.00211681802045 (sd 0.429796848199937E-03), residual deviation 0.884796396144373.
    const norris: Array<[y: number, x: number]> = [
      [0.1, 0.2],
      [338.8, 337.4],
      [118.1, 118.2],
      [888.0, 884.6],
      [9.2, 10.1],
      [228.1, 226.5],
      [668.5, 666.3],
      [998.5, 996.3],
      [449.1, 448.6],
      [778.9, 777.0],
      [559.2, 558.2],
      [0.3, 0.4],
      [0.1, 0.6],
      [778.1, 775.5],
      [668.8, 666.9],
      [339.3, 338.0],
      [448.9, 447.5],
      [10.8, 11.6],
      [557.7, 556.0],
      [228.3, 228.1],
      [998.0, 995.8],
      [888.8, 887.6],
      [119.6, 120.2],
      [0.3, 0.3],
      [0.6, 0.3],
      [557.6, 556.8],
      [339.3, 339.1],
      [888.0, 887.2],
      [998.5, 999.0],
      [778.9, 779.0],
      [10.2, 11.1],
      [117.6, 118.3],
      [228.9, 229.2],
      [668.4, 669.1],
      [449.2, 448.9],
      [0.2, 0.5],
    ];
    const line = fitLine(
      norris.map(([y, x]) => ({ x, y })),
      0,
    );
    expect(line?.slope).toBeCloseTo(1.00211681802045, 9);
    expect(line?.intercept).toBeCloseTo(-0.262323073774029, 7);
    expect(line?.slopeUncertainty).toBeCloseTo(0.429796848199937e-3, 9);
    expect(line?.deviation).toBeCloseTo(0.884796396144373, 9);
  });
  it('is none under two different x', () => {
    expect(fitLine([{ x: 1, y: 2 }], 0.1)).toBeNull();
    expect(
      fitLine(
        [
          { x: 1, y: 2 },
          { x: 1, y: 3 },
        ],
        0.1,
      ),
    ).toBeNull();
  });
});
