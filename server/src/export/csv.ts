import { sayAll } from '@fulcrant/core/units';
import Papa from 'papaparse';

/**
 * What a spreadsheet would run as a formula: text that begins with one of these signs. A plain number with its sign, alone or with
 * its unit, is a number and stays one: a sum over the column counts it.
 */
const FORMULA = /^(?:[=@\t\r]|[+-](?!\d+(?:\.\d+)?(?:e[+-]?\d+)?(?: ?[a-zµ°%·]{1,6})?$))/i;

/** What a table is written from: rows of cells with the heading first, or one object a row. */
type Rows = ReadonlyArray<ReadonlyArray<unknown>> | ReadonlyArray<Record<string, unknown>>;

/**
 * A table as CSV (RFC 4180), one line a row, each closed by CR LF; texts by id are put into words. Numbers are written as numbers; text that would come to life as a
 * formula is written with an apostrophe before it.
 * @param columns the columns to write, in order, where the rows are objects
 */
export const csvOf = (told: Rows, columns?: readonly string[]): string => {
  const rows = sayAll(told, 'mm') as Rows;
  const table = columns
    ? {
        fields: [...columns],
        data: (rows as ReadonlyArray<Record<string, unknown>>).map((row) => columns.map((c) => row[c])),
      }
    : (rows as unknown[]);
  const text = Papa.unparse(table as Parameters<typeof Papa.unparse>[0], {
    newline: '\r\n',
    escapeFormulae: FORMULA,
  });
  return text.endsWith('\r\n') ? text : `${text}\r\n`;
};
