import { describe, expect, it } from 'vitest';
import type { StepReport } from '../engine/state.ts';
import { bolts } from '../steps/bolts.ts';
import { refuses, step, toBolts } from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { Instrument } from './instrument.ts';
import { INSTRUMENT_KINDS } from './kinds.ts';
import { reaches } from './reach.ts';
import { isWay, needsDate, outOfDate, USUAL_STEP, unlisted, WAYS } from './unlisted.ts';

const byHand = unlisted('wrench', 'by-hand', 'By hand', 1);
const borrowed = unlisted('wrench', 'n-1', 'Borrowed wrench', 5);
/** The cap's bolts hand tight, then drawn with a wrench as far as asked. */
const tell = (h: BearingHand, instrument: Instrument, torqueNm: number, pass: number) =>
  h.do('bolts.tightened', { step: 'bolts', pass, bolts: [1, 3, 2, 4], torqueNm, instrument });
/** What the pass at hand is drawn to. */
const wanted = (h: BearingHand): number => bolts.valuesOf(step(h, 'bolts').report)?.next?.torqueNm ?? 0;
const cautions = (report: StepReport | null | undefined) =>
  report?.findings.filter((f) => f.code.startsWith('gauge.') || f.code.includes('wrench')).map((f) => f.code);

describe('a gauge that is not listed', () => {
  it('by hand tells hand tight and no torque at all', () => {
    const h = toBolts();
    tell(h, byHand, 0, 0);
    refuses(() => tell(h, byHand, wanted(h), 1), /does not reach/);
  });

  it('a wrench nobody listed tightens, with a caution that its calibration is not known and none of its range', () => {
    const h = toBolts();
    tell(h, byHand, 0, 0);
    tell(h, borrowed, wanted(h), 1);
    expect(cautions(step(h, 'bolts').report)).toEqual(['gauge.n-1']);
  });

  it('what only calls itself by eye is a gauge somebody named', () => {
    expect(WAYS.every((w) => isWay(unlisted(w.kind, w.id, 'any language', w.step)))).toBe(true);
    expect(isWay(unlisted('micrometer', 'by-eye', 'By eye', 0.001))).toBe(false);
    expect(isWay(unlisted('protractor', 'by-eye', 'By eye', 0.1))).toBe(false);
    expect(isWay({ ...unlisted('protractor', 'by-eye', 'By eye', 5), unlisted: false })).toBe(false);
  });

  it.each(INSTRUMENT_KINDS)('%s: has a usual step, and reaches what is read with it', (kind) => {
    const g = unlisted(kind, 'n-2', 'any', USUAL_STEP[kind]);
    for (const value of kind === 'thermometer' ? [-20, 90] : [0, 1, 360])
      expect(reaches(g, value)).toBe(true);
  });

  it('without a date it is never out of date; kinds kept without one need none (common practice, no source)', () => {
    expect(outOfDate({}, '2099-01-01')).toBe(false);
    expect(outOfDate({ calibrationDue: '2026-01-01' }, '2026-01-02')).toBe(true);
    expect(
      ['feeler', 'caliper', 'micrometer', 'wrench', 'pressure'].map((k) => needsDate(k as never)),
    ).toEqual([false, false, true, true, true]);
  });
});
