import { importSchema, partCardSchema, shaftCardSchema } from '@fulcrant/core/api';
import { PART_HEAD, partRows } from '@fulcrant/core/forms';
import { object } from 'yup';
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
import { M } from './messages.ts';
import { limit, typed } from './paging.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, file, made, RECORDERS, type Route, route } from './routes.ts';
import { importedShape, listOf, partShape, shaftsShape, told, versionsShape } from './shapes.ts';

/** Cards of parts, as their makers’ sheets have them, and of shafts, as they stand in their machines. */
export const parts: Route[] = [
  route({
    method: 'get',
    path: '/api/parts',
    who: EVERYONE_SIGNED_IN,
    summary: M.findPartsTheirDesignation,
    query: object({ q: typed, limit }),
    answer: answers(told({ parts: listOf(partShape) })),
    async run({ house, query }) {
      return { parts: await findParts(house.db, query.q, query.limit) };
    },
  }),
  route({
    method: 'get',
    path: '/api/parts.csv',
    who: EVERYONE_SIGNED_IN,
    summary: M.allPartsAsCsv,
    answer: file('text/csv'),
    async run({ ctx, house }) {
      ctx.body = csvOf(partRows(await allParts(house.db)), PART_HEAD);
      ctx.attachment('parts.csv');
      ctx.type = 'text/csv; charset=utf-8';
    },
  }),
  route({
    method: 'post',
    path: '/api/parts/import',
    who: RECORDERS,
    summary: M.importPartsFromCsv,
    asks: importSchema,
    refused: M.noFileTake,
    answer: answers(importedShape<object>()),
    async run({ house, body }, me) {
      return await importParts(house.db, body.csv, body.look === true, me.id);
    },
  }),
  route({
    method: 'get',
    path: '/api/parts/:designation',
    who: EVERYONE_SIGNED_IN,
    summary: M.partEveryVersionCard,
    answer: answers(versionsShape),
    problems: [404],
    /** Every version of a card, the newest first. */
    async run({ house, params }) {
      const versions = await partCards(house.db, params.designation ?? '');
      if (versions.length === 0) throw new Problem(404, M.thereNoCardPart);
      return { versions };
    },
  }),
  route({
    method: 'post',
    path: '/api/parts',
    who: RECORDERS,
    summary: M.addPartNewVersionCard,
    asks: partCardSchema,
    refused: M.cardNotRightYet,
    answer: made(versionsShape),
    async run({ house, body }, me) {
      await keepPart(house.db, body, me.id);
      return { versions: await partCards(house.db, body.designation) };
    },
  }),
  route({
    method: 'post',
    path: '/api/parts/:designation/:version/looked',
    who: RECORDERS,
    summary: M.sayPartsCardRight,
    answer: answers(versionsShape),
    problems: [404, 409],
    async run({ house, params }, me) {
      const versions = await partCards(house.db, params.designation ?? '');
      const meant = versions.find((v) => String(v.version) === params.version);
      if (!meant) throw new Problem(404, M.thereNoSuchCard);
      if (meant.looked) throw new Problem(409, M.hasLookedOverAlready({ by: meant.looked.by }));
      if (!(await lookOver(house.db, meant.designation, meant.version, me.id)))
        throw new Problem(409, M.somebodyElseThanWhoTyped);
      return { versions: await partCards(house.db, meant.designation) };
    },
  }),
  route({
    method: 'post',
    path: '/api/shafts',
    who: RECORDERS,
    summary: M.keepShaftPositions,
    asks: shaftCardSchema,
    refused: M.shaftNotRightYet,
    answer: made(shaftsShape),
    async run({ house, body }, me) {
      const { stations, machine } = body;
      for (const [i, s] of stations.entries()) {
        const card = await positionById(house.db, s.positionId);
        if (card?.machine !== machine)
          throw new Problem(400, M.shaftNotRightYet, [
            { path: `stations[${i}].positionId`, message: M.positionNotMachine },
          ]);
      }
      if (stations.filter((s) => s.role === 'fixed').length > 1)
        throw new Problem(400, M.shaftNotRightYet, [
          { path: 'stations', message: M.shaftHasOneFixedBearing },
        ]);
      await keepShaft(house.db, body, me.id);
      return { shafts: await shaftsOf(house.db, machine) };
    },
  }),
];
