import { describe, expect, it } from 'vitest';
import { setupSchema } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { english } from '../../testing/english.ts';
import { setup } from '../../testing/test-stand.ts';
import { isSleeveShaft, usualShaft } from './sleeve-shaft.ts';
import { readStamp, stampAgainst, stampQueries, stampSays } from './stamp.ts';

// The general numbering of rolling bearings: common practice, from memory.
describe('the stamp on the ring', () => {
  it.each(['A 100', '', 'drawing 4711-22', '6205 C3', '12345678'])('“%s” is none', (text) =>
    expect(readStamp(text)).toBeNull(),
  );
  it('a stamp that contradicts the fields is said beside it; one that says nothing of them is not', () => {
    expect(stampAgainst('22218 K C3', { boreMm: 80, taper: 12, clearanceClass: 'CN' })).toEqual([
      { id: 'arithmetic.bearings.boreMmTyped', params: { bore: 90, bore2: 80 } },
      {
        id: 'arithmetic.bearings.classTyped',
        params: { clearanceClass: 'C3', clearanceClass2: { id: 'common.normal', params: {} } },
      },
    ]);
    expect(stampAgainst('22220 K', { boreMm: 100, taper: 12, clearanceClass: 'C4' })).toEqual([]);
    expect(stampAgainst('24144CCK30/W33', { boreMm: 220, taper: 12, clearanceClass: 'CN' })).toHaveLength(1);
    const wrong = check(setupSchema, { ...setup, partNumber: '22218 K C3' });
    expect(english(wrong.ok ? [] : wrong.faults)).toEqual([
      {
        path: 'partNumber',
        message: expect.stringMatching(/90 mm, typed is 100; class C3, typed is normal/),
      },
    ]);
    expect(check(setupSchema, { ...setup, partNumber: '22220 K' }).ok).toBe(true);
  });
});

describe('what of a stamp has to be looked at', () => {
  const said = (text: string, sleeve = true) => english(stampQueries(text, { sleeve })).join(' ');
  it('no K is a cylindrical bore, and fits no sleeve; on another job it is as it should be', () => {
    expect(said('22220')).toMatch(/No K on the stamp: the bore is cylindrical/);
    expect(said('22220', false)).toBe('');
    expect(stampSays('22220', ['boreMm', 'taper'])).toEqual({ boreMm: 100 });
  });
  it('what is not understood is named; what is not a stamp is said to be none', () => {
    expect(said('22220 K C3 QX7')).toMatch(/Not understood: QX7/);
    expect(said('24040 K')).toMatch(/does not give the taper clearly/);
    expect(said('22220 K C9')).toMatch(/clearance class clearly.*Not understood: C9/);
    expect(said('drawing 4711-22')).toMatch(/not understood/);
    expect(said('')).toBe('');
  });
  it('class and taper run together are both told: the class is never taken as normal without a word', () => {
    expect(stampSays('22220kc3', ['boreMm', 'taper', 'clearanceClass'])).toEqual({
      boreMm: 100,
      taper: 12,
      clearanceClass: 'C3',
    });
  });
});

// ISO 2982-1 sizes, from memory.
describe('the shaft under a sleeve', () => {
  it('bore 100 sits on 90, bore 200 on 180; a shaft of 40 under a bore of 200 is refused at its field', () => {
    expect(usualShaft(100)).toBe(90);
    expect(usualShaft(200)).toBe(180);
    expect(isSleeveShaft(61.9, 70)).toBe(true);
    expect(isSleeveShaft(40, 200)).toBe(false);
    const wrong = check(setupSchema, { ...setup, boreMm: 200, shaftMm: 40 });
    expect(wrong.ok ? [] : wrong.faults.map((f) => f.path)).toContain('shaftMm');
  });
});
