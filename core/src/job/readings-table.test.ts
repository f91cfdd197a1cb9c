import { describe, expect, it } from 'vitest';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { gauge, hand, round, surveyor, tools } from '../testing/test-stand.ts';
import { readingsTable, readReadingsTable } from './readings-table.ts';

const mic = gauge('Micrometer 4', 'micrometer', 0.001, 75, 100);
const at = () => hand().safe();
const read = (rows: string[][], h = at(), unit: 'mm' | 'in' = 'mm') =>
  readReadingsTable(rows, { state: h.state, step: 'shaft', unit, gauges: [mic, tools.feeler], gauge: mic });

describe('a table of readings', () => {
  it('is written with every reading, withdrawn ones too', () => {
    const h = at().survey(round);
    const rows = readingsTable(fitUpSheet(h.state, null));
    expect(rows[0]).toEqual([
      'step',
      'place',
      'value',
      'unit',
      'gauge',
      'taken',
      'by',
      'measuring',
      'withdrawn',
    ]);
    expect(rows).toHaveLength(10);
    expect(rows[1]?.slice(0, 5)).toEqual(['shaft', 's1/0', '89.974', 'mm', 'mic']);
  });

  it('what was written is read back into another job', () => {
    const rows = readingsTable(fitUpSheet(at().survey(round).state, null)).map((r) =>
      r.map((c) => (c === 'mic' ? '' : c)),
    );
    const { readings, faults } = read(rows);
    expect(faults).toEqual([]);
    expect(readings.map((r) => r.data.value)).toEqual(round);
    expect(readings[0]?.data).toMatchObject({ step: 'shaft', place: 's1/0', via: 'file', raw: '89.974 mm' });
  });

  it('takes station, angle, value as typed in a spreadsheet, units and decimal commas and all', () => {
    const { readings, faults } = read([
      ['Station', 'Angle', 'Diameter', 'Unit'],
      ['1', '0', '89,974', ''],
      ['station 1', '60°', '3.54220', 'in'],
      ['', '', '', ''],
      ['2', '120', '89.97', 'mm'],
    ]);
    expect(faults).toEqual([]);
    expect(readings.map((r) => [r.line, r.data.place])).toEqual([
      [2, 's1/0'],
      [3, 's1/60'],
      [5, 's2/120'],
    ]);
    expect(readings[1]?.data.value).toBeCloseTo(89.97188, 9);
  });

  it('takes a matrix: angles down, stations across, empty cells left out', () => {
    const { readings, faults } = read([
      ['angle', 'Station 1', 's2', '3'],
      ['0', '89.974', '89.973', ''],
      ['60', '', '89.971', '89.970'],
    ]);
    expect(faults).toEqual([]);
    expect(readings.map((r) => r.data.place)).toEqual(['s1/0', 's2/0', 's2/60', 's3/60']);
  });

  it('names each bad row with its line and what is wrong; the good ones still come', () => {
    const h = at().read('shaft', 's1/0', 89.974, 'micrometer');
    const { readings, faults } = read(
      [
        ['place', 'value', 'gauge'],
        ['s1/0', '89.974', ''],
        ['s1/60', 'ninety', ''],
        ['s1/120', '', ''],
        ['s7/0', '89.97', ''],
        ['s2/0', '89.973', 'Micrometer 9'],
        ['s2/60', '89.971', 'Micrometer 4'],
        ['s2/60', '89.971', ''],
      ],
      h,
    );
    expect(readings.map((r) => r.data.place)).toEqual(['s2/60']);
    expect(faults.map((f) => f.line)).toEqual([2, 3, 4, 5, 6, 8]);
    expect(english(faults.map((f) => f.message)).join('\n')).toMatch(
      /already has a reading[\s\S]*not a length[\s\S]*has no value[\s\S]*no such place[\s\S]*not in the register[\s\S]*stands in line 7 already/,
    );
  });

  it('a turn of an indicator, by angle alone at a face, by station at a run-out', () => {
    const h = surveyor({}, { measures: ['face'] }).safe();
    const dial = gauge('Dial 1', 'dial', 0.01, 0, 5);
    const { readings, faults } = readReadingsTable(
      [
        ['angle', 'reading'],
        ['0', '0'],
        ['22,5', '-0.02'],
        ['360', '0.01'],
        ['400', '0.01'],
      ],
      { state: h.state, step: 'face', unit: 'mm', gauges: [dial], gauge: dial },
    );
    expect(readings.map((r) => r.data.place)).toEqual(['turn/0', 'turn/22.5', 'turn/360']);
    expect(english(faults)).toEqual([{ line: 5, message: 'turn/400: There is no such place on this face.' }]);
  });

  it('without columns it knows, or without rows, it says what it wants', () => {
    expect(read([['a', 'b']]).faults[0]?.message).toMatchObject({ id: 'job.firstLineNamesColumnsPlace' });
    expect(read([]).faults[0]?.message).toMatchObject({ id: 'job.firstLineNamesColumnsPlace' });
    expect(read([['place', 'value']]).faults[0]?.message).toMatchObject({ id: 'job.thereNoRowReading' });
  });
});
