import { check } from '@fulcrant/core/judgement';
import { drillAnswersSchema } from '@fulcrant/practice';
import { answerDrills, drillsOf } from '../store/drills.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type Route } from './routes.ts';

/** Practice: each person’s own, and no record. */
export const practice: Route[] = [
  {
    method: 'get',
    path: '/api/practice/drills',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      ctx.body = { kept: await drillsOf(house.db, me.id) };
    },
  },
  {
    method: 'post',
    path: '/api/practice/drills',
    who: EVERYONE_SIGNED_IN,
    asks: drillAnswersSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(drillAnswersSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is no answer.', checked.faults);
      ctx.body = { kept: await answerDrills(house.db, me.id, checked.value.answers) };
    },
  },
];
