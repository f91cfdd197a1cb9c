import { describe, expect, it } from 'vitest';
import { allTrades } from '../engine/trades.ts';
import { english } from '../testing/english.ts';
import { sealTrade } from '../trades/seal/index.ts';
import { sleeveBearingTrade } from '../trades/sleeve-bearing/index.ts';
import { leftOf, partFields, readPart, showPart, withPart } from './part-card.ts';

const field = (name: string) => {
  const f = partFields(sleeveBearingTrade).find((x) => x.name === name);
  if (!f) throw new Error(name);
  return f;
};

describe('a card of a part', () => {
  it('says what its maker’s sheet says, never where, how it is measured, or by which house rule', () => {
    for (const trade of allTrades())
      for (const f of partFields(trade)) {
        expect(['machine', 'position', 'holdBefore', 'stations', 'angles']).not.toContain(f.name);
        expect(f.name).not.toMatch(/^(schools|measures|with)\./);
      }
    const names = partFields(sealTrade).map((f) => f.name);
    expect(names).toEqual(
      expect.arrayContaining(['glandNm', 'screwNm', 'maker.glandSpreadMm', 'faces.springN']),
    );
  });

  it('is typed as people type, in either unit, and said back', () => {
    const read = readPart(
      sleeveBearingTrade,
      { 'maker.benchLowerMm': '3 thou', 'maker.torqueNm': '80 lbf·ft', clearanceClass: 'C3' },
      'in',
    );
    expect('values' in read && read.values).toMatchObject({
      'maker.benchLowerMm': 0.0762,
      clearanceClass: 'C3',
    });
    // 80 lbf·ft = 108.465 N·m.
    expect('values' in read && read.values['maker.torqueNm']).toBeCloseTo(108.465, 2);
    expect(english(showPart(field('maker.benchLowerMm'), 0.0762, 'in'))).toBe('0.003 in');
    expect(english(showPart(field('clearanceClass'), 'C3', 'mm'))).toContain('C3');
  });

  it('what cannot be read has its sentence at its field; what is empty says nothing', () => {
    const read = readPart(sleeveBearingTrade, { 'maker.benchLowerMm': 'thin', 'maker.torqueNm': '' }, 'mm');
    expect('faults' in read && Object.keys(read.faults)).toEqual(['maker.benchLowerMm']);
    expect(readPart(sleeveBearingTrade, {}, 'mm')).toEqual({ values: {} });
  });

  it('goes into a setup beside what stands there, and what the job then says otherwise is told', () => {
    const setup = withPart(
      { machine: 'M', maker: { torqueNm: 100 } },
      { boreMm: 120, 'maker.benchLowerMm': 0.09 },
    );
    expect(setup).toEqual({ machine: 'M', boreMm: 120, maker: { torqueNm: 100, benchLowerMm: 0.09 } });
    expect(leftOf({ ...setup, boreMm: 110 } as never, { boreMm: 120, 'maker.benchLowerMm': 0.09 })).toEqual([
      'boreMm',
    ]);
  });
});
