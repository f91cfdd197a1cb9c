import { importSchema, partCardSchema, shaftCardSchema } from '@fulcrant/core/api';
import { PART_HEAD, partRows } from '@fulcrant/core/forms';
import { check } from '@fulcrant/core/judgement';
import { csvOf } from '../export/csv.ts';
import {
  allParts,
  findParts,
  importParts,
  keepPart,
  keepShaft,
  lookOver,
  partCards,
  shaftsOf,
} from '../store/cards.ts';
import { positionById } from '../store/register.ts';
import { limitOf, typedOf } from './paging.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

/** Cards of parts, as their makers’ sheets have them, and of shafts, as they stand in their machines. */
export const parts: Route[] = [
  {
    method: 'get',
    path: '/api/parts',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = { parts: await findParts(house.db, typedOf(ctx), limitOf(ctx)) };
    },
  },
  {
    method: 'get',
    path: '/api/parts.csv',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = csvOf(partRows(await allParts(house.db)), PART_HEAD);
      ctx.attachment('parts.csv');
      ctx.type = 'text/csv; charset=utf-8';
    },
  },
  {
    method: 'post',
    path: '/api/parts/import',
    who: RECORDERS,
    asks: importSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(importSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is no file to take in.', checked.faults);
      ctx.body = await importParts(house.db, checked.value.csv, checked.value.look === true, me.id);
    },
  },
  {
    method: 'get',
    path: '/api/parts/:designation',
    who: EVERYONE_SIGNED_IN,
    /** Every version of a card, the newest first. */
    async run({ ctx, house, params }) {
      const versions = await partCards(house.db, params.designation ?? '');
      if (versions.length === 0) throw new Problem(404, 'There is no card of that part.');
      ctx.body = { versions };
    },
  },
  {
    method: 'post',
    path: '/api/parts',
    who: RECORDERS,
    asks: partCardSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(partCardSchema, body);
      if (!checked.ok) throw new Problem(400, 'The card is not right yet.', checked.faults);
      await keepPart(house.db, checked.value, me.id);
      ctx.status = 201;
      ctx.body = { versions: await partCards(house.db, checked.value.designation) };
    },
  },
  {
    method: 'post',
    path: '/api/parts/:designation/:version/looked',
    who: RECORDERS,
    async run({ ctx, house, params }, me) {
      const versions = await partCards(house.db, params.designation ?? '');
      const meant = versions.find((v) => String(v.version) === params.version);
      if (!meant) throw new Problem(404, 'There is no such card.');
      if (meant.looked) throw new Problem(409, `${meant.looked.by} has looked it over already.`);
      if (!(await lookOver(house.db, meant.designation, meant.version, me.id)))
        throw new Problem(409, 'Somebody else than who typed it looks it over.');
      ctx.body = { versions: await partCards(house.db, meant.designation) };
    },
  },
  {
    method: 'post',
    path: '/api/shafts',
    who: RECORDERS,
    asks: shaftCardSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(shaftCardSchema, body);
      if (!checked.ok) throw new Problem(400, 'The shaft is not right yet.', checked.faults);
      const { stations, machine } = checked.value;
      for (const [i, s] of stations.entries()) {
        const card = await positionById(house.db, s.positionId);
        if (card?.machine !== machine)
          throw new Problem(400, 'The shaft is not right yet.', [
            { path: `stations[${i}].positionId`, message: 'That position is not of this machine.' },
          ]);
      }
      if (stations.filter((s) => s.role === 'fixed').length > 1)
        throw new Problem(400, 'The shaft is not right yet.', [
          { path: 'stations', message: 'A shaft has one fixed bearing; the others float.' },
        ]);
      await keepShaft(house.db, checked.value, me.id);
      ctx.status = 201;
      ctx.body = { shafts: await shaftsOf(house.db, machine) };
    },
  },
];
