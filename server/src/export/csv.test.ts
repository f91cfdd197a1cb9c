import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { csvOf } from './csv.ts';

/** What a spreadsheet holds after it has read a file: a number where the cell is one. */
const read = (csv: string) =>
  Papa.parse<Array<number | string>>(csv, { dynamicTyping: true, skipEmptyLines: true }).data;

describe('a table as CSV', () => {
  it('leaves every number a number, negative ones too, however it came', () => {
    const numbers = [-0.002, 0.004, -12, 1e-7, -3.5e-8, 0];
    expect(read(csvOf([['n'], ...numbers.map((n) => [n])])).slice(1)).toEqual(numbers.map((n) => [n]));
    expect(read(csvOf([['n'], ...numbers.map((n) => [String(n)])])).slice(1)).toEqual(
      numbers.map((n) => [n]),
    );
  });

  it('a swing summed from the file is the swing of the readings', () => {
    const readings = ['-0.002', '0.004', '0.010'];
    const column = read(csvOf([['value'], ...readings.map((r) => [r])]))
      .slice(1)
      .map(([v]) => Number(v));
    expect(Math.max(...column) - Math.min(...column)).toBeCloseTo(0.012, 9);
  });

  // The usual four signs, tab and carriage return: OWASP, “CSV Injection”.
  it.each(['=1+1', '+1+1', '-2+3', '@SUM(A1)', '\t=1', '\r=1', "-1+cmd|' /C calc'!A0", '-', '+x'])(
    'takes the life out of %j',
    (text) => {
      const back = Papa.parse<string[]>(csvOf([['note'], [text]]), { newline: '\r\n' }).data[1]?.[0];
      expect(back).toBe(`'${text}`);
    },
  );

  it.each(['-0.02 mm', '-3 thou', '-5 °C', '-0.5%'])(
    'a value with its unit stays as it was typed: %s',
    (text) => {
      expect(csvOf([['v'], [text]])).toContain(`\r\n${text}`);
    },
  );

  it('writes the columns asked for, in order, heading first, and each row closed', () => {
    expect(csvOf([{ b: 2, a: 1, c: 3 }], ['a', 'b'])).toBe('a,b\r\n1,2\r\n');
    expect(csvOf([], ['a', 'b'])).toBe('a,b\r\n');
  });
});
