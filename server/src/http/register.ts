import { randomUUID } from 'node:crypto';
import { calibratedSchema, check, newInstrumentSchema } from '@fulcrant/core';
import { Op } from 'sequelize';
import { pageOf } from './paging.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, RECORDERS, type Route } from './routes.ts';

/** A day that is in the calendar: the 31st of February is none. */
const isDay = (text: string): boolean => {
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text);
};

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
    method: 'post',
    path: '/api/instruments/:id/calibrated',
    who: RECORDERS,
    async run({ ctx, house, body, params }) {
      const checked = check(calibratedSchema, body);
      if (!checked.ok) throw new Problem(400, 'The date has faults.', checked.faults);
      const { calibrationDue } = checked.value;
      if (!isDay(calibrationDue))
        throw new Problem(400, 'The date has faults.', [
          { path: 'calibrationDue', message: 'There is no such day.' },
        ]);
      const found = await house.db.models.Instrument.findByPk(params.id ?? '');
      if (!found) throw new Problem(404, 'There is no such gauge.');
      await found.update({ calibrationDue }, { fields: ['calibrationDue'] });
      ctx.body = { instrument: found };
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
