import { randomUUID } from 'node:crypto';
import { calibratedSchema, newInstrumentSchema } from '@fulcrant/core/api/requests';
import { isDay } from '@fulcrant/core/judgement/moments';
import { check } from '@fulcrant/core/judgement/sentences';
import { findPositions } from '../store/positions.ts';
import { limitOf, typedOf } from './paging.ts';
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
      try {
        ctx.body = {
          instrument: await house.db.models.Instrument.create({ id: `g-${randomUUID()}`, ...checked.value }),
        };
      } catch (error) {
        // Two of one name at the same moment: the second is told what the first would have been told later.
        if ((error as { name?: string }).name !== 'SequelizeUniqueConstraintError') throw error;
        throw new Problem(409, 'The gauge has faults.', [
          { path: 'name', message: 'A gauge of that name is in the register.' },
        ]);
      }
      ctx.status = 201;
      house.db.gauges.forget();
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
      house.db.gauges.forget();
      ctx.body = { instrument: found };
    },
  },
  {
    method: 'get',
    path: '/api/positions',
    who: EVERYONE_SIGNED_IN,
    /** `?q=` as typed: every word somewhere in machine or position. `more` says that the list is cut. */
    async run({ ctx, house }) {
      ctx.body = await findPositions(house.db, typedOf(ctx), limitOf(ctx));
    },
  },
];
