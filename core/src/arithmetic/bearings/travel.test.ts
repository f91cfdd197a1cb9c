import { describe, expect, it } from 'vitest';
import { parseLength } from '../../quantities/length.ts';
import { say } from '../../quantities/say.ts';
import { quietHand } from '../../testing/test-stand.ts';
import { type DriveUpForecastInput, driveUpForecast } from './drive-up-forecast.ts';
import { pitchSeen, sayPitch, sleevePitch } from './travel.ts';

describe('the pitch of a sleeve’s thread', () => {
  it('is typed as threads an inch too: 8 tpi is 3.175 mm (exact: an inch is 25.4 mm)', () => {
    expect(parseLength('8 tpi', 'mm')).toMatchObject({ ok: true, mm: 3.175 });
    expect(parseLength('12tpi', 'in')).toMatchObject({ ok: true, mm: 25.4 / 12 });
    expect(parseLength('0 tpi', 'mm')).toMatchObject({ ok: false });
    expect(say(sayPitch(25.4 / 12), 'mm')).toBe('2.12 mm (12 threads an inch)');
  });

  it('that is only supposed says so, and what closes as another would names that one', () => {
    expect(pitchSeen(2, 1.02, 0.02)).toBeNull();
    expect(pitchSeen(2, 1.58, 0.05)).toBeCloseTo(3.175, 9);
    expect(pitchSeen(2, 1.5, 0.02)).toBe(3);
    // Feelers too coarse to tell: nothing is named.
    expect(pitchSeen(2, 1.5, 0.3)).toBeNull();
  });

  it('bore 130, bench 0.140, 8 threads an inch on the sleeve, 2 mm supposed: warned before it is over-driven, and never advised past the band', () => {
    expect(sleevePitch(130)).toBe(2);
    const at = (deg: number) => ({
      angleDeg: deg,
      mm: 0.14 - (0.77 * 3.175 * Math.max(0, deg - 15)) / (360 * 12),
    });
    const readings: DriveUpForecastInput['readings'] = [];
    const forecast = (deg: number) => {
      const mm = Math.round(at(deg).mm / 0.005) * 0.005;
      readings.push({ angleDeg: deg, rowAMm: mm, rowBMm: mm });
      return driveUpForecast({
        ...{ boreMm: 130, taper: 12, clearanceClass: 'CN', benchMm: 0.14, pitchMm: 2, bladeStepMm: 0.005 },
        hand: quietHand(0.005),
        pitchAssumed: true,
        readings,
      });
    };
    let deg = 0;
    let told = forecast(deg);
    expect(told.findings.map((f) => f.code)).toContain('driveup.pitch-assumed');
    let warnedAt: number | null = null;
    for (let i = 0; i < 40 && (told.values.advice?.turnDeg ?? 0) > 0; i++) {
      deg += told.values.advice?.turnDeg ?? 0;
      told = forecast(deg);
      if (warnedAt === null && told.findings.some((f) => f.code === 'driveup.pitch'))
        warnedAt = told.values.reductionMm;
    }
    const { target, place } = told.values;
    expect(warnedAt).not.toBeNull();
    expect(warnedAt ?? 1).toBeLessThan(target.reductionMinMm ?? 0);
    expect(place).toBe('in-band');
    expect(0.14 - at(deg).mm).toBeLessThanOrEqual(target.reductionMaxMm ?? 0);
  });
});
