import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { admit, placeAt } from '../engine/admit.ts';
import { eventSchema, type JobEvent } from '../engine/events.ts';
import { gather, reduce } from '../engine/judge.ts';
import { setupSchema } from '../engine/trades.ts';
import { check } from '../judgement/sentences.ts';
import { english } from '../testing/english.ts';
import { asta, hand, JOB, newId, setup, toBolts, tools, whole } from '../testing/test-stand.ts';
import { sleeveBearing as sleeveBearingOf } from '../trades/sleeve-bearing/procedure.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import { fitUpSheet } from './sheet.ts';

const sleeveBearing = sleeveBearingOf(setup);

describe('the reducer', () => {
  it('an event met twice is one event', () => {
    const h = toBolts();
    expect(reduce([...h.events, ...h.events])).toEqual(h.state);
    expect(gather([])).toBeNull();
  });

  it('in every state on the way, what is refused is refused with a sentence, and what the next place is can be read', () => {
    const events = whole().events;
    const tries = (jobId: string): JobEvent[] =>
      [
        ...sleeveBearing.steps.map((s) => ({ type: 'step.passed' as const, data: { step: s.id } })),
        {
          type: 'reading.taken' as const,
          data: { step: 'driveup', place: 'deg0/A/1', value: 0.1, raw: '', instrument: tools.feeler },
        },
        {
          type: 'bolt.tightened' as const,
          data: { pass: 0, bolt: 3, torqueNm: 0, instrument: tools.wrench },
        },
        { type: 'sheet.signed' as const, data: { name: 'Asta' } },
      ].map((e) => ({ id: newId(), jobId, at: '2026-11-24T12:00:00Z', author: asta, ...e }) as JobEvent);
    for (let n = 1; n <= events.length; n++) {
      const state = reduce(events.slice(0, n));
      if (!state) throw new Error('opened');
      const at = state.steps.findIndex((s) => s.id === state.present);
      for (const e of tries(JOB)) {
        const refusal = admit(state, e);
        if (refusal !== null) expect(english(refusal)).toMatch(/[.?:]/);
        // Nothing beyond the present step is ever let through.
        if (e.type === 'step.passed' && sleeveBearing.steps.findIndex((s) => s.id === e.data.step) !== at)
          expect(refusal).not.toBeNull();
        if (e.type === 'sheet.signed' && state.present !== 'sign') expect(refusal).not.toBeNull();
      }
      const next = state.steps[at]?.report?.next;
      if (next && state.present)
        expect(english(placeAt(state, state.present, next.key))).toEqual(english(next));
      expect(state.steps.filter((s) => s.status === 'present')).toHaveLength(state.signed ? 0 : 1);
    }
  });

  it('any order of admitted acts leaves one present step with all before it done', () => {
    const all = whole().events;
    fc.assert(
      fc.property(fc.shuffledSubarray(all.slice(1), { minLength: 5 }), (subset) => {
        let events: JobEvent[] = all.slice(0, 1);
        for (const e of subset) {
          const state = reduce(events);
          if (admit(state, e) === null) events = [...events, e];
        }
        const state = reduce(events);
        const statuses = state?.steps.map((s) => s.status) ?? [];
        const at = statuses.indexOf('present');
        if (at >= 0) {
          expect(statuses.slice(0, at).every((s) => s === 'done')).toBe(true);
          expect(statuses.slice(at + 1).every((s) => s === 'closed')).toBe(true);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('the sheet and the shapes', () => {
  it('carries every reading with who, when and instrument, every limit with its source, and no marks of ours', () => {
    const h = whole();
    const sheet = fitUpSheet(h.state, 'H-0001');
    expect(sheet.readings).toHaveLength(h.state.readings.length);
    for (const r of sheet.readings)
      expect(r.by && r.at && r.instrument && r.typed && r.calibrationDue).toBeTruthy();
    expect(sheet.bolts).toHaveLength(20);
    expect(sheet.results).toMatchObject({ largestMm: 89.976, smallestMm: 89.97, nutDeg: 153 });
    expect(sheet.results.residualMm).toBeCloseTo(0.0475, 6);
    expect(sheet.sources.map((s) => s.id)).toEqual(
      expect.arrayContaining(['iso-286', 'iso-5753', 'bearing-handbooks', 'short-torque']),
    );
    expect(JSON.stringify(english(sheet))).not.toMatch(/[⟦⟧]/);
    expect(sheet.steps.every((s) => s.status === 'done')).toBe(true);
  });

  it('events are checked strictly: unknown fields, wrong versions of id, wild numbers', () => {
    const [opened] = hand().events;
    expect(check(eventSchema, opened).ok).toBe(true);
    const faults = (change: object) => {
      const r = check(eventSchema, { ...opened, ...change });
      return r.ok ? [] : r.faults.map((f) => f.message);
    };
    expect(english(faults({ extra: 1 })).join()).toMatch(/Unknown here: extra/);
    expect(english(faults({ id: 'x' })).join()).toMatch(/version 7/);
    expect(english(faults({ type: 'job.erased' })).join()).toMatch(/one of/);
    expect(english(faults({ at: 'yesterday' })).join()).toMatch(/time of an event/);
    expect(english(faults({ at: '2026-13-45T06:30:00Z' })).join()).toMatch(/not a real time/);
    expect(faults({ data: { positionId: JOB, setup: { ...setup, boreMm: Number.NaN } } })).not.toEqual([]);
  });

  it('a setup that cannot be is refused in words', () => {
    const fault = (change: Partial<SleeveSetup>) => {
      const r = check(setupSchema, { ...setup, ...change });
      return r.ok ? '' : english(r.faults.map((f) => f.message)).join();
    };
    expect(fault({})).toBe('');
    expect(fault({ shaftMm: 100 })).toMatch(/sleeve stands between/);
    expect(fault({ boltCount: 5 })).toMatch(/even number/);
    expect(fault({ hollowBoreMm: 95 })).toMatch(/thicker/);
    expect(fault({ maker: { reductionMinMm: 0.06, reductionMaxMm: 0.05 } })).toMatch(/lower limit/);
    expect(fault({ machine: '' })).toMatch(/machine is missing/);
  });
});
