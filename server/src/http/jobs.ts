import { eventsRequestSchema } from '@fulcrant/core/api';
import { readingsTable } from '@fulcrant/core/forms';
import { factsOf } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import { number, object, string } from 'yup';
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
import { M } from './messages.ts';
import { afterRow, limit, position, search, units } from './paging.ts';
import { Problem } from './problem.ts';
import {
  answers,
  type Call,
  EVERYONE_SIGNED_IN,
  file,
  RECORDERS,
  type Route,
  route,
  SENT,
} from './routes.ts';
import { jobsShape, ofItsOwn, outcomesShape } from './shapes.ts';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

function jobId(call: Pick<Call, 'params'>): string {
  const id = call.params.id ?? '';
  if (!UUID.test(id)) throw new Problem(404, COMMON.thereNoSuchJob);
  return id;
}

/** `?revision=`: which signed revision; nothing for the sheet as it stands. */
const REVISION = M.revisionWholeNumberFrom1;
const revision = number().typeError(REVISION).integer(REVISION).min(1, REVISION);
const AFTER = M.afterNumberLastEventSeen;

/**
 * The sheet of a job: as it was signed where it is, or where a revision is asked for; else as the work stands now. `since` are the notes
 * written under a signature.
 */
async function sheetOf(
  call: Call<unknown, { revision?: number | undefined }>,
): Promise<{ sheet: SealedSheet; since: FitUpSheet['notes'] }> {
  const { db } = call.house;
  const id = jobId(call);
  const { revision } = call.query;
  const found = await jobRow(db, id);
  if (!found) throw new Problem(404, COMMON.thereNoSuchJob);
  if (revision === undefined && found.row.state === 'open') {
    const folded = await foldedNow(db, id, found.row.event_count);
    const { state, serial } = folded;
    const facts = factsOf(state);
    const sheet = await db.workshop.do('sheet', { facts, number: jobNumber(serial), zone: PLANT_ZONE });
    return { sheet: sealed(sheet), since: [] };
  }
  const kept = await readFrozen(db, id, revision);
  if (!kept) throw new Problem(404, M.revisionSheetNeverSigned);
  const sheet = JSON.parse(kept.canonical) as FitUpSheet;
  const since = revision === undefined ? await notesAfter(db, id, kept.eventCount) : [];
  const altered = hashOf(kept.canonical) === kept.hash ? {} : { altered: true as const };
  return { sheet: { ...sheet, contentHash: kept.hash, frozen: kept.frozen, ...altered }, since };
}

/** A job folded as its row says it stands. */
async function foldedNow(db: Database, id: string, count: number): Promise<Folded> {
  const kept = db.folded.get(id);
  const folded = kept?.count === count ? kept : await foldJob(db, id);
  if (!folded) throw new Problem(404, COMMON.thereNoSuchJob);
  return folded;
}

export const jobs: Route[] = [
  route({
    method: 'get',
    path: '/api/jobs',
    who: EVERYONE_SIGNED_IN,
    summary: M.jobsPageTime,
    query: object({
      state: string().oneOf(['open', 'signed'] as const, M.stateOpenSigned),
      q: search,
      fixedOn: string().max(80),
      position,
      after: afterRow,
      limit,
    }),
    answer: answers(jobsShape),
    /** `state=open|signed` or all, a page at a time; `q=` as typed; `fixedOn=<machine>`. Where a list is cut, `next` is not null. */
    async run({ house, query }) {
      const { state, fixedOn, q, after, limit } = query;
      if (fixedOn !== undefined) return fixedJobs(house.db, fixedOn, limit);
      if (q !== undefined) return findJobs(house.db, q, limit);
      const page = { after, limit, positionId: query.position };
      return state === 'signed' ? signedJobs(house.db, page) : jobsInOrder(house.db, state ?? 'all', page);
    },
  }),
  route({
    method: 'get',
    path: '/api/jobs/:id',
    who: EVERYONE_SIGNED_IN,
    summary: M.jobEvents,
    query: object({ after: number().typeError(AFTER).integer(AFTER).min(0, AFTER).default(0) }),
    answer: answers(ofItsOwn()),
    problems: [404],
    /** Events after `after`; unchanged since the mark given in If-None-Match, 304. */
    async run(call) {
      const { ctx } = call;
      const id = jobId(call);
      const seen = ctx.get('if-none-match');
      if (seen && seen === (await jobMark(call.house.db, id))) {
        ctx.set('etag', seen);
        ctx.status = 304;
        return SENT;
      }
      const found = await jobRow(call.house.db, id);
      if (!found) throw new Problem(404, COMMON.thereNoSuchJob);
      ctx.set('etag', found.mark);
      ctx.type = 'application/json';
      ctx.body = await jobText(call.house.db, found.row, call.query.after);
      return SENT;
    },
  }),
  route({
    method: 'post',
    path: '/api/jobs/:id/events',
    who: RECORDERS,
    summary: M.recordEventsJob,
    asks: eventsRequestSchema,
    refused: M.notBatchEvents,
    answer: answers(outcomesShape),
    async run(call, person) {
      const { events, sentAt } = call.body;
      return await appendEvents(call.house.db, person, jobId(call), events, { sentAt });
    },
  }),
  route({
    method: 'get',
    path: '/api/jobs/:id/sheet.json',
    who: EVERYONE_SIGNED_IN,
    summary: M.sheetJobAsJson,
    query: object({ revision }),
    answer: file('application/json'),
    async run(call) {
      const { sheet } = await sheetOf(call);
      call.ctx.body = sheet;
      call.ctx.attachment(`fit-up-sheet-${sheet.number}.json`, { type: 'inline' });
      call.ctx.type = 'application/json';
    },
  }),
  route({
    method: 'get',
    path: '/api/jobs/:id/readings.csv',
    who: EVERYONE_SIGNED_IN,
    summary: M.readingsJobAsCsv,
    query: object({ revision }),
    answer: file('text/csv'),
    async run(call) {
      const { sheet } = await sheetOf(call);
      call.ctx.body = csvOf(readingsTable(sheet));
      call.ctx.attachment(`readings-${sheet.number}.csv`);
      call.ctx.type = 'text/csv; charset=utf-8';
    },
  }),
  route({
    method: 'get',
    path: '/api/jobs/:id/due.ics',
    who: EVERYONE_SIGNED_IN,
    summary: M.whatFallsDueAfterJob,
    query: object({ revision }),
    answer: file('text/calendar'),
    problems: [404],
    async run(call) {
      const { sheet } = await sheetOf(call);
      const calendar = dueCalendar(sheet);
      if (calendar === null) throw new Problem(404, M.nothingFallsDueAfterJob);
      call.ctx.body = calendar;
      call.ctx.attachment(`due-${sheet.number}.ics`);
      call.ctx.type = 'text/calendar; charset=utf-8';
    },
  }),
  route({
    method: 'get',
    path: '/api/jobs/:id/sheet.pdf',
    who: EVERYONE_SIGNED_IN,
    summary: M.sheetJobPrint,
    query: object({
      revision,
      units,
      paper: string().oneOf(['letter', 'A4'] as const, M.paperA4Letter),
    }),
    answer: file('application/pdf'),
    async run(call) {
      const { sheet, since } = await sheetOf(call);
      const { units: unit, paper } = call.query;
      // The plant’s paper, unless another is asked for.
      const on = paper ?? (await plantOf(call.house.db)).paper;
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
  }),
];
