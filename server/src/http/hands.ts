import { newHandSchema } from '@fulcrant/core/api';
import { type Instrument, reaches, sayReach } from '@fulcrant/core/instruments';
import { handCard } from '@fulcrant/core/judgement';
import { handCardsOf, keepHandCard } from '../store/hands.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, made, RECORDERS, type Route, route } from './routes.ts';
import { handCardShape, listOf, told } from './shapes.ts';

/** Hand cards: what each person scatters by with each kind of gauge. Each hands in only their own. */
export const hands: Route[] = [
  route({
    method: 'get',
    path: '/api/hands',
    who: EVERYONE_SIGNED_IN,
    summary: M.handCardsOfEverybody,
    answer: answers(told({ cards: listOf(handCardShape) })),
    async run({ house }) {
      return { cards: await handCardsOf(house.db) };
    },
  }),
  route({
    method: 'post',
    path: '/api/hands',
    who: RECORDERS,
    summary: M.handInOwnHandCard,
    asks: newHandSchema,
    refused: M.handCardHasFaults,
    answer: made(told({ card: handCardShape })),
    problems: [404],
    async run({ house, body }, me) {
      const row = await house.db.models.Instrument.findByPk(body.instrumentId);
      const gauge = row?.get({ plain: true }) as Instrument | undefined;
      if (!gauge) throw new Problem(404, M.thereNoSuchGauge);
      // What a simulated gauge shows is no hand: it teaches, and judges no work.
      if (gauge.standIn)
        throw new Problem(400, M.handCardHasFaults, [
          { path: 'instrumentId', message: M.handCardRealGaugeOnly },
        ]);
      if (!body.values.every((v) => reaches(gauge, v)))
        throw new Problem(400, M.handCardHasFaults, [{ path: 'values', message: sayReach(gauge) }]);
      const told = handCard(body.values, gauge.step);
      if (!told.ok)
        throw new Problem(400, M.handCardHasFaults, [{ path: 'values', message: M.handCardReadingStrays }]);
      return {
        card: await keepHandCard(house.db, me.id, gauge, {
          ...{ scatter: told.scatter, free: told.free, values: body.values },
          watchedBy: body.watchedBy ?? null,
        }),
      };
    },
  }),
];
