import { lacksSchema } from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import { lacking } from '../store/lacking.ts';
import { Problem } from './problem.ts';
import { RECORDERS, type Route } from './routes.ts';

/** The record as a whole, as its devices ask after it. */
export const record: Route[] = [
  {
    method: 'post',
    path: '/api/record/lacks',
    who: RECORDERS,
    asks: lacksSchema,
    /** Of what a device has sent: what is not here. After a restore that is what came since; it is then sent again. */
    async run({ ctx, house, body }) {
      const checked = check(lacksSchema, body);
      if (!checked.ok) throw new Problem(400, 'Those are no entries to ask after.', checked.faults);
      const { events, photos } = checked.value;
      ctx.body = await lacking(house.db, house.photoDir, events, photos);
    },
  },
];
