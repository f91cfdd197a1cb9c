import { randomUUID } from 'node:crypto';
import { check, newInstrumentSchema } from '@fulcrant/core';
import { Op } from 'sequelize';
import { pageOf } from './paging.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

/** Gauges and machine positions. */
export const register: Route[] = [
  {
    method: 'get',
    path: '/api/instruments',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = {
        instruments: await house.db.models.Instrument.findAll({
          order: [
            ['kind', 'ASC'],
            ['name', 'ASC'],
          ],
        }),
      };
    },
  },
  {
    method: 'post',
    path: '/api/instruments',
    who: RECORDERS,
    async run({ ctx, house, body }) {
      const checked = check(newInstrumentSchema, body);
      if (!checked.ok) throw new Problem(400, 'The gauge has faults.', checked.faults);
      if (checked.value.low >= checked.value.high)
        throw new Problem(400, 'The gauge has faults.', [
          { path: 'high', message: 'The range must end above where it begins.' },
        ]);
      if (await house.db.models.Instrument.findOne({ where: { name: checked.value.name } })) {
        throw new Problem(409, 'The gauge has faults.', [
          { path: 'name', message: 'A gauge of that name is in the register.' },
        ]);
      }
      ctx.status = 201;
      ctx.body = {
        instrument: await house.db.models.Instrument.create({ id: `g-${randomUUID()}`, ...checked.value }),
      };
    },
  },
  {
    method: 'get',
    path: '/api/positions',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      const { after, limit } = pageOf(ctx);
      const rows = await house.db.models.Position.findAll({
        where: after ? { id: { [Op.gt]: after } } : {},
        order: [['id', 'ASC']],
        limit: limit + 1,
      });
      const page = rows.slice(0, limit);
      ctx.body = {
        positions: page.map((p) => ({
          id: p.id,
          site: p.site,
          machine: p.machine,
          position: p.position,
          setup: JSON.parse(p.setup),
        })),
        next: rows.length > limit ? (page.at(-1)?.id ?? null) : null,
      };
    },
  },
];
