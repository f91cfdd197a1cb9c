import { eventsRequestSchema } from '@fulcrant/core/api';
import { readingsTable } from '@fulcrant/core/forms';
import { factsOf } from '@fulcrant/core/job';
import { check } from '@fulcrant/core/judgement';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import type { LengthUnit } from '@fulcrant/core/units';
import type { Context } from 'koa';
import { hashOf, type SealedSheet, sealed } from '../export/canonical.ts';
import { csvOf } from '../export/csv.ts';
import { dueCalendar } from '../export/due-calendar.ts';
import { appendEvents, foldJob } from '../store/append.ts';
import type { Folded } from '../store/bounded.ts';
import type { Database } from '../store/database.ts';
import { findJobs, fixedJobs, jobMark, jobRow, jobsInOrder, jobText, signedJobs } from '../store/jobs.ts';
import { jobNumber } from '../store/numbers.ts';
import { readPhoto } from '../store/photos.ts';
import { plantOf } from '../store/plant.ts';
import { PLANT_ZONE } from '../store/rules.ts';
import { notesAfter, readFrozen } from '../store/sheets.ts';
import { asBuffer } from './bytes.ts';
import { limitOf, pageOf, positionOf, typedOf } from './paging.ts';
import { Problem } from './problem.ts';
import { type Call, EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

function jobId(call: Call): string {
  const id = call.params.id ?? '';
  if (!UUID.test(id)) throw new Problem(404, 'There is no such job.');
  return id;
}

/** `?revision=`: which signed revision; nothing for the sheet as it stands. */
function revisionOf(ctx: Context): number | undefined {
  const { revision } = ctx.query;
  if (revision === undefined) return undefined;
  const n = Number(revision);
  if (!Number.isInteger(n) || n < 1) throw new Problem(400, 'revision is a whole number from 1.');
  return n;
}

/**
 * The sheet of a job: as it was signed where it is, or where a revision is asked for; else as the work stands now. `since` are the notes
 * written under a signature.
 */
async function sheetOf(call: Call): Promise<{ sheet: SealedSheet; since: FitUpSheet['notes'] }> {
  const { db } = call.house;
  const id = jobId(call);
  const revision = revisionOf(call.ctx);
  const found = await jobRow(db, id);
  if (!found) throw new Problem(404, 'There is no such job.');
  if (revision === undefined && found.row.state === 'open') {
    const folded = await foldedNow(db, id, found.row.event_count);
    const { state, serial } = folded;
    const facts = factsOf(state);
    const sheet = await db.workshop.do('sheet', { facts, number: jobNumber(serial), zone: PLANT_ZONE });
    return { sheet: sealed(sheet), since: [] };
  }
  const kept = await readFrozen(db, id, revision);
  if (!kept) throw new Problem(404, 'That revision of the sheet was never signed.');
  const sheet = JSON.parse(kept.canonical) as FitUpSheet;
  const since = revision === undefined ? await notesAfter(db, id, kept.eventCount) : [];
  const altered = hashOf(kept.canonical) === kept.hash ? {} : { altered: true as const };
  return { sheet: { ...sheet, contentHash: kept.hash, frozen: kept.frozen, ...altered }, since };
}

/** A job folded as its row says it stands. */
async function foldedNow(db: Database, id: string, count: number): Promise<Folded> {
  const kept = db.folded.get(id);
  const folded = kept?.count === count ? kept : await foldJob(db, id);
  if (!folded) throw new Problem(404, 'There is no such job.');
  return folded;
}

export const jobs: Route[] = [
  {
    method: 'get',
    path: '/api/jobs',
    who: EVERYONE_SIGNED_IN,
    /** `state=open|signed` or all, a page at a time; `q=` as typed; `fixedOn=<machine>`. Where a list is cut, `next` is not null. */
    async run({ ctx, house }) {
      const { state, fixedOn } = ctx.query;
      const position = positionOf(ctx);
      if (typeof fixedOn === 'string') ctx.body = await fixedJobs(house.db, fixedOn, limitOf(ctx));
      else if (ctx.query.q !== undefined) ctx.body = await findJobs(house.db, typedOf(ctx), limitOf(ctx));
      else if (state === 'signed')
        ctx.body = await signedJobs(house.db, { ...pageOf(ctx), positionId: position });
      else if (state === 'open' || state === undefined)
        ctx.body = await jobsInOrder(house.db, state ?? 'all', { ...pageOf(ctx), positionId: position });
      else throw new Problem(400, 'state is open or signed.');
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id',
    who: EVERYONE_SIGNED_IN,
    /** Events after `after`; unchanged since the mark given in If-None-Match, 304. */
    async run(call) {
      const { ctx } = call;
      const after = Number(ctx.query.after ?? 0);
      if (!Number.isInteger(after) || after < 0)
        throw new Problem(400, 'after is the number of the last event seen.');
      const id = jobId(call);
      const seen = ctx.get('if-none-match');
      if (seen && seen === (await jobMark(call.house.db, id))) {
        ctx.set('etag', seen);
        ctx.status = 304;
        return;
      }
      const found = await jobRow(call.house.db, id);
      if (!found) throw new Problem(404, 'There is no such job.');
      ctx.set('etag', found.mark);
      ctx.type = 'application/json';
      ctx.body = await jobText(call.house.db, found.row, after);
    },
  },
  {
    method: 'post',
    path: '/api/jobs/:id/events',
    who: RECORDERS,
    asks: eventsRequestSchema,
    async run(call, person) {
      const checked = check(eventsRequestSchema, call.body);
      if (!checked.ok) throw new Problem(400, 'That is not a batch of events.', checked.faults);
      const { events, sentAt } = checked.value;
      call.ctx.body = await appendEvents(call.house.db, person, jobId(call), events, { sentAt });
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/sheet.json',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet } = await sheetOf(call);
      call.ctx.body = sheet;
      call.ctx.attachment(`fit-up-sheet-${sheet.number}.json`, { type: 'inline' });
      call.ctx.type = 'application/json';
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/readings.csv',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet } = await sheetOf(call);
      call.ctx.body = csvOf(readingsTable(sheet));
      call.ctx.attachment(`readings-${sheet.number}.csv`);
      call.ctx.type = 'text/csv; charset=utf-8';
    },
  },
  {
    method: 'get',
    path: '/api/jobs/:id/due.ics',
    who: EVERYONE_SIGNED_IN,
    async run(call) {
      const { sheet } = await sheetOf(call);
      const calendar = dueCalendar(sheet);
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
      const { sheet, since } = await sheetOf(call);
      const unit: LengthUnit = call.ctx.query.units === 'in' ? 'in' : 'mm';
      // The plant’s paper, unless another is asked for.
      const { paper } = call.ctx.query;
      const on = paper === 'letter' || paper === 'A4' ? paper : (await plantOf(call.house.db)).paper;
      const size = on === 'letter' ? 'LETTER' : 'A4';
      const photos = new Map<string, Buffer>();
      for (const { hash } of sheet.photos ?? []) {
        const bytes = await readPhoto(call.house.photoDir, hash);
        if (bytes) photos.set(hash, bytes);
      }
      const options = { unit, size, since, photos } as const;
      call.ctx.body = asBuffer(await call.house.db.workshop.do('print', { sheet, options }));
      call.ctx.attachment(`fit-up-sheet-${sheet.number}.pdf`, { type: 'inline' });
      call.ctx.type = 'application/pdf';
    },
  },
];
