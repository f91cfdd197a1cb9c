import { describe, expect, it } from 'vitest';
import { english } from '../testing/english.ts';
import { housingAlignment } from './alignment/housings.ts';
import { softFoot } from './alignment/soft-foot.ts';
import { clearanceClass } from './bearings/clearance-class.ts';
import { splitRaceGap } from './bearings/split-race-gap.ts';
import { sweep } from './box/sweep.ts';
import { regreasingInterval } from './lubrication/regreasing.ts';
import { runIn } from './lubrication/run-in.ts';
import { regreasingWatch } from './lubrication/watch.ts';
import { runCalculator } from './registry.ts';
import { elastomerGuide } from './seals/elastomers.ts';
import { runout } from './shaft/runout.ts';
import { seatLimits } from './shaft/seat-limits.ts';

describe('what cannot be is refused or said, in a sentence', () => {
  const refused = (id: string, input: unknown) => {
    const answer = runCalculator(id, input);
    return answer.ok ? null : english(answer.faults.map((f) => f.message)).join();
  };

  it('reversed limits, a balance of 3.2, a base larger than its housing', () => {
    expect(refused('metrology.decision', { readingsMm: [1], stepMm: 0.01, lowerMm: 2, upperMm: 1 })).toMatch(
      /stands above/,
    );
    const face = { faceOutsideMm: 71, faceInsideMm: 61, springN: 200, pressureMpa: 1.2, speedRpm: 1450 };
    expect(refused('seal.face-load', { ...face, balanceMm: 27 })).toMatch(/no seal/);
    expect(refused('seal.face-load', { ...face, balanceMm: 63 })).toBeNull();
    const fill = { boreMm: 100, outsideMm: 180, widthMm: 46, massKg: 4.9, speedRpm: 980, housingCm3: 900 };
    expect(refused('lubrication.first-fill', { ...fill, school: 'to-shaft', baseCm3: 1200 })).toMatch(
      /check both volumes/,
    );
  });

  it('an interval under a day is none; three readings in two minutes are not steady; a shaft under the closed bore grips nothing', () => {
    const hot = regreasingInterval({ kind: 'spherical', boreMm: 300, speedRpm: 600, temperatureC: 150 });
    expect(hot.findings[0]).toMatchObject({ verdict: 'caution' });
    expect(hot.values.hours).toBeNull();
    const quick = [0, 1, 2].map((minutes) => ({ minutes, temperatureC: 40 }));
    expect(runIn({ ambientC: 20, readings: quick }).values.steady).toBe(false);
    const slow = [0, 15, 30].map((minutes) => ({ minutes, temperatureC: 40 }));
    expect(runIn({ ambientC: 20, readings: slow }).values.steady).toBe(true);
    const small = splitRaceGap({
      gapAMm: 0.3,
      gapBMm: 0.3,
      bladeStepMm: 0.05,
      shaftMm: 99.7,
      closedBoreMm: 99.8,
    });
    expect(small.findings.map((f) => f.code)).toContain('split-race.small');
    expect(JSON.stringify(english(small.findings))).not.toMatch(/should leave/);
  });

  it('a foot no full shim goes under is cleaned, not shimmed by nothing', () => {
    const r = softFoot({ feet: [[0.02, 0.07], [0], [0], [0]], resolutionMm: 0.01 });
    expect(JSON.stringify(english(r.findings))).not.toMatch(/Lay 0\.000/);
  });
});

describe('heat', () => {
  const watched = (...t: number[]) =>
    regreasingWatch({
      startC: 50,
      readings: t.map((temperatureC, i) => ({ minutes: 30 * (i + 1), temperatureC })),
    });
  it('100 °C once is a stop until somebody has looked, whatever it reads since', () => {
    expect(watched(120, 99, 90).findings[0]).toMatchObject({ verdict: 'reject' });
    expect(watched(120, 99, 90).values.state).toBe('hot');
  });
  it('a rise that never falls is not the usual one; over 80 °C it is a caution even as it falls', () => {
    expect(watched(95, 95, 95, 95, 95, 95).values.state).toBe('stays');
    expect(watched(95, 95, 95, 95, 95, 95).findings[0]?.verdict).toBe('caution');
    expect(watched(95, 92, 88, 84).findings[0]?.verdict).toBe('caution');
    expect(watched(70, 66, 62, 58).findings[0]?.verdict).toBe('accept');
  });
});

describe('a lone limit of the maker’s counts', () => {
  it('of a diameter and of a clearance; the general one gives the other', () => {
    const seat = { nominalMm: 60, system: 'metric', seat: 'mechanical-seal' } as const;
    const plain = seatLimits(seat).limits;
    expect(seatLimits({ ...seat, makerLowerMm: 59.97 }).limits).toMatchObject({
      lowerMm: 59.97,
      upperMm: plain.upperMm,
    });
    expect(seatLimits({ ...seat, makerUpperMm: 59.98 })).toMatchObject({
      source: 'maker',
      limits: { lowerMm: plain.lowerMm, upperMm: 59.98 },
    });
    const sets = [1, 2, 3].map(() => ({ rowAMm: 0.09, rowBMm: 0.09 }));
    const bench = clearanceClass({
      boreMm: 100,
      clearanceClass: 'CN',
      bladeStepMm: 0.01,
      sets,
      makerLowerMm: 0.11,
    });
    expect(bench.findings.some((f) => f.verdict === 'reject')).toBe(true);
  });
});

describe('order and place', () => {
  it('housings written down in any order give the same shims (geometry)', () => {
    const at = (atMm: number, near: number, far: number) => ({
      ...{ atMm, verticalNearMm: near, verticalFarMm: far, horizontalNearMm: 0, horizontalFarMm: 0 },
    });
    const three = [at(0, 0, 0.1), at(900, 0.4, 0.3), at(2000, 0.1, 0.2)];
    const shims = (h: typeof three) =>
      housingAlignment({ housings: h, widthMm: 100, resolutionMm: 0.01 }).values.shimFarMm;
    const [a, b, c] = shims(three);
    expect(shims([three[2], three[0], three[1]] as typeof three)).toEqual([c, a, b]);
  });

  it('a turn begun at 90° comes back to 90°', () => {
    const readings = [90, 180, 270, 0, 45, 135, 225, 315].map((angleDeg) => ({
      angleDeg,
      valueMm: 0.01 * Math.sin((angleDeg * Math.PI) / 180),
    }));
    const turn = runout({ shaftMm: 60, readings, closingMm: 0.01, resolutionMm: 0.001, school: 'flat' });
    expect(turn.values.closureMm).toBe(0);
    const swept = sweep({ readings, closingMm: 0.01, resolutionMm: 0.001, wanted: 8, code: 'face' });
    expect(swept.findings).toEqual([]);
  });

  it('run-out in proportion ends at 0.08 mm (our own choice); FKM is not at ease in every acid (from memory)', () => {
    const big = runout({ shaftMm: 150, readings: [], resolutionMm: 0.001, school: 'proportional' });
    expect(big.values.limitMm).toBe(0.08);
    expect(elastomerGuide({ elastomer: 'FKM', fluid: 'acid', temperatureC: 60 }).findings[0]?.verdict).toBe(
      'caution',
    );
  });
});
