import { describe, expect, it } from 'vitest';
import { setupSchema } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { handAt } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { wornSeal } from './example.ts';
import type { WearWatchValues } from './wear-watch.ts';

const report = (h: BearingHand, step: string) => h.state.steps.find((s) => s.id === step)?.report;

/** The numbers of a step, as its kind made them. */
function values<T>(h: BearingHand, step: string): T {
  return report(h, step)?.values as T;
}

describe('a seal in service', () => {
  it('is measured against its baseline; the robust line says the day the service is due', () => {
    const h = handAt({ ...wornSeal, fittedOn: '2026-08-16' }).safe();
    // The hand began on 2026-11-24: a hundred days on, three tenths worn.
    h.read('wear', 'wear/1', 0.9, 'caliper');
    const came = values<WearWatchValues>(h, 'wear');
    expect(came.points[1]?.days).toBeCloseTo(100.3, 0);
    // The baseline and one reading tell no day.
    expect(came.dueDays).toBeNull();
    // Looked at again after a quarter of a year.
    expect(Date.parse(came.dueAt ?? '') - Date.parse(h.events.at(-1)?.at ?? '')).toBeCloseTo(
      91 * 86_400_000,
      -6,
    );
    // 1.2 − 0.3 per 100 days: flush after 400. Three readings tell it, with a band.
    h.wait(60 * 24 * 100).read('wear', 'wear/2', 0.6, 'caliper');
    const told = values<WearWatchValues>(h, 'wear');
    expect(told.dueDays).toBeCloseTo(401, 0);
    expect(told.dueOn).toBe('2027-09-20');
    expect(Date.parse(told.dueBand?.from ?? '')).toBeLessThan(Date.parse('2027-09-20'));
    expect(Date.parse(told.dueBand?.to ?? '')).toBeGreaterThan(Date.parse('2027-09-20'));
    h.wait(60 * 24 * 250).read('wear', 'wear/3', -0.05, 'caliper');
    expect(report(h, 'wear')?.findings[0]).toMatchObject({ code: 'wear', verdict: 'reject' });
  });

  it('is not opened on a day that is none, or with a baseline that is worn already', () => {
    const fault = (change: object) => {
      const answered = check(setupSchema, { ...wornSeal, ...change });
      return answered.ok ? [] : answered.faults.map((f) => f.path);
    };
    expect(fault({ fittedOn: '26.11.2026' })).toEqual(['fittedOn']);
    expect(fault({ baselineMm: 0 })).toEqual(['baselineMm']);
  });
});
