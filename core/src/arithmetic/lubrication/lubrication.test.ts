import { describe, expect, it } from 'vitest';
import { wrenchSetting } from '../bolting/wrench.ts';
import { type FirstFillInput, firstFill } from './first-fill.ts';
import { regreasing, regreasingInterval } from './regreasing.ts';
import { runIn } from './run-in.ts';

describe('first fill', () => {
  const ask = (more: Partial<FirstFillInput> = {}) =>
    firstFill({
      boreMm: 100,
      outsideMm: 180,
      widthMm: 46,
      massKg: 4.9,
      speedRpm: 980,
      housingCm3: 900,
      school: 'by-speed',
      ...more,
    });
  it('free space of the bearing by hand: π/4·46·(180² − 100²)/1000 = 809.3 cm³ less 4.9 kg / 7.85 g/cm³ = 624.2 → 185.1', () => {
    expect(ask().values.bearingCm3).toBeCloseTo(185.1, 0);
    expect(() => ask({ massKg: 40 })).toThrow(/does not go into/);
  });
  it('the housing by school: by speed n·dm 137200 a half; base; 30 % or 80 % sealed (common practice, no source)', () => {
    expect(ask().values.speedFactor).toBe(137_200);
    expect(ask().values.housingCm3).toBe(450);
    expect(ask({ speedRpm: 3000 }).values.housingCm3).toBeCloseTo(225, 9);
    expect(ask({ speedRpm: 1500 }).values.housingCm3).toBeCloseTo(300, 9);
    expect(ask({ school: 'to-shaft', baseCm3: 320 }).values.housingCm3).toBe(320);
    expect(ask({ school: 'share' }).values.housingCm3).toBeCloseTo(270, 9);
    expect(ask({ school: 'share', sealed: true }).values.housingCm3).toBeCloseTo(720, 9);
  });
  it('base to the shaft’s underside wants no volume and tells none; the others tell a share where they lack a number', () => {
    const seen = firstFill({ boreMm: 100, school: 'to-shaft' });
    expect(seen.values).toMatchObject({ bearingCm3: null, housingCm3: null, totalG: null, strokes: null });
    expect(seen.findings[0]?.reason).toMatchObject({ id: 'arithmetic.lubrication.bearingFull' });
    for (const school of ['by-speed', 'share'] as const)
      expect(firstFill({ boreMm: 100, school }).values).toMatchObject({ housingCm3: null, totalG: null });
  });
  it('the sheet’s own grams come first; a sealed bearing’s housing is filled to 80 %; an oil bath takes none (common practice, no source)', () => {
    expect(ask({ sheetG: 420, gramsPerStroke: 1.2 }).values).toMatchObject({ totalG: 420, strokes: 350 });
    expect(ask({ sheetG: 420 }).findings[0]).toMatchObject({ source: 'maker' });
    for (const school of ['by-speed', 'share'] as const)
      expect(firstFill({ boreMm: 100, school, sealed: true, housingCm3: 1000 }).values.housingCm3).toBe(800);
    expect(ask({ oil: true }).values).toMatchObject({ totalG: 0 });
  });
  it('a unit that came greased wants none', () => {
    expect(ask({ greased: true }).values).toMatchObject({ totalG: 0, strokes: 0 });
    expect(ask({ gramsPerStroke: 1.2 }).values.strokes).toBe(Math.round((635.1 * 0.9) / 1.2));
  });
});

describe('regreasing', () => {
  it('G = 0.005·D·B: 180 × 46 → 41.4 g, 35 strokes of 1.2 g (bearing handbooks, from memory)', () => {
    expect(regreasing({ outsideMm: 180, widthMm: 46, gramsPerStroke: 1.2 }).values.grams).toBeCloseTo(
      41.4,
      9,
    );
    expect(regreasing({ outsideMm: 180, widthMm: 46, gramsPerStroke: 1.2 }).values.strokes).toBe(35);
  });
  it('interval by hand: 14e6/(980·√100) − 400 = 1028.6 h; halved at 85 °C, again on a vertical shaft, a year at most', () => {
    const ask = (more = {}) =>
      regreasingInterval({ kind: 'spherical', boreMm: 100, speedRpm: 980, ...more }).values;
    expect(ask().hours).toBeCloseTo(1028.57, 1);
    expect(ask({ temperatureC: 85 }).hours).toBeCloseTo(514.29, 1);
    expect(ask({ temperatureC: 85, vertical: true }).hours).toBeCloseTo(257.14, 1);
    expect(ask({ temperatureC: 40 }).hours).toBeCloseTo(1028.57, 1);
    expect(ask({ kind: 'ball' })).toMatchObject({ hours: 8760, capped: true });
  });
  it('too fast and large for the rule: no interval, ask the maker', () => {
    const r = regreasingInterval({ kind: 'spherical', boreMm: 300, speedRpm: 3000 });
    expect(r.values.hours).toBeNull();
    expect(r.findings[0]).toMatchObject({
      verdict: 'caution',
      remedy: { id: 'arithmetic.lubrication.askMakerBearing' },
    });
  });
});

describe('run-in', () => {
  const log = (...t: number[]) =>
    runIn({ ambientC: 20, readings: t.map((temperatureC, i) => ({ minutes: 15 * i, temperatureC })) });
  it('due every quarter of an hour until steady', () => {
    expect(log(22, 40).values).toMatchObject({ steady: false, nextMinutes: 30 });
    expect(log(22, 40, 48, 48.2, 48.3).values).toMatchObject({ steady: true, nextMinutes: null });
    expect(log().findings[0]?.verdict).toBe('incomplete');
  });
  it('caution at 80 °C or 45 K over ambient, stop at 100 °C (common practice, no source)', () => {
    expect(log(22, 50, 60).findings[0]?.verdict).toBe('accept');
    expect(log(22, 50, 66).findings[0]?.code).toBe('run-in.caution');
    expect(log(22, 70, 101).findings[0]?.code).toBe('run-in.stop');
    expect(log(22, 82, 78, 70).findings[0]?.reason).toMatchObject({
      id: 'arithmetic.lubrication.overAmbient',
    });
    expect(log(60, 70, 82).findings[0]?.reason).toMatchObject({ id: 'arithmetic.lubrication.overAmbient' });
  });
});

describe('torque wrench', () => {
  const ask = (more = {}) =>
    wrenchSetting({ torqueNm: 196, wrenchMm: 450, scaleLowNm: 60, scaleHighNm: 330, ...more });
  it('T·L/(L + E) along the handle, nothing square to it (moments; common practice)', () => {
    expect(ask().values.settingNm).toBe(196);
    expect(ask({ extensionMm: 100 }).values.settingNm).toBeCloseTo((196 * 450) / 550, 9);
    expect(ask({ extensionMm: 100, extensionDeg: 90 }).values.settingNm).toBeCloseTo(196, 9);
    expect(ask({ extensionMm: 100, extensionDeg: 180 }).values.settingNm).toBeCloseTo((196 * 450) / 350, 9);
    expect(() => ask({ extensionMm: 500, extensionDeg: 180 })).toThrow(/past the grip/);
  });
  it('is used between a fifth and the whole of its scale', () => {
    const verdict = (torqueNm: number, more = {}) => ask({ torqueNm, ...more }).findings[0]?.verdict;
    expect([verdict(196), verdict(400), verdict(40)]).toEqual(['accept', 'reject', 'reject']);
    expect(verdict(62, { scaleLowNm: 20 })).toBe('caution');
  });
});
