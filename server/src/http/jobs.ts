import {
  check,
  eventsRequestSchema,
  type FitUpSheet,
  fitUpSheet,
  type LengthUnit,
  readingsTable,
  reduce,
} from '@fulcrant/core';
import Papa from 'papaparse';
import { dueCalendar } from '../export/due-calendar.ts';
import { sealSheet } from '../export/seal.ts';
import { sheetPdf } from '../export/sheet-pdf.ts';
import { appendEvents, listJobs, readJob } from '../store/jobs.ts';
import { pageOf } from './paging.ts';
import { Problem } from './problem.ts';
import { type Call, EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

function jobId(call: Call): string {
  const id = call.params.id ?? '';
  if (!UUID.test(id)) throw new Problem(404, 'There is no such job.');
  return id;
}

async function sheetOf(
  call: Call,
): Promise<{ sheet: FitUpSheet; state: NonNullable<ReturnType<typeof reduce>> }> {
  const found = await readJob(call.house.db, jobId(call));
  const state = found ? reduce(found.events) : null;
  if (!found || !state) throw new Problem(404, 'There is no such job.');
  return { sheet: fitUpSheet(state, found.events, found.job.number), state };
}

export const jobs: Route[] = [
  {
    method: 'get',
    path: '/api/jobs',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const { state, position } = ctx.query;
      if (state !== undefined && state !== 'open' && state !== 'signed')
        throw new Problem(400, 'state is open or signed.');
      ctx.body = await listJobs(house.db, {
        ...pageOf(ctx),
        state,
        positionId: typeof position === 'string' ? position : undefined,
      });
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const after = Number(call.ctx.query.after ?? 0);
      if (!Number.isInteger(after) || after < 0)
        throw new Problem(400, 'after is the number of the last event seen.');
      const found = await readJob(call.house.db, jobId(call), after);
      if (!found) throw new Problem(404, 'There is no such job.');
      call.ctx.body = found;
    },
  },
  {
    method: 'post',
    path: '/api/jobs/:id/events',
    who: RECORDERS,
    async run(call, person) {
      const checked = check(eventsRequestSchema, call.body);
      if (!checked.ok) throw new Problem(400, 'That is not a batch of events.', checked.faults);
      call.ctx.body = await appendEvents(call.house.db, person, jobId(call), checked.value.events);
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/sheet.json',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet } = await sheetOf(call);
      call.ctx.body = sealSheet(sheet);
      call.ctx.attachment(`fit-up-sheet-${sheet.number}.json`, { type: 'inline' });
      call.ctx.type = 'application/json';
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/readings.csv',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet, state } = await sheetOf(call);
      // Text a person typed must not come to life as a formula in a spreadsheet.
      call.ctx.body = `${Papa.unparse(readingsTable(state), { escapeFormulae: true, newline: '\r\n' })}\r\n`;
      call.ctx.attachment(`readings-${sheet.number}.csv`);
      call.ctx.type = 'text/csv; charset=utf-8';
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/due.ics',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet, state } = await sheetOf(call);
      const calendar = dueCalendar(state, sheet.number ?? '');
      if (calendar === null) throw new Problem(404, 'Nothing falls due after this job.');
      call.ctx.body = calendar;
      call.ctx.attachment(`due-${sheet.number}.ics`);
      call.ctx.type = 'text/calendar; charset=utf-8';
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/sheet.pdf',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet, state } = await sheetOf(call);
      const unit: LengthUnit = call.ctx.query.units === 'in' ? 'in' : 'mm';
      const size = call.ctx.query.paper === 'letter' ? 'LETTER' : 'A4';
      call.ctx.body = await sheetPdf(sealSheet(sheet), state, { unit, size });
      call.ctx.attachment(`fit-up-sheet-${sheet.number}.pdf`, { type: 'inline' });
      call.ctx.type = 'application/pdf';
    },
  },
];
