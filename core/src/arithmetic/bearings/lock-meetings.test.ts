import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lockAlignment, lockMeetings, patternAngles } from './lock-alignment.ts';
import { lockMeasure, lockMeets } from './lock-stops.ts';

const sum = { boreMm: 100, taper: 12 as const, pitchMm: 2 };

describe('which hole to which slot', () => {
  it('7 holes and 4 slots: every pair by hand, the least of each', () => {
    // Holes stand at 0, 51.43, 102.86, 154.29, 205.71, 257.14, 308.57; slots at 0, 90, 180, 270 (geometry).
    const pairs = [0, 1, 2, 3, 4, 5, 6].flatMap((h) =>
      [0, 1, 2, 3].map((s) => ({
        hole: h + 1,
        slot: s + 1,
        deg: (((90 * s - (360 * h) / 7 - 20) % 360) + 360) % 360,
      })),
    );
    const least = pairs.reduce((a, b) => (b.deg < a.deg ? b : a));
    const got = lockMeetings({ count: 7 }, { count: 4 }, 20)[0];
    expect(got).toMatchObject({ slot: least.hole, tab: least.slot });
    expect(got?.deg).toBeCloseTo(least.deg, 5);
  });

  it('turned as far as it says, that slot stands at that tab, forward or back, for any patterns', () => {
    const pattern = fc.oneof(
      fc.record({ count: fc.integer({ min: 1, max: 20 }) }),
      fc.record({
        anglesDeg: fc.uniqueArray(fc.integer({ min: 0, max: 359 }), { minLength: 1, maxLength: 8 }),
      }),
    );
    const lead = fc.integer({ min: 0, max: 359 });
    fc.assert(
      fc.property(
        pattern,
        pattern,
        lead,
        fc.constantFrom('forward' as const, 'back' as const),
        (nut, lock, at, way) => {
          const all = lockMeetings(nut, lock, at, way);
          const [slots, tabs] = [patternAngles(nut), patternAngles(lock)];
          for (const m of all) {
            const turned = at + (slots[m.slot - 1] ?? 0) + (way === 'forward' ? m.deg : -m.deg);
            const off = ((((turned - (tabs[m.tab - 1] ?? 0)) % 360) + 540) % 360) - 180;
            expect(Math.abs(off)).toBeLessThan(1e-4);
          }
          // None nearer is left out.
          const least = Math.min(
            ...slots.flatMap((s) =>
              tabs.map((t) => ((((t - s - at) * (way === 'forward' ? 1 : -1)) % 360) + 360) % 360),
            ),
          );
          expect(Math.abs((all[0]?.deg ?? 0) - least) % 360).toBeLessThan(1e-4);
        },
      ),
    );
  });

  it('says slot, tab, angle, travel, and whether it lies in the band; a dismount nut goes back and drives nothing', () => {
    const on = lockAlignment({
      ...sum,
      nut: { count: 4 },
      washer: { count: 17 },
      forwardDeg: 3,
      reductionNowMm: 0.05,
      reductionMinMm: 0.045,
      reductionMaxMm: 0.06,
    });
    expect(on.values.least).toMatchObject({ slot: 1, tab: 1, forwardDeg: 3, inBand: true });
    expect(on.values.least?.travelMm).toBeCloseTo(2 / 120, 6);
    const back = lockAlignment({
      ...sum,
      nut: { anglesDeg: [0, 100] },
      washer: { count: 4 },
      forwardDeg: 7,
      way: 'back',
    });
    expect(back.values.least).toMatchObject({ slot: 1, tab: 1, forwardDeg: 7, costMm: 0 });
    expect(back.findings[0]?.reason).toMatchObject({
      id: 'arithmetic.bearings.slotMeetsTabBack',
      params: { slot: 1, tab: 1, forward: '7.0' },
    });
  });

  it('no gap to the next of 17 tabs is over 360/17 = 21.2° (geometry)', () => {
    const lock = { nutSlots: 4, washerTabs: 17 };
    expect(lockMeasure(lock).high).toBeCloseTo(21.18, 2);
    expect(lockMeets(lock, 3, 'forward')).toEqual({ forwardDeg: 3, slot: 1, tab: 1 });
    expect(lockMeets(lock, 3, 'back')).toEqual({ forwardDeg: 3, slot: 1, tab: 1 });
  });
});
