import { describe, expect, it } from 'vitest';
import { packingBreakIn } from './break-in.ts';
import { actsOfRows, type BreakInAct, type BreakInRow } from './break-in-seen.ts';
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
  const whole = (acts: BreakInAct[], more = {}) =>
    packingBreakIn({ shaftMm: 50, school: 'per-diameter', pitchMm: 1.75, followerMm: 6, acts, ...more });
  const ask = (rows: BreakInRow[], more = {}) => whole(actsOfRows(rows), more);
  const r = (minutes: number, flats: number, dropsPerMin: number, glandC?: number): BreakInRow => ({
    minutes,
    flats,
    dropsPerMin,
    glandC,
  });
  const drops = (minutes: number, dropsPerMin: number): BreakInAct => ({
    what: 'drops',
    minutes,
    dropsPerMin,
  });
  const flats = (minutes: number, n = 1): BreakInAct => ({ what: 'flats', minutes, flats: n });
  const warm = (minutes: number, glandC: number): BreakInAct => ({ what: 'warmth', minutes, glandC });
  /** What is to be done after each act, and when. */
  const doing = (...acts: BreakInAct[]) => {
    const { do: now, nextMinutes } = whole(acts).values;
    return nextMinutes === null ? now : `${now} until ${nextMinutes}`;
  };

  it('a 50 shaft: 16 to 24 drops a minute; a flat is a sixth of the pitch', () => {
    expect(ask([]).values).toMatchObject({ targetLow: 16, targetHigh: 24, do: 'start' });
    const v = ask([r(0, 0, 400), r(15, 0, 300), r(16, 1, 200)]).values;
    expect(v.travelMm).toBeCloseTo(1.75 / 6, 9);
    expect(v.leftMm).toBeCloseTo(6 - 1.75 / 6, 9);
  });
  it('one instruction follows from the last act: leak, count, a flat, a wait that runs from the flat', () => {
    expect(doing()).toBe('start');
    expect(doing(drops(2, 400))).toBe('wait until 10');
    expect(doing(drops(2, 400), drops(12, 300))).toBe('turn');
    // The wait runs from the flat, not from the count before it.
    expect(doing(drops(2, 400), drops(12, 300), flats(20))).toBe('wait until 30');
    expect(doing(drops(12, 300), flats(20), drops(24, 200))).toBe('wait until 30');
    expect(doing(drops(12, 300), flats(20), drops(31, 200))).toBe('turn');
    expect(doing(drops(12, 300), flats(20), drops(31, 20))).toBe('wait until 41');
  });
  it('steady is three counts in the band, ten minutes apart, that do not drift', () => {
    const to22 = [drops(12, 300), flats(13), drops(24, 22)];
    expect(doing(...to22)).toBe('wait until 34');
    expect(doing(...to22, drops(29, 22), drops(34, 21))).toBe('wait until 44');
    expect(doing(...to22, drops(34, 21), drops(44, 20))).toBe('done');
    expect(doing(...to22, drops(34, 30), drops(44, 20), drops(54, 20))).not.toBe('done');
    // 24, 20, 16: all in the band, and on its way out of it.
    const falling = [drops(12, 300), flats(13), drops(24, 24), drops(34, 20), drops(44, 16)];
    expect(doing(...falling)).toBe('wait until 54');
    expect(whole(falling).findings[0]?.reason).toMatchObject({
      id: 'arithmetic.packing.inBandStillDrifting',
    });
    expect(doing(...falling, drops(54, 17), drops(64, 16.5))).toBe('done');
  });
  it('dry stops at once, in the first minutes too, and stands until a wetter count', () => {
    expect(doing(drops(0, 0))).toBe('back');
    expect(doing(drops(0, 0), drops(5, 0))).toBe('back');
    expect(doing(drops(12, 300), flats(13), drops(30, 5))).toBe('back');
    expect(doing(drops(0, 0), flats(1, -1))).toBe('count until 3');
    // Felt warm, not hot, says nothing of the drops: it is still dry.
    expect(doing(drops(0, 0), warm(1, 40))).toBe('back');
    expect(doing(drops(0, 0), flats(1, -1), drops(3, 2))).toBe('back');
    expect(doing(drops(0, 0), flats(1, -1), drops(3, 60))).toBe('wait until 11');
  });
  it('hot stops as soon as it is felt, and a count alone does not clear it', () => {
    const hot = [drops(12, 300), flats(13), drops(25, 150), warm(26, 95)];
    expect(doing(...hot)).toBe('back');
    expect(whole(hot).findings[0]).toMatchObject({ code: 'break-in.hot', verdict: 'reject' });
    expect(doing(...hot, drops(27, 148))).toBe('back');
    expect(doing(...hot, flats(28, -1))).toBe('feel until 30');
    expect(doing(...hot, flats(28, -1), warm(30, 88))).toBe('back');
    expect(doing(...hot, flats(28, -1), warm(34, 60), drops(39, 200))).toBe('turn');
  });
  it('more than a flat at once is counted and said; a follower at its end is a stop', () => {
    const two = whole([drops(12, 300), flats(13, 2)]);
    expect(two.values).toMatchObject({ flats: 2, do: 'wait', nextMinutes: 23 });
    expect(two.findings.map((f) => f.code)).toContain('break-in.at-once');
    expect(ask([r(12, 0, 300), r(300, 24, 60)]).values.do).toBe('renew');
  });
  it('flats to go by the share each took: 300, 150 a flat on → to 20 in log(20/150)/log(1/2) = 2.9 flats', () => {
    expect(ask([r(12, 0, 300), r(13, 1, 150)]).values.flatsToGo).toBeCloseTo(2.907, 3);
    expect(ask([r(12, 0, 300)]).values.flatsToGo).toBeNull();
  });
  it('the trend says nothing past the travel that is left', () => {
    // 300 to 295 a flat: some 160 flats more, and the follower has 5.7 mm, 19 flats.
    const slow = ask([r(12, 0, 300), r(30, 1, 295)]);
    expect(slow.values.flatsToGo).toBeNull();
    expect(slow.findings.find((f) => f.code === 'break-in.travel')?.params).toMatchObject({ flatsLeft: 19 });
  });
  it('a flat figure not given is 8 to 12', () => {
    expect(ask([], { school: 'flat' }).values).toMatchObject({ targetLow: 8, targetHigh: 12 });
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
