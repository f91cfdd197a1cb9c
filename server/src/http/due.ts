import type { EventAttributes } from 'ics';
import { calendarOf } from '../export/due-calendar.ts';
import { dueOf, feedMade, feedOf, makeFeed, revokeFeed } from '../store/due.ts';
import { outages } from '../store/outages.ts';
import { plantOf } from '../store/plant.ts';
import { M } from './messages.ts';
import { plannedFrom } from './outages.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, file, type House, made, NOTHING, type Route, route } from './routes.ts';
import { dueLineShape, listOf, moment, orNull, text, told } from './shapes.ts';

/** Pieces of outages still to end that are planned for a hand of that name. */
async function ownPieces(db: House['db'], name: string): Promise<EventAttributes[]> {
  const now = new Date().toISOString();
  const coming = (await outages(db)).filter((o) => o.outage.endsAt >= now);
  const pieces = await Promise.all(
    coming.map(async (told) => {
      const who = told.outage.crew.find((c) => c.name === name)?.id;
      return who === undefined ? [] : db.workshop.do('pieces', { ...(await plannedFrom(db, told)), who });
    }),
  );
  return pieces.flat();
}

/** What falls due over the whole plant, and as a calendar by a private link. */
export const due: Route[] = [
  route({
    method: 'get',
    path: '/api/due',
    who: EVERYONE_SIGNED_IN,
    summary: M.whatFallsDueOverWhole,
    answer: answers(told({ due: listOf(dueLineShape), feedMadeAt: orNull(moment) })),
    async run({ house }, me) {
      return { due: await dueOf(house.db), feedMadeAt: await feedMade(house.db, me.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/due/feed',
    who: EVERYONE_SIGNED_IN,
    summary: M.privateLinkCalendarWhatFalls,
    answer: made(told({ path: text })),
    /** A new link; the one before it is void. It is told this once. */
    async run({ house }, me) {
      return { path: `/api/feeds/${await makeFeed(house.db, me.id)}.ics` };
    },
  }),
  route({
    method: 'delete',
    path: '/api/due/feed',
    who: EVERYONE_SIGNED_IN,
    summary: M.revokeLinkCalendar,
    answer: NOTHING,
    async run({ house }, me) {
      await revokeFeed(house.db, me.id);
    },
  }),
  route({
    method: 'get',
    path: '/api/feeds/:token',
    who: 'anyone',
    summary: M.calendarBehindPrivateLink,
    answer: file('text/calendar'),
    problems: [404],
    async run({ ctx, house, params }) {
      const token = (params.token ?? '').replace(/\.ics$/, '');
      const name = /^[A-Za-z0-9_-]{32}$/.test(token) ? await feedOf(house.db, token) : null;
      if (name === null) throw new Problem(404, M.thereNoCalendarAddressLink);
      const { site } = await plantOf(house.db);
      // What falls due, and the pieces of outages that are the reader’s own.
      ctx.body = calendarOf(await dueOf(house.db), M.whatFallsDue({ site }), await ownPieces(house.db, name));
      ctx.type = 'text/calendar; charset=utf-8';
    },
  }),
];
