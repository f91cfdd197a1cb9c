import { describe, expect, it } from 'vitest';
import { type BreakInReading, packingBreakIn } from './break-in.ts';
import { packingFriction } from './friction.ts';
import { firstWrong, partsOf, plungerPreload, USUAL_V_RINGS } from './plunger.ts';
import { INCH_SECTIONS_MM, packingRings } from './rings.ts';

describe('rings', () => {
  const ask = (more = {}) =>
    packingRings({ shaftMm: 60, boxBoreMm: 80, boxDepthMm: 80, allowancePercent: 0, cut: 'butt', ...more });
  it('by hand: section (80 − 60)/2 = 10, π·70 = 219.9, (80 − 3.33)/10 → 7 rings', () => {
    const v = ask().values;
    expect([v.sectionMm, v.stockMm, v.count]).toEqual([10, 10, 7]);
    expect(v.neutralMm).toBeCloseTo(219.911, 3);
    expect(v.cutMm).toBeCloseTo(219.911, 3);
  });
  it('the house’s allowance and the skew of a diagonal cut come on top (common practice, no source)', () => {
    expect(ask({ allowancePercent: 3 }).values.cutMm).toBeCloseTo(226.5088, 4);
    expect(ask({ cut: 'diagonal' }).values.cutMm).toBeCloseTo(229.911, 3);
  });
  it('with a lantern of 20: 5 rings; three below it put its middle at 40, drawn up 12 % at 36.4; the port at 36', () => {
    const v = ask({ lanternMm: 20, portMm: 36 }).values;
    expect([v.count, v.below]).toEqual([5, 3]);
    expect(v.lanternPutMm).toBe(40);
    expect(v.lanternDrawnMm).toBeCloseTo(36.4, 9);
    expect(ask({ lanternMm: 10, portMm: 21 }).findings.map((f) => f.code)).not.toContain('packing.lantern');
    expect(ask({ lanternMm: 5, portMm: 7 }).findings.map((f) => f.code)).toContain('packing.lantern');
  });
  it('joints staggered 90° or 120°, order over several boxes with waste', () => {
    expect(ask().values.jointsDeg.slice(0, 5)).toEqual([0, 90, 180, 270, 0]);
    expect(ask({ staggerDeg: 120 }).values.jointsDeg.slice(0, 4)).toEqual([0, 120, 240, 0]);
    expect(ask({ boxes: 3, wastePercent: 10 }).values.orderMm).toBeCloseTo(3 * 7 * 219.911 * 1.1, 0);
  });
  it('a section off its stock is said, too many rings too, no room is refused; inch stock is there', () => {
    expect(ask({ boxBoreMm: 87 }).findings.map((f) => f.code)).toContain('packing.section');
    expect(ask().findings.map((f) => f.code)).toContain('packing.deep');
    expect(() => ask({ boxBoreMm: 62 })).toThrow(RangeError);
    expect(() => ask({ boxDepthMm: 5 })).toThrow(RangeError);
    expect(INCH_SECTIONS_MM[0]).toBeCloseTo(3.175, 9);
    expect(ask({ boxBoreMm: 60 + 2 * 9.525, stockMm: INCH_SECTIONS_MM }).values.stockMm).toBeCloseTo(
      9.525,
      9,
    );
  });
});

describe('break-in (common practice, no source)', () => {
  const ask = (readings: BreakInReading[], more = {}) =>
    packingBreakIn({ shaftMm: 50, school: 'per-diameter', pitchMm: 1.75, followerMm: 6, readings, ...more });
  const r = (minutes: number, flats: number, dropsPerMin: number, glandC?: number): BreakInReading => ({
    minutes,
    flats,
    dropsPerMin,
    glandC,
  });
  it('a 50 shaft: 16 to 24 drops a minute; a flat is a sixth of the pitch', () => {
    expect(ask([]).values).toMatchObject({ targetLow: 16, targetHigh: 24, state: 'settling' });
    const v = ask([r(0, 0, 400), r(15, 0, 300), r(16, 1, 200)]).values;
    expect(v.travelMm).toBeCloseTo(1.75 / 6, 9);
    expect(v.leftMm).toBeCloseTo(6 - 1.75 / 6, 9);
  });
  it('first leaks, then a flat and a wait, until it is there', () => {
    expect(ask([r(2, 0, 400)]).values.state).toBe('settling');
    expect(ask([r(2, 0, 400), r(12, 0, 300)]).values.state).toBe('turn');
    expect(ask([r(12, 0, 300), r(13, 1, 200)]).values.state).toBe('wait');
    expect(ask([r(12, 0, 300), r(13, 1, 200), r(24, 1, 120)]).values.state).toBe('turn');
    // Steady is three counts in the band, ten minutes apart; one that strays begins the count anew.
    const to22 = [r(12, 0, 300), r(13, 1, 200), r(24, 1, 22)];
    expect(ask(to22).values).toMatchObject({ state: 'wait', nextMinutes: 34 });
    expect(ask([...to22, r(29, 1, 22), r(34, 1, 21)]).values.state).toBe('wait');
    expect(ask([...to22, r(34, 1, 21), r(44, 1, 20)]).values.state).toBe('done');
    expect(ask([...to22, r(34, 1, 30), r(44, 1, 20), r(54, 1, 20)]).values.state).not.toBe('done');
    // In the band at the first count after ten minutes and no flat turned is not done either.
    expect(ask([r(2, 0, 20), r(12, 0, 20)]).values.state).not.toBe('done');
  });
  it('a flat figure not given is 8 to 12', () => {
    expect(ask([], { school: 'flat' }).values).toMatchObject({ targetLow: 8, targetHigh: 12 });
  });
  it('dry, hot or bottomed is a stop with its own remedy', () => {
    expect(ask([r(12, 0, 300), r(30, 2, 5)]).values.state).toBe('too-dry');
    expect(ask([r(12, 0, 300), r(30, 2, 60, 85)]).findings[0]?.remedy).toMatchObject({
      id: 'arithmetic.packing.backNutsOffLetCool',
    });
    expect(ask([r(12, 0, 300), r(300, 24, 60)]).values.state).toBe('bottomed');
  });
  it('flats to go by the share each took: 300, 150 a flat on → to 20 in log(20/150)/log(1/2) = 2.9 flats', () => {
    expect(ask([r(12, 0, 300), r(13, 1, 150)]).values.flatsToGo).toBeCloseTo(2.907, 3);
    expect(ask([r(12, 0, 300)]).values.flatsToGo).toBeNull();
  });
  it('a flat figure where the house counts so', () => {
    expect(ask([], { school: 'flat', flatDropsPerMin: 30 }).values).toMatchObject({
      targetLow: 24,
      targetHigh: 36,
    });
  });
});

describe('friction', () => {
  it('the mean of the falling pressure equals a plain sum over thin slices (1000 slices)', () => {
    const i = { shaftMm: 60, lengthMm: 50, glandMpa: 1.5, speedRpm: 1480, sectionMm: 10 };
    const v = packingFriction(i).values;
    let sum = 0;
    for (let k = 0; k < 1000; k++) {
      const x = ((k + 0.5) * 50) / 1000;
      sum += 0.5 * 1.5 * Math.exp((-2 * 0.08 * 0.5 * x) / 10);
    }
    expect(v.meanMpa).toBeCloseTo(sum / 1000, 5);
    expect(v.powerW).toBeCloseTo((v.torqueNm * 1480 * 2 * Math.PI) / 60, 9);
  });
});

describe('plunger set', () => {
  // Common practice, no source: rules, not one list, since sets vary.
  const usual = partsOf(USUAL_V_RINGS);
  it('parts from the pressure end: the pressure rings may change over, no other', () => {
    expect(usual).toEqual(['bottom-ring', 'header', 'pressure-1', 'pressure-2', 'adapter', 'wiper']);
    expect(firstWrong(usual)).toBeNull();
    expect(firstWrong(['bottom-ring', 'header', 'pressure-2', 'pressure-1', 'adapter', 'wiper'])).toBeNull();
    expect(
      firstWrong(['header', 'bottom-ring', 'pressure-1', 'pressure-2', 'adapter', 'wiper'])?.why,
    ).toMatchObject({ id: 'arithmetic.packing.bottomRingFacesPressureFirst' });
    expect(
      firstWrong(['bottom-ring', 'header', 'pressure-1', 'adapter', 'pressure-2', 'wiper'])?.why,
    ).toMatchObject({ id: 'arithmetic.packing.adapterClosesSetBehindLast' });
    expect(
      firstWrong(['bottom-ring', 'header', 'wiper', 'pressure-1', 'pressure-2', 'adapter'])?.why,
    ).toMatchObject({ id: 'arithmetic.packing.wiperSitsNutOutermost' });
    expect(firstWrong([])?.why).toMatchObject({ id: 'arithmetic.packing.missingSomethingThereSetHas' });
  });
  it('sets vary: one to four pressure rings, with or without header, adapter, lantern, wiper', () => {
    const small = {
      bottom: true,
      header: false,
      pressureRings: 1,
      lantern: false,
      adapter: false,
      wiper: false,
    };
    expect(firstWrong(['bottom-ring', 'pressure-1'], small)).toBeNull();
    expect(firstWrong(['pressure-1', 'bottom-ring'], small)).not.toBeNull();
    const large = { ...USUAL_V_RINGS, pressureRings: 4, lantern: true };
    expect(partsOf(large)).toHaveLength(9);
    for (const at of [3, 4, 5, 6]) {
      const order: string[] = partsOf(large).filter((p) => p !== 'lantern');
      order.splice(at, 0, 'lantern');
      expect(firstWrong(order, large), order.join(' ')).toBeNull();
    }
    expect(firstWrong([...usual], large)?.why).toMatchObject({
      id: 'arithmetic.packing.missingSomethingThereSetHas',
    });
  });
  it('back three quarters, return within an eighth: 45° of 2 mm is 0.25 mm (geometry)', () => {
    const ask = (more = {}) => plungerPreload({ pitchMm: 2, ...more });
    expect(ask().values.withinMm).toBe(0.25);
    expect(ask({ backDeg: 270, endDeg: -20 }).findings.map((f) => f.verdict)).toEqual(['accept', 'accept']);
    expect(ask({ backDeg: 270, endDeg: 60 }).findings[1]).toMatchObject({
      verdict: 'reject',
      remedy: { id: 'arithmetic.packing.backMarkTooMuchPreload' },
    });
    expect(ask({ backDeg: 90 }).findings[0]?.verdict).toBe('caution');
  });
});
