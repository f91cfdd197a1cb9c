import { describe, expect, it } from 'vitest';
import { packingTravel } from '../arithmetic/packing/travel.ts';
import { runoutGrowth } from '../arithmetic/shaft/runout-growth.ts';
import type { Text } from '../message/message.ts';
import { say } from '../quantities/say.ts';
import { english } from '../testing/english.ts';
import { readingDeviation } from './hand.ts';
import { dayReached, sayDay, theilSen } from './trend.ts';
import { studentT95 } from './uncertainty.ts';

const sits = { scatterMm: 0.026, knownAsFrom: 4 };
const hand = { card: { scatter: 0.008, free: 9 } };
const points = [
  { day: 0, value: 1.2 },
  { day: 90, value: 1.02 },
  { day: 180, value: 0.87 },
  { day: 270, value: 0.66 },
  { day: 365, value: 0.5 },
];

describe('the day a line reaches a level', () => {
  it('its band is the set of days whose prediction still holds the level (Fieller’s set, found by walking every tenth of a day)', () => {
    const told = dayReached({ points, level: 0, stepsBy: 0.02, sits, hand });
    const n = points.length;
    const mx = points.reduce((s, p) => s + p.day, 0) / n;
    const my = points.reduce((s, p) => s + p.value, 0) / n;
    const sxx = points.reduce((s, p) => s + (p.day - mx) ** 2, 0);
    const slope = points.reduce((s, p) => s + (p.day - mx) * (p.value - my), 0) / sxx;
    const rest = points.reduce((s, p) => s + (p.value - my - slope * (p.day - mx)) ** 2, 0);
    const free = n - 2 + sits.knownAsFrom;
    const alone = Math.hypot(sits.scatterMm, readingDeviation(0.02, hand).deviation);
    const variance = (sits.knownAsFrom * alone ** 2 + rest) / free;
    const t = studentT95(free);
    const holds = (day: number) =>
      (my + slope * (day - mx)) ** 2 <= t * t * variance * (1 / n + (day - mx) ** 2 / sxx);
    const days = Array.from({ length: 20_000 }, (_, i) => i / 10).filter(holds);
    // And its rate may change on the way that is left, by 15 % a standard deviation: in quadrature, to either side.
    const day = told.day ?? Number.NaN;
    const moves = 2 * 0.15 * (day - 365);
    expect(day - (told.from ?? 0)).toBeCloseTo(Math.hypot(day - Math.min(day, days[0] ?? 0), moves), 0);
    expect((told.to ?? 0) - day).toBeCloseTo(Math.hypot(Math.max(day, days.at(-1) ?? 0) - day, moves), 0);
    expect(told.day).toBeGreaterThan(told.from ?? 0);
    expect(told.day).toBeLessThan(told.to ?? 0);
  });

  it('is the same whatever order the readings come in, and whichever way up they run', () => {
    const down = dayReached({ points, level: 0, stepsBy: 0.02, sits, hand });
    const shuffled = dayReached({ points: [...points].reverse(), level: 0, stepsBy: 0.02, sits, hand });
    const up = dayReached({
      points: points.map((p) => ({ day: p.day, value: -p.value })),
      level: 0,
      stepsBy: 0.02,
      sits,
      hand,
    });
    expect(shuffled).toEqual(down);
    for (const end of ['day', 'from', 'to', 'left'] as const)
      expect(up[end]).toBeCloseTo(down[end] ?? Number.NaN, 9);
  });

  it('one bad reading does not turn the day; the band reaches to it', () => {
    const bad = points.map((p, i) => (i === 4 ? { ...p, value: 0.95 } : p));
    const [good, told] = [points, bad].map((p) =>
      dayReached({ points: p, level: 0, stepsBy: 0.02, sits, hand }),
    );
    expect(Math.abs((told?.day ?? 0) - (good?.day ?? 0))).toBeLessThan(0.25 * (good?.day ?? 0));
    expect(told?.from).toBeLessThanOrEqual(told?.day ?? 0);
    expect((told?.to ?? Number.POSITIVE_INFINITY) - (told?.from ?? 0)).toBeGreaterThan(
      (good?.to ?? 0) - (good?.from ?? 0),
    );
  });

  it('two readings, or a tenth of the way not gone, tell no day; a line that runs off never does', () => {
    expect(dayReached({ points: points.slice(0, 2), level: 0, stepsBy: 0.02, sits, hand })).toMatchObject({
      early: true,
      day: null,
      from: null,
    });
    const barely = points.map((p) => ({ ...p, value: 1.2 - p.day / 10_000 }));
    expect(dayReached({ points: barely, level: 0, stepsBy: 0.02, sits, hand })).toMatchObject({
      early: true,
      day: null,
    });
    expect(dayReached({ points, level: 2, stepsBy: 0.02, sits, hand })).toMatchObject({
      early: false,
      day: null,
    });
    const same = points.map((p) => ({ ...p, day: 3 }));
    expect(dayReached({ points: same, level: 0, stepsBy: 0.02, sits, hand })).toMatchObject({
      line: null,
      day: null,
    });
  });

  it('a line that may as well be flat has no end to its band, and says so', () => {
    const told = dayReached({
      points: [
        { day: 0, value: 1 },
        { day: 100, value: 0.97 },
        { day: 200, value: 0.95 },
      ],
      level: 0.5,
      stepsBy: 0.02,
      sits,
      hand,
    });
    expect(told.to).toBeNull();
    expect(english(sayDay(told))).toContain('no telling at 95 %');
  });

  it('looks for a bend from four readings on, and the band reaches to where it leads', () => {
    // A parabola: 1.2 − 4e-6·day², at nothing after √300 000 = 548 days; the line through them says later or sooner.
    const bent = [0, 100, 200, 300, 400].map((day) => ({ day, value: 1.2 - 4e-6 * day * day }));
    const told = dayReached({ points: bent, level: 0, stepsBy: 0.02, sits, hand });
    expect(told.bends).toBe(true);
    expect(told.from).toBeLessThan(548);
    expect(told.to ?? Number.POSITIVE_INFINITY).toBeGreaterThan(548);
    expect(english(sayDay(told))).toMatch(/and the line bends$/);
    const straight = dayReached({ points, level: 0, stepsBy: 0.02, sits, hand });
    expect(straight.bends).toBe(false);
    expect(english(sayDay(straight))).toMatch(/if it goes on evenly$/);
    expect(dayReached({ points: bent.slice(0, 3), level: 0, stepsBy: 0.02, sits, hand }).bends).toBe(false);
  });

  it('the slope is the median of all pair slopes (Sen 1968, by hand on four points)', () => {
    // Slopes: 1, 1.5, 3, 2, 4, 6 → median (2 + 3)/2.
    expect(
      theilSen([
        { x: 0, y: 0 },
        { x: 1, y: 1 },
        { x: 2, y: 3 },
        { x: 3, y: 9 },
      ])?.slope,
    ).toBe(2.5);
  });
});

const words = (reason: Text | undefined) => say(reason ?? '', 'mm');

describe('the way of a follower', () => {
  const readings = [
    { days: 0, leftMm: 22 },
    { days: 120, leftMm: 19 },
    { days: 260, leftMm: 15.5 },
    { days: 400, leftMm: 12 },
  ];

  it('is at its end on the day its line says (0.025 mm a day by eye, 10 mm to go: 400 days)', () => {
    const { values, findings } = packingTravel({ readings, stopMm: 2 });
    expect(values.leftMm).toBe(12);
    expect(Math.abs((values.leftDays ?? 0) - 400)).toBeLessThan(10);
    expect(values.dueFromDays).toBeLessThan(values.dueDays ?? 0);
    expect(findings[0]).toMatchObject({ code: 'packing.travel', verdict: 'accept' });
    expect(words(findings[0]?.reason)).toMatch(
      /10\.0 mm of the way used, 9\.\d mm a year: at its end \d+ days/,
    );
  });

  it('says what to do once it bottoms, waits for a second reading, and tells no day from a packing that was eased', () => {
    const end = packingTravel({ readings: [...readings, { days: 800, leftMm: 2 }], stopMm: 2 });
    expect(end.findings[0]).toMatchObject({ verdict: 'reject' });
    expect(end.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.packing.packAnewRingAddedTop' });
    expect(packingTravel({ readings: readings.slice(0, 1) }).findings[0]?.verdict).toBe('incomplete');
    const eased = packingTravel({ readings: readings.map((r) => ({ ...r, leftMm: 10 + r.days / 100 })) });
    expect(eased.values.dueDays).toBeNull();
    expect(words(eased.findings[0]?.reason)).toContain('no trend');
    expect(() => packingTravel({ readings: [] })).toThrow(RangeError);
  });
});

describe('run-out over the years', () => {
  const readings = [
    { days: 0, runoutMm: 0.02 },
    { days: 365, runoutMm: 0.026 },
    { days: 730, runoutMm: 0.032 },
    { days: 1095, runoutMm: 0.038 },
  ];

  it('grows by 6 µm a year, by hand, and stands at 0.05 two years on', () => {
    const { values, findings } = runoutGrowth({ readings, limitMm: 0.05 });
    expect(values.mmPerYear).toBeCloseTo(0.006, 5);
    expect(values.leftDays).toBeCloseTo(730, 0);
    expect(values.dueToDays ?? Number.POSITIVE_INFINITY).toBeGreaterThan(1825);
    expect(words(findings[0]?.reason)).toMatch(
      /^Grown by 0\.018 mm, 0\.006 mm a year: at 0\.050 mm 730 days/,
    );
  });

  it('stands at its limit, falls, or is too young for a day: each in its words', () => {
    expect(runoutGrowth({ readings, limitMm: 0.038 }).findings[0]).toMatchObject({
      verdict: 'reject',
    });
    const fallen = runoutGrowth({
      readings: readings.map((r) => ({ ...r, runoutMm: 0.05 - r.runoutMm })),
      limitMm: 0.05,
    });
    expect(words(fallen.findings[0]?.reason)).toMatch(/^Fallen by 0\.018 mm; no trend/);
    expect(
      words(runoutGrowth({ readings: readings.slice(0, 2), limitMm: 0.05 }).findings[0]?.reason),
    ).toMatch(/too early/);
    expect(runoutGrowth({ readings: readings.slice(0, 1), limitMm: 0.05 }).findings[0]?.verdict).toBe(
      'incomplete',
    );
    expect(() => runoutGrowth({ readings: [], limitMm: 0.05 })).toThrow(RangeError);
  });
});
