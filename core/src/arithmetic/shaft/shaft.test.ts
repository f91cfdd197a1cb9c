import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { verdictOf } from '../../judgement/result.ts';
import { quietHand } from '../../testing/test-stand.ts';
import type { DiameterSurveyInput } from './diameter-spots.ts';
import { diameterSurvey } from './diameter-survey.ts';
import { IT_MICROMETRES, itByFormula, RANGE_TOP_MM } from './iso286-table.ts';
import { finestGrade, inchCommercialLimits, iso286Limits, itMm, parseDesignation } from './tolerance.ts';

describe('ISO 286', () => {
  it('finds the finest grade a spread keeps to (ISO 286-1, from memory: 80–120 mm IT5 15, IT6 22, IT7 35)', () => {
    expect([0.015, 0.0151, 0.03, 2].map((s) => finestGrade(90, s))).toEqual([5, 6, 7, null]);
  });

  // Source: ISO 286-1 table 1, from memory: 50–80 mm IT5 13, IT6 19, IT7 30, IT9 74; 80–120 mm IT5 15, IT6 22, IT7 35, IT8 54, IT9 87.
  it.each([
    [65, 5, 13],
    [65, 6, 19],
    [80, 7, 30],
    [80, 9, 74],
    [90, 5, 15],
    [90, 6, 22],
    [90, 7, 35],
    [120, 8, 54],
    [120, 9, 87],
  ] as const)('IT at %d mm, grade %d is %d µm', (mm, grade, um) => {
    expect(itMm(mm, grade)).toBeCloseTo(um / 1000, 9);
  });

  it('the shipped table agrees with the plain formula within one rounding step', () => {
    // Source: ISO 286-1, i = 0.45·D^⅓ + 0.001·D. The standard rounds to 1 µm below 60, 5 below 200, 10 or 20 above; its
    // largest cells stand up to 3 % off the formula. Under 3 mm it follows another rule.
    for (const grade of [5, 6, 7, 8, 9, 10, 11] as const) {
      RANGE_TOP_MM.forEach((_, i) => {
        if (i === 0) return;
        const formula = itByFormula(i, grade);
        const step = formula < 60 ? 1.2 : formula < 200 ? 5 : 10;
        expect(Math.abs((IT_MICROMETRES[grade][i] ?? 0) - formula)).toBeLessThanOrEqual(
          Math.max(step, 0.03 * formula),
        );
      });
    }
  });

  it('grades widen with number and with size', () => {
    const grades = [4, 5, 6, 7, 8, 9, 10, 11, 12] as const;
    for (let i = 0; i < RANGE_TOP_MM.length; i++) {
      for (let g = 1; g < grades.length; g++)
        expect(IT_MICROMETRES[grades[g] ?? 4][i]).toBeGreaterThan(IT_MICROMETRES[grades[g - 1] ?? 4][i] ?? 0);
    }
  });

  it('limits of shafts and holes', () => {
    // Source: ISO 286-2 tables, from memory: 90 h9 0/−87; 50 g6 −9/−25; 60 k6 +21/+2; 100 f7 −36/−71; 50 js7 ±12.5; 80 H7 +30/0; 25 H8 +33/0.
    expect(iso286Limits(90, 'h9')).toMatchObject({ lowerMm: 89.913, upperMm: 90 });
    expect(iso286Limits(50, 'g6')).toMatchObject({ lowerDeviationMm: -0.025, upperDeviationMm: -0.009 });
    expect(iso286Limits(60, 'k6')).toMatchObject({ lowerDeviationMm: 0.002, upperDeviationMm: 0.021 });
    expect(iso286Limits(100, 'f7')).toMatchObject({ lowerDeviationMm: -0.071, upperDeviationMm: -0.036 });
    expect(iso286Limits(50, 'js7')).toMatchObject({ lowerDeviationMm: -0.0125, upperDeviationMm: 0.0125 });
    expect(iso286Limits(80, 'H7')).toMatchObject({ lowerDeviationMm: 0, upperDeviationMm: 0.03 });
    expect(iso286Limits(25, 'H8')).toMatchObject({ lowerDeviationMm: 0, upperDeviationMm: 0.033 });
  });

  it('refuses what is not tabled, in words', () => {
    expect(() => iso286Limits(90, 'z99')).toThrow(/not tabled/);
    expect(() => iso286Limits(0, 'h9')).toThrow(/500 mm/);
    expect(() => iso286Limits(501, 'h9')).toThrow(RangeError);
    expect(parseDesignation('H7')).toEqual({ letter: 'H', grade: 7, hole: true });
    expect(parseDesignation('q3')).toBeNull();
  });

  it('inch commercial shafting: 2½ in −0.003, 8 in and over −0.006 (common practice, no source)', () => {
    expect(inchCommercialLimits(63.5).lowerDeviationMm).toBeCloseTo(-0.0762, 6);
    expect(inchCommercialLimits(8 * 25.4).lowerDeviationMm).toBeCloseTo(-0.1524, 6);
    expect(inchCommercialLimits(5 * 25.4).lowerDeviationMm).toBeCloseTo(-0.1016, 6);
  });
});

const survey = (diametersMm: Array<Array<number | null>>, more: Partial<DiameterSurveyInput> = {}) =>
  diameterSurvey({
    nominalMm: 90,
    system: 'metric',
    stationsMm: [0, 30, 60],
    anglesDeg: [0, 60, 120],
    diametersMm,
    resolutionMm: 0.001,
    ...more,
  });

const finding = (r: ReturnType<typeof survey>, code: string) => r.findings.find((f) => f.code === code);

describe('diameter survey', () => {
  const good = [
    [89.974, 89.972, 89.976],
    [89.973, 89.971, 89.975],
    [89.972, 89.97, 89.974],
  ];

  it('a worn groove is judged as closely as its reader reads, and as loosely as what it was measured with', () => {
    const worn = (more: Partial<DiameterSurveyInput>) =>
      finding(survey(good, { grooveBesideMm: 90, grooveInsideMm: 89.96, ...more }), 'shaft.groove')?.verdict;
    const known = { resolutionMm: 0.01, hand: quietHand(0.01) };
    // 0.02 deep, 0.015 over what a fingernail feels: seen by a hundredth in known hands, and not by a caliper.
    expect(worn(known)).toBe('reject');
    expect(worn({ ...known, grooveGauge: { resolutionMm: 0.05, hand: quietHand(0.05) } })).toBe('too-close');
  });

  it('a good seat is accepted, each finding with its limit and source', () => {
    const r = survey(good);
    expect(verdictOf(r.findings)).toBe('accept');
    expect(r.values).toMatchObject({
      largestMm: 89.976,
      smallestMm: 89.97,
      lowerMm: 89.913,
      upperMm: 90,
      formLimitMm: 0.015,
      formMm: 0.006,
    });
    expect(r.values.ovalityMm).toEqual([0.004, 0.004, 0.004]);
    // Least squares of the station means 89.974, 89.973, 89.972 over 60 mm, by hand: −0.001 per 30 mm.
    expect(r.values.taperMmPer100).toBeCloseTo(-0.003333, 5);
    expect(r.values.taperOverSeatMm).toBeCloseTo(-0.002, 6);
    expect(r.findings.some((f) => f.code === 'shaft.odd-lobes')).toBe(true);
    for (const f of r.findings.filter((x) => x.code !== 'shaft.odd-lobes'))
      expect(f.limit && f.source).toBeTruthy();
  });

  it('judges the largest and smallest reading, not the mean', () => {
    const high = structuredClone(good);
    (high[1] as number[])[1] = 90.02;
    expect(finding(survey(high), 'shaft.largest')?.verdict).toBe('reject');
    const low = structuredClone(good);
    (low[2] as number[])[0] = 89.9;
    const r = survey(low);
    expect(finding(r, 'shaft.smallest')?.verdict).toBe('reject');
    expect(finding(r, 'shaft.smallest')?.remedy).toMatchObject({
      id: 'arithmetic.shaft.moveSeatSleeveShaftRenew',
    });
  });

  it('within the micrometer’s doubt of a limit it is too close to call', () => {
    const edge = good.map((row) => row.map(() => 89.9998));
    expect(finding(survey(edge, { resolutionMm: 0.002 }), 'shaft.largest')?.verdict).toBe('too-close');
  });

  it('finds an oval station and a tapered seat', () => {
    const oval = survey([[89.97, 89.95, 89.93], good[1] as number[], good[2] as number[]]);
    expect(finding(oval, 'shaft.ovality.1')?.verdict).toBe('reject');
    const tapered = survey([0, 1, 2].map((s) => [0, 1, 2].map(() => 89.96 + 0.012 * s)));
    expect(finding(tapered, 'shaft.taper')?.verdict).toBe('reject');
    expect(tapered.values.taperMmPer100).toBeCloseTo(0.04, 6);
  });

  it('is incomplete until every place is read, and judges what is there', () => {
    const r = survey([
      [89.974, null, null],
      [null, null, null],
      [null, null, null],
    ]);
    expect(finding(r, 'shaft.unread')?.verdict).toBe('incomplete');
    expect(r.values).toMatchObject({ taken: 1, wanted: 9, largestMm: 89.974, formMm: null });
    expect(
      survey([
        [null, null, null],
        [null, null, null],
        [null, null, null],
      ]).beams,
    ).toEqual([]);
  });

  it('the maker’s band outranks h9 and the record says so', () => {
    const r = survey(good, { makerLowerMm: 89.98, makerUpperMm: 90 });
    expect(finding(r, 'shaft.smallest')).toMatchObject({ verdict: 'reject', source: 'maker' });
  });

  it('moving every reading moves size and leaves form as it is', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.03, max: 0.02, noNaN: true }), (d) => {
        const moved = survey(good.map((row) => row.map((v) => v + d)));
        expect(moved.values.formMm).toBeCloseTo(0.006, 5);
        expect(moved.values.taperOverSeatMm).toBeCloseTo(-0.002, 5);
        expect(moved.values.largestMm).toBeCloseTo(89.976 + d, 9);
      }),
    );
  });
});
