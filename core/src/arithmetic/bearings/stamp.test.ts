import { describe, expect, it } from 'vitest';
import { setupSchema } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { english } from '../../testing/english.ts';
import { setup } from '../../testing/test-stand.ts';
import { isSleeveShaft, usualShaft } from './sleeve-shaft.ts';
import { readStamp, stampAgainst } from './stamp.ts';

// The general numbering of rolling bearings: common practice, from memory.
describe('the stamp on the ring', () => {
  it.each([
    ['22218 K C3', { boreMm: 90, taper: 12, clearanceClass: 'C3' }],
    ['22218K/C3', { boreMm: 90, taper: 12, clearanceClass: 'C3' }],
    ['24148 CC K30', { boreMm: 240, taper: 30, clearanceClass: null }],
    ['230/500 K', { boreMm: 500, taper: 12, clearanceClass: null }],
    ['1210 K', { boreMm: 50, taper: 12, clearanceClass: null }],
    ['22205', { boreMm: 25, taper: null, clearanceClass: null }],
  ])('%s', (text, told) => expect(readStamp(text)).toEqual(told));
  it.each(['A 100', '', 'drawing 4711-22', '6205 C3', '12345678'])('“%s” is none', (text) =>
    expect(readStamp(text)).toBeNull(),
  );
  it('a stamp that contradicts the fields is said beside it; one that says nothing of them is not', () => {
    expect(stampAgainst('22218 K C3', { boreMm: 80, taper: 12, clearanceClass: 'CN' })).toEqual([
      { id: 'arithmetic.bearings.boreMmTyped', params: { bore: 90, bore2: 80 } },
      {
        id: 'arithmetic.bearings.classTyped',
        params: { clearanceClass: 'C3', clearanceClass2: { id: 'arithmetic.bearings.normal', params: {} } },
      },
    ]);
    expect(stampAgainst('22220 K', { boreMm: 100, taper: 12, clearanceClass: 'C4' })).toEqual([]);
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
