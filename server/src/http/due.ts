import { calendarOf } from '../export/due-calendar.ts';
import { dueOf, feedMade, feedStands, makeFeed, revokeFeed } from '../store/due.ts';
import { plantOf } from '../store/plant.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type Route } from './routes.ts';

/** What falls due over the whole plant, and as a calendar by a private link. */
export const due: Route[] = [
  {
    method: 'get',
    path: '/api/due',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      ctx.body = { due: await dueOf(house.db), feedMadeAt: await feedMade(house.db, me.id) };
    },
  },
  {
    method: 'post',
    path: '/api/due/feed',
    who: EVERYONE_SIGNED_IN,
    /** A new link; the one before it is void. It is told this once. */
    async run({ ctx, house }, me) {
      ctx.status = 201;
      ctx.body = { path: `/api/feeds/${await makeFeed(house.db, me.id)}.ics` };
    },
  },
  {
    method: 'delete',
    path: '/api/due/feed',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      await revokeFeed(house.db, me.id);
      ctx.status = 204;
    },
  },
  {
    method: 'get',
    path: '/api/feeds/:token',
    who: 'anyone',
    async run({ ctx, house, params }) {
      const token = (params.token ?? '').replace(/\.ics$/, '');
      if (!/^[A-Za-z0-9_-]{32}$/.test(token) || !(await feedStands(house.db, token)))
        throw new Problem(404, 'There is no calendar at this address, or its link was revoked.');
      const { site } = await plantOf(house.db);
      ctx.body = calendarOf(await dueOf(house.db), `${site}: what falls due`);
      ctx.type = 'text/calendar; charset=utf-8';
    },
  },
];
