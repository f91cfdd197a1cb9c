import fc from 'fast-check';
import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { quietHand } from '../../testing/test-stand.ts';
import { type DriveUpForecastInput, driveUpForecast } from './drive-up-forecast.ts';

const forecast = (readings: Array<[number, number, number?]>, more: Partial<DriveUpForecastInput> = {}) =>
  driveUpForecast({
    boreMm: 100,
    taper: 12,
    clearanceClass: 'CN',
    benchMm: 0.1,
    benchUncertaintyMm: 0.0008,
    pitchMm: 2,
    bladeStepMm: 0.005,
    hand: quietHand(0.005),
    readings: readings.map(([angleDeg, a, b]) => ({ angleDeg, rowAMm: a, rowBMm: b ?? a })),
    ...more,
  });
const warned = (r: ReturnType<typeof forecast>) => r.findings.map((f) => f.code);

describe('drive-up forecast', () => {
  it('before a reading it asks for the zero', () => {
    expect(forecast([]).values.place).toBe('not-begun');
    expect(forecast([]).findings[0]?.verdict).toBe('incomplete');
  });

  it('with one reading it leans on taper and pitch, and says how far it may be off', () => {
    const v = forecast([[0, 0.1]]).values;
    // The 15° a nut usually turns before the sleeve bites come on top of what taper and pitch ask for.
    expect(v.eighthsToAim).toBeCloseTo((v.target.nutEighthsAim ?? 0) / 1.025 + 15 / 45 / 1.025, 2);
    expect(v.eighthsToAimExpanded).toBeGreaterThan(0.4);
    expect(v.slopeMmPerDeg).toBeNull();
  });

  it('its line is the least-squares line of a general statistics library', () => {
    const readings: Array<[number, number]> = [
      [0, 0.1],
      [45, 0.085],
      [90, 0.07],
      [112.5, 0.06],
      [135, 0.055],
    ];
    const v = forecast(readings).values;
    const theirs = linearRegression(readings);
    expect(v.slopeMmPerDeg).toBeCloseTo(theirs.m, 9);
    expect(v.interceptMm).toBeCloseTo(theirs.b, 9);
    expect(v.reductionMm).toBeCloseTo(0.045, 9);
    expect(v.measuredK).toBeCloseTo((-theirs.m * 360 * 12) / 2, 5);
  });

  it('more readings narrow the eighths left', () => {
    const two =
      forecast([
        [0, 0.1],
        [45, 0.085],
      ]).values.eighthsToAimExpanded ?? 0;
    const four =
      forecast([
        [0, 0.1],
        [22.5, 0.0925],
        [45, 0.085],
        [67.5, 0.0775],
      ]).values.eighthsToAimExpanded ?? 9;
    expect(four).toBeLessThan(two);
  });

  it('leaves the flat beginning out of the line', () => {
    const v = forecast([
      [0, 0.1],
      [45, 0.1],
      [90, 0.1],
      [135, 0.085],
      [180, 0.07],
      [225, 0.055],
    ]).values;
    expect(v.points.map((p) => p.inFit)).toEqual([false, false, false, true, true, true]);
    expect((v.slopeMmPerDeg ?? 0) * 45).toBeCloseTo(-0.015, 6);
  });

  it('short, in band, too close, over-driven', () => {
    expect(
      forecast([
        [0, 0.1],
        [90, 0.07],
      ]).values.place,
    ).toBe('short');
    const inBand = forecast([
      [0, 0.1],
      [90, 0.07],
      [150, 0.0475],
    ]);
    expect(inBand.values.place).toBe('in-band');
    expect(inBand.findings[0]?.verdict).toBe('accept');
    expect(
      forecast([
        [0, 0.1],
        [165, 0.0545],
      ]).findings[0],
      // At the low end the reading decides: locking only adds to it.
    ).toMatchObject({ verdict: 'caution' });
    expect(
      forecast([
        [0, 0.1],
        [90, 0.0645],
        [150, 0.0405],
      ]).findings[0],
    ).toMatchObject({ verdict: 'too-close' });
    const over = forecast([
      [0, 0.1],
      [90, 0.07],
      [225, 0.025],
    ]);
    expect(over.values.place).toBe('over-driven');
    expect(over.findings[0]).toMatchObject({
      code: 'driveup.over-driven',
      verdict: 'reject',
      acceptable: false,
    });
    expect(over.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.bearings.backingNutOffGivesNothing' });
  });

  it('over-driven by the least residual even where the reduction is allowed', () => {
    const over = forecast(
      [
        [0, 0.082],
        [150, 0.03],
      ],
      { benchMm: 0.082 },
    );
    expect(over.findings[0]).toMatchObject({ code: 'driveup.over-driven' });
    expect(over.findings[0]?.reason).toMatchObject({ id: 'arithmetic.bearings.overDrivenLeftUnderLeast' });
  });

  it('warns: about to pass, rows apart, not falling, too fast', () => {
    expect(
      warned(
        forecast([
          [0, 0.1],
          [45, 0.085],
          [90, 0.07],
          [135, 0.054],
        ]),
      ),
    ).toContain('driveup.about-to-pass');
    expect(
      forecast([
        [0, 0.1],
        [45, 0.085],
        [90, 0.07],
        [135, 0.055],
      ]).values.suggestedStepDeg,
    ).toBe(22.5);
    expect(
      warned(
        forecast([
          [0, 0.1],
          [45, 0.09, 0.08],
        ]),
      ),
    ).toContain('driveup.rows');
    expect(
      warned(
        forecast([
          [0, 0.1],
          [45, 0.1],
          [90, 0.1],
          [135, 0.1],
        ]),
      ),
    ).toContain('driveup.not-falling');
    expect(
      warned(
        forecast([
          [0, 0.1],
          [45, 0.06],
        ]),
      ),
    ).toContain('driveup.too-fast');
    expect(
      warned(
        forecast([
          [0, 0.1],
          [45, 0.085],
          [90, 0.07],
        ]),
      ),
    ).toEqual(['driveup.place']);
  });

  it('queries a k that taper and pitch do not explain', () => {
    const slow = forecast([0, 45, 90, 135, 180, 225].map((d) => [d, 0.1 - (0.0075 * d) / 45]));
    expect(warned(slow)).toContain('driveup.k');
    expect(slow.values.measuredK).toBeCloseTo(0.36, 2);
  });

  it('following it to where it says, in sixteenths, never over-drives an honest bearing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.092, max: 0.108, noNaN: true }),
        fc.double({ min: 0.7, max: 0.85, noNaN: true }),
        (bench, k) => {
          const readings: Array<[number, number]> = [];
          let deg = 0;
          for (let i = 0; i < 30; i++) {
            readings.push([deg, Math.round((bench - (k * 2 * deg) / (360 * 12)) / 0.005) * 0.005]);
            const v = forecast(readings, { benchMm: Math.round(bench / 0.0025) * 0.0025 }).values;
            expect(v.place).not.toBe('over-driven');
            if (v.place === 'in-band' || v.suggestedStepDeg === 0) return;
            deg += v.suggestedStepDeg;
          }
          throw new Error('never arrived');
        },
      ),
      { numRuns: 200 },
    );
  });

  it('every answer is a number or null, whatever the readings', () => {
    const reading = fc.tuple(
      fc.integer({ min: 0, max: 16 }),
      fc.double({ min: 0, max: 0.3, noNaN: true }),
      fc.double({ min: 0, max: 0.3, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 12 }), (rs) => {
        const v = forecast(rs.map(([e, a, b]) => [e * 22.5, a, b])).values;
        for (const x of [
          v.eighthsToAim,
          v.eighthsToAimExpanded,
          v.nextReductionMm,
          v.reductionMm,
          v.measuredK,
        ])
          expect(x === null || Number.isFinite(x)).toBe(true);
      }),
    );
  });
});
