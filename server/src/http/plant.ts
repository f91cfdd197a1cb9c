import { firstVisitSchema, plantSchema } from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import { codeStands, useCode } from '../auth/codes.ts';
import { hashPassword } from '../auth/password.ts';
import { addPerson } from '../auth/people.ts';
import { greetingOf, plantIsReady, plantOf, tellPlant } from '../store/plant.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, LEADS, type Route } from './routes.ts';
import { mayTry, welcome } from './session.ts';

/** The plant itself: what it is called, what its sheets are printed on; and its first visitor. */
export const plant: Route[] = [
  {
    method: 'get',
    path: '/api/greeting',
    who: 'anyone',
    async run({ ctx, house }) {
      ctx.body = await greetingOf(house.db);
    },
  },
  {
    method: 'post',
    path: '/api/first-visit',
    who: 'anyone',
    asks: firstVisitSchema,
    async run({ ctx, house, body }) {
      const checked = check(firstVisitSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const { code, site, name, password } = checked.value;
      if ((await greetingOf(house.db)).state === 'ready')
        throw new Problem(409, 'This plant is led by somebody already: sign in.');
      const attempt = await mayTry(ctx, house, 'first visit');
      const passwordHash = await hashPassword(password);
      if (!(await codeStands(house.db, 'first', code)) || !(await useCode(house.db, code))) {
        attempt.wrong();
        throw new Problem(400, 'Not all is said yet.', [
          { path: 'code', message: 'That is not the code in the console of this start.' },
        ]);
      }
      const id = await addPerson(house.db, { name, role: 'lead', passwordHash });
      if (!id)
        throw new Problem(409, 'Not all is said yet.', [
          { path: 'name', message: 'Somebody of that name is there already.' },
        ]);
      await tellPlant(house.db, { ...(await plantOf(house.db)), site });
      await plantIsReady(house.db);
      await attempt.right();
      ctx.status = 201;
      await welcome(ctx, house, { id, name, role: 'lead' });
    },
  },
  {
    method: 'get',
    path: '/api/plant',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = await plantOf(house.db);
    },
  },
  {
    method: 'post',
    path: '/api/plant',
    who: LEADS,
    asks: plantSchema,
    async run({ ctx, house, body }) {
      const checked = check(plantSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all of it is right.', checked.faults);
      await tellPlant(house.db, checked.value);
      ctx.body = await plantOf(house.db);
    },
  },
];
