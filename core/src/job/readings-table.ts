import { placeAt } from '../engine/admit.ts';
import type { EventDataOf } from '../engine/events.ts';
import { roundOf } from '../engine/facts.ts';
import type { JobState } from '../engine/state.ts';
import type { Instrument } from '../instruments/instrument.ts';
import type { Text } from '../message/message.ts';
import { expr, isText } from '../message/message.ts';
import type { LengthUnit } from '../quantities/length.ts';
import type { FitUpSheet } from '../sheet/form.ts';
import { M } from './messages.ts';
import { readValue } from './read-value.ts';

/** Columns of a table of readings, as it is written and as it may be read. */
const COLUMNS = ['step', 'place', 'value', 'unit', 'gauge', 'taken', 'by', 'measuring', 'withdrawn'] as const;

/** Every reading of a sheet as rows of text, heading first: each in the unit open data carries it in. */
export function readingsTable(sheet: Pick<FitUpSheet, 'readings'>): string[][] {
  const rows = sheet.readings.map((r) => [
    r.step,
    r.place,
    String(r.value),
    r.unit,
    r.instrument,
    r.at,
    r.by,
    String(r.measuring),
    r.withdrawn?.reason ?? '',
  ]);
  return [[...COLUMNS], ...rows];
}

export type TableRow = { line: number; data: EventDataOf<'reading.taken'> };
export type TableFault = { line: number; message: Text };

type Context = {
  state: JobState;
  /** The step the rows are for where they do not say. */
  step: string;
  unit: LengthUnit;
  gauges: readonly Instrument[];
  /** The gauge in hand, for rows that name none. */
  gauge: Instrument | null;
};

/** One reading a table gives, not yet looked at. */
type Cell = { line: number; step: string; place: string; text: string; gauge: string };

const heading = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, ' ');

/**
 * Read a table typed in a spreadsheet: rows of `place, value` or `station, angle, value` (with step, unit and gauge where
 * wanted), or a matrix with angles down the first column and stations across. Each bad row is named with its line and what
 * is wrong; the good ones come back as readings to take. Whether a place may be read is asked of the job itself.
 */
export function readReadingsTable(
  rows: ReadonlyArray<readonly string[]>,
  context: Context,
): { readings: TableRow[]; faults: TableFault[] } {
  const head = (rows[0] ?? []).map(heading);
  const cells = cellsOf(head, rows, context);
  if ('message' in cells) return { readings: [], faults: [{ line: 1, message: cells.message }] };
  const readings: TableRow[] = [];
  const faults: TableFault[] = [];
  const seen = new Map<string, number>();
  // Rows build on rows: a turn may be closed, a place repeated, by a row further down.
  let state = context.state;
  for (const cell of cells.cells) {
    const key = `${cell.step} ${cell.place}`;
    const before = seen.get(key);
    const read =
      before === undefined
        ? readCell(cell, { ...context, state })
        : { message: M.standsLineAlready2({ place: cell.place, before }) };
    if ('message' in read) faults.push({ line: cell.line, message: read.message });
    else {
      seen.set(key, cell.line);
      readings.push({ line: cell.line, data: read.data });
      state = withReading(state, read.data);
    }
  }
  if (cells.cells.length === 0) faults.push({ line: 1, message: M.thereNoRowReading });
  return { readings, faults };
}

/** The job as if a reading had been taken, for asking what may be read after it. */
const withReading = (state: JobState, data: EventDataOf<'reading.taken'>): JobState => ({
  ...state,
  readings: [
    ...state.readings,
    { ...state.opened, ...data, id: '', attempt: state.attempt, round: roundOf(state, data.step) },
  ],
});

function cellsOf(
  head: string[],
  rows: ReadonlyArray<readonly string[]>,
  context: Context,
): { cells: Cell[] } | { message: Text } {
  const at = (...names: string[]) => head.findIndex((h) => names.includes(h));
  const value = at('value', 'reading', 'diameter', 'mm', 'in');
  const [place, station, angle] = [at('place'), at('station'), at('angle', 'angle deg', 'deg', '°')];
  const body = rows.slice(1).map((r, i) => ({ r, line: i + 2 }));
  const filled = body.filter(({ r }) => r.some((c) => c.trim() !== ''));
  if (value < 0 && angle === 0 && head.length > 1) return { cells: matrixCells(head, filled, context.step) };
  if (value < 0 || (place < 0 && angle < 0 && station < 0))
    return {
      message: M.firstLineNamesColumnsPlace,
    };
  const [step, unit, gauge, withdrawn] = [at('step'), at('unit'), at('gauge', 'instrument'), at('withdrawn')];
  const cell = (r: readonly string[], i: number) => (i < 0 ? '' : (r[i] ?? '').trim());
  const cells = filled
    // A table this application wrote has withdrawn readings in it; they are not taken again.
    .filter(({ r }) => cell(r, withdrawn) === '')
    .map(({ r, line }) => {
      const named = cell(r, value) === '' ? '' : `${cell(r, value)} ${cell(r, unit)}`.trim();
      const byAngle = `${station < 0 ? 'turn' : `s${cell(r, station).replace(/^(station|s)\s*/i, '')}`}/${Number(cell(r, angle).replace(/°$/, '').replace(',', '.'))}`;
      return {
        line,
        step: cell(r, step) || context.step,
        place: cell(r, place) || byAngle,
        text: named,
        gauge: cell(r, gauge),
      };
    });
  return { cells };
}

function matrixCells(
  head: string[],
  body: Array<{ r: readonly string[]; line: number }>,
  step: string,
): Cell[] {
  return body.flatMap(({ r, line }) =>
    head.slice(1).flatMap((name, i): Cell[] => {
      const text = (r[i + 1] ?? '').trim();
      if (text === '') return [];
      const station = name.replace(/^(station|s)\s*/, '');
      const angle = Number((r[0] ?? '').trim().replace(/°$/, '').replace(',', '.'));
      return [{ line, step, place: `s${station}/${angle}`, text, gauge: '' }];
    }),
  );
}

function readCell(cell: Cell, c: Context): { data: EventDataOf<'reading.taken'> } | { message: Text } {
  if (cell.text === '') return { message: M.hasNoValue2({ place: cell.place }) };
  const place = placeAt(c.state, cell.step, cell.place);
  if (isText(place)) return { message: expr`${cell.place}: ${place}` };
  const read = readValue(cell.text, place.quantity, c.unit, undefined, place.nominalMm);
  if ('message' in read) return { message: expr`${cell.place}: ${read.message}` };
  const gauge =
    cell.gauge === '' ? c.gauge : c.gauges.find((g) => g.name === cell.gauge || g.id === cell.gauge);
  if (!gauge)
    return {
      message:
        cell.gauge === ''
          ? M.noGaugeNamedNoneHand({ place: cell.place })
          : M.notRegisterGauges({ place: cell.place, gauge: cell.gauge }),
    };
  return {
    data: {
      step: cell.step,
      place: cell.place,
      value: read.value,
      raw: cell.text.slice(0, 40),
      instrument: gauge,
      via: 'file',
    },
  };
}
