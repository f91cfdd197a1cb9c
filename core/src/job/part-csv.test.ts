import { describe, expect, it } from 'vitest';
import { allTrades } from '../engine/trades.ts';
import { partFields } from './part-card.ts';
import { partRows, partsFrom } from './part-csv.ts';

const row = (line: number, designation: string, trade: string, field: string, value: string) => ({
  line,
  designation,
  trade,
  source: 'sheet 4',
  field,
  value,
});

/** A choice that is a number is one in a card too. */
const choiceOf = (v: string) => (v !== '' && Number.isFinite(Number(v)) ? Number(v) : v);

describe('cards of parts as a file', () => {
  it('go out and come back the same, for every work that has cards', () => {
    for (const trade of allTrades()) {
      const fields = partFields(trade).filter(
        (f) => f.options || f.quantity === 'torque' || f.quantity === 'length',
      );
      const values = Object.fromEntries(
        fields.slice(0, 5).map((f) => [f.name, f.options ? choiceOf(f.options[0]?.[0] ?? '') : 12.5]),
      );
      if (fields.length === 0) continue;
      const card = { designation: `HB ${trade.id}`, trade: trade.id, source: 'sheet 4', values };
      const rows = partRows([card]).map((r, i) => ({ ...r, line: i + 2 }));
      const { cards, faults } = partsFrom(rows);
      expect(faults, trade.id).toEqual([]);
      expect(cards).toEqual([{ ...card, line: 2 }]);
    }
  });

  it('name every bad row, by its line; a field may be told by its label, a value with its unit', () => {
    const good = partsFrom([
      row(2, 'HB 61', 'seal', 'Gland bolts to', '34 N·m'),
      row(3, 'hb 61', 'Fit a seal', 'screwNm', '6'),
    ]);
    expect(good.faults).toEqual([
      { line: 3, message: { id: 'job.standsUnderAnotherWorkAbove', params: { designation: 'HB 61' } } },
    ]);
    const bad = partsFrom([
      row(2, '', 'seal', 'glandNm', '34'),
      row(3, 'HB 62', 'welding', 'glandNm', '34'),
      row(4, 'HB 63', 'seal', 'colour', 'red'),
      row(5, 'HB 63', 'seal', 'glandNm', 'tight'),
      row(6, 'HB 63', 'seal', 'Gland bolts to', '30'),
      row(7, 'HB 63', 'seal', 'screwNm', ' '),
    ]);
    expect(bad.faults.map((f) => f.line)).toEqual([2, 3, 4, 5, 6, 7]);
    expect(bad.cards).toEqual([]);
  });
});
