import { lusolve, type Matrix, matrix, multiply, transpose, unit } from 'mathjs';
import { linearRegression, median } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { normal, randomFrom } from '../../metrology/random.ts';
import { theilSen } from '../../metrology/trend.ts';
import { packingBreakIn } from '../packing/break-in.ts';
import { packingRings } from '../packing/rings.ts';
import { faceLoad, sealFlush } from './face-load.ts';
import { GLAND_SPREAD_MM, glandTilt } from './gland-tilt.ts';
import { setScrewRule } from './set-screws.ts';
import { COMPRESSION_BAND_MM, compressionShift, sealSetting } from './setting.ts';
import { sealWear } from './wear.ts';

/** What we compute against general libraries and Debian’s `units`; the command stands beside each value. */

const rad = (deg: number) => (deg * Math.PI) / 180;

describe('the gland’s plane', () => {
  it('is that of the normal equations solved by mathjs, at 3 to 12 places with noise', () => {
    const random = randomFrom(51);
    for (let run = 0; run < 60; run++) {
      const n = 3 + Math.floor(random() * 10);
      const gaps = Array.from({ length: n }, (_, i) => ({
        angleDeg: (360 * i) / n + 7 * random(),
        gapMm: 0.6 + 0.1 * Math.cos(rad((360 * i) / n - 130)) + 0.004 * normal(random),
      }));
      const a = matrix(gaps.map((g) => [1, Math.cos(rad(g.angleDeg)), Math.sin(rad(g.angleDeg))]));
      const at = transpose(a);
      const x = (
        lusolve(
          multiply(at, a) as Matrix,
          multiply(at, matrix(gaps.map((g) => [g.gapMm]))) as Matrix,
        ) as Matrix
      ).toArray() as number[][];
      const [mean, c, s] = x.map((r) => r[0] ?? 0) as [number, number, number];
      const v = glandTilt({ gaps, bolts: 4, resolutionMm: 0.01 }).values;
      expect(v.meanMm).toBeCloseTo(mean, 9);
      expect(v.tiltMm).toBeCloseTo(2 * Math.hypot(c, s), 9);
      expect(Math.cos(rad((v.wideDeg ?? 0) - (Math.atan2(s, c) * 180) / Math.PI))).toBeCloseTo(1, 9);
    }
  });

  it('bringing each bolt in by what is said leaves a plane gland square (property)', () => {
    const random = randomFrom(52);
    for (let run = 0; run < 40; run++) {
      const bolts = 3 + Math.floor(random() * 6);
      const [tilt, dir] = [0.3 * random(), 360 * random()];
      const at = (deg: number) => 0.8 + tilt * Math.cos(rad(deg - dir));
      const angles = Array.from({ length: bolts }, (_, i) => (360 * i) / bolts);
      const { bringInMm } = glandTilt({
        gaps: angles.map((angleDeg) => ({ angleDeg, gapMm: at(angleDeg) })),
        bolts,
        resolutionMm: 0.001,
      }).values;
      const after = angles.map((deg, i) => at(deg) - (bringInMm[i] ?? 0));
      expect(Math.max(...after) - Math.min(...after)).toBeLessThan(1e-9);
      expect(Math.min(...bringInMm)).toBeCloseTo(0, 12);
    }
  });

  it('its spread is two thou: `units -t "0.002 in" mm` → 0.0508, rounded', () => {
    expect(GLAND_SPREAD_MM).toBeCloseTo(0.0508, 2);
    expect(COMPRESSION_BAND_MM).toBeCloseTo(unit(1 / 32, 'in').toNumber('mm'), 1);
  });
});

describe('the robust line of the wear', () => {
  it('lies on the plain regression of simple-statistics where no reading is wrong', () => {
    const random = randomFrom(53);
    const points = Array.from({ length: 24 }, (_, i) => ({
      x: 30 * i,
      y: 3 - 0.002 * 30 * i + 0.002 * normal(random),
    }));
    const plain = linearRegression(points.map((p) => [p.x, p.y]));
    const robust = theilSen(points);
    expect(robust?.slope).toBeCloseTo(plain.m, 4);
    expect(robust?.level).toBeCloseTo(plain.b, 2);
  });

  it('is the median of all pair slopes, by simple-statistics’ median, with every fourth reading wrong', () => {
    const points = Array.from({ length: 12 }, (_, i) => ({ x: 30 * i, y: i % 4 === 3 ? 4 : 3 - 0.06 * i }));
    const slopes = points.flatMap((a, i) => points.slice(i + 1).map((b) => (b.y - a.y) / (b.x - a.x)));
    expect(theilSen(points)?.slope).toBeCloseTo(median(slopes), 12);
    // The plain line is turned by them, the robust one is not.
    expect(Math.abs(linearRegression(points.map((p) => [p.x, p.y])).m + 0.002)).toBeGreaterThan(
      Math.abs((theilSen(points)?.slope ?? 0) + 0.002),
    );
  });

  it('the day it is due does not hang on the order the readings are given in', () => {
    const readings = [
      { days: 0, projectionMm: 1.2 },
      { days: 100, projectionMm: 0.9 },
      { days: 190, projectionMm: 0.66 },
      { days: 300, projectionMm: 0.31 },
    ];
    const due = sealWear({ readings }).values.dueDays ?? 0;
    expect(sealWear({ readings: [...readings].reverse() }).values.dueDays).toBeCloseTo(due, 9);
    expect(due).toBeGreaterThan(390);
    expect(due).toBeLessThan(420);
  });
});

describe('the set-screw rule in the units it was born in', () => {
  // `units -t "300 psi" bar` → 20.684272; `units -t "250 psi" bar` → 17.236893; `units -t "2.5 in" mm` → 63.5
  const must = (shaftMm: number, bar: number) =>
    setScrewRule({ shaftMm, boxPressureMpa: bar / 10, hardened: false }).findings.some(
      (f) => f.verdict === 'reject' || f.verdict === 'caution',
    );
  it('at 2½ in the step is 300 psi (or its rounding to 20 bar), above it 250 psi (or 16 bar)', () => {
    expect(must(63.5, 20.69)).toBe(true);
    expect(must(63.5, 20.1)).toBe(true);
    expect(must(63.5, 19.9)).toBe(false);
    expect(must(64, 17.24)).toBe(true);
    expect(must(64, 16.1)).toBe(true);
    expect(must(64, 15.9)).toBe(false);
  });
});

describe('the face, by mathjs with its units', () => {
  it('closing pressure, torque and power of a hundred faces are those of force and speed written out', () => {
    const random = randomFrom(54);
    for (let run = 0; run < 100; run++) {
      const faceInsideMm = 30 + 60 * random();
      const faceOutsideMm = faceInsideMm + 5 + 10 * random();
      const balanceMm = faceInsideMm + (faceOutsideMm - faceInsideMm) * (0.1 + 0.3 * random());
      const [springN, pressureMpa, speedRpm] = [
        100 + 200 * random(),
        0.2 + 2 * random(),
        900 + 2100 * random(),
      ];
      const v = faceLoad({
        faceOutsideMm,
        faceInsideMm,
        balanceMm,
        springN,
        pressureMpa,
        speedRpm,
        friction: 0.07,
        dropFactor: 0.5,
      }).values;
      const area = unit((Math.PI / 4) * (faceOutsideMm ** 2 - faceInsideMm ** 2), 'mm^2');
      const hydraulic = unit((Math.PI / 4) * (faceOutsideMm ** 2 - balanceMm ** 2), 'mm^2');
      const pressure = unit(pressureMpa, 'N/mm^2');
      // Closing: pressure on the balance area and the spring; opening: half the pressure on the face.
      const closing =
        multiply(pressure, hydraulic).toNumber('N') + springN - 0.5 * multiply(pressure, area).toNumber('N');
      expect(v.closingMpa).toBeCloseTo(closing / area.toNumber('mm^2'), 9);
      const radius = (faceOutsideMm + faceInsideMm) / 4;
      expect(v.torqueNm).toBeCloseTo((0.07 * closing * radius) / 1000, 6);
      expect(v.powerW).toBeCloseTo((v.torqueNm * 2 * Math.PI * speedRpm) / 60, 4);
    }
  });

  it('flush: `units -t "450 W / (1000 kg/m^3 * 4190 J/(kg K) * 5 K)" "L/min"` → 1.2887828', () => {
    expect(sealFlush({ powerW: 450, riseK: 5 }).values.flowLPerMin).toBeCloseTo(1.2887828, 6);
  });
});

describe('the setting and what shifts it', () => {
  it('rotary outside is the mirror of inside: the seat’s sign turns, nothing else (property)', () => {
    for (const seatMm of [-8, -2.5, 0, 3, 11]) {
      const ask = (rotary: 'inside' | 'outside', seat: number) =>
        sealSetting({ freeLengthMm: 60, compressionMm: 5, rotary, seatMm: seat }).values.collarMm;
      expect(ask('inside', seatMm)).toBeCloseTo(ask('outside', -seatMm), 9);
      expect(ask('inside', seatMm) - ask('inside', -seatMm)).toBeCloseTo(2 * seatMm, 9);
    }
  });

  it('shifts add up, in whatever parts they come; end play widens both ways (property)', () => {
    const shift = (more: object) =>
      compressionShift({ compressionMm: 5, resolutionMm: 0.01, ...more }).values;
    const whole = shift({ settingMm: 0.1, impellerMm: -0.3, growthMm: 0.25 });
    expect(whole.shiftMm).toBeCloseTo(0.05, 9);
    expect(whole.compressionMm).toBeCloseTo(5.05, 9);
    const loose = shift({ settingMm: 0.1, impellerMm: -0.3, growthMm: 0.25, endPlayMm: 0.1 });
    expect(loose.highestMm - loose.lowestMm).toBeCloseTo(whole.highestMm - whole.lowestMm + 0.1, 1);
    expect(loose.lowestMm).toBeLessThanOrEqual(loose.compressionMm);
    expect(loose.highestMm).toBeGreaterThanOrEqual(loose.compressionMm);
  });
});

describe('packing that goes into any box (property)', () => {
  it('rings, lantern and follower’s entry never come to more than the box is deep, and one ring more would', () => {
    const random = randomFrom(55);
    for (let run = 0; run < 120; run++) {
      const shaftMm = 25 + 120 * random();
      const sectionMm = 6 + 16 * random();
      const boxDepthMm = 60 + 120 * random();
      const lanternMm = run % 2 ? 0 : 12 + 10 * random();
      const v = packingRings({
        shaftMm,
        boxBoreMm: shaftMm + 2 * sectionMm,
        boxDepthMm,
        ...(lanternMm ? { lanternMm, portMm: boxDepthMm / 2 } : {}),
        allowancePercent: 2,
        cut: 'butt',
      }).values;
      const filled = v.count * sectionMm + lanternMm + v.entryMm;
      expect(filled).toBeLessThanOrEqual(boxDepthMm + 1e-9);
      expect(filled + sectionMm).toBeGreaterThan(boxDepthMm);
      expect(v.neutralMm).toBeCloseTo(unit(Math.PI * (shaftMm + sectionMm), 'mm').toNumber('mm'), 6);
      if (v.below !== null) expect(v.below).toBeLessThanOrEqual(v.count);
      expect(v.jointsDeg).toHaveLength(v.count);
    }
  });

  it('drops: 20 to the millilitre, `units -t "0.05 mL * 10/min" "mL/min"` → 0.5', () => {
    const v = packingBreakIn({
      shaftMm: 25,
      school: 'per-diameter',
      pitchMm: 2,
      followerMm: 20,
      acts: [{ what: 'drops', minutes: 0, dropsPerMin: 10 }],
    }).values;
    expect(v.mlPerMin).toBeCloseTo(0.5, 9);
    expect([v.targetLow, v.targetHigh]).toEqual([8, 12]);
  });
});
