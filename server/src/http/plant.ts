import { firstVisitSchema, plantSchema } from '@fulcrant/core/api';
import { codeStands, useCode } from '../auth/codes.ts';
import { hashPassword } from '../auth/password.ts';
import { addPerson } from '../auth/people.ts';
import { greetingOf, plantIsReady, plantOf, tellPlant } from '../store/plant.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, LEADS, made, NOTHING, type Route, route } from './routes.ts';
import { mayTry, welcome } from './session.ts';
import { greetingShape, plantShape, sessionShape } from './shapes.ts';

/** The plant itself: what it is called, what its sheets are printed on; and its first visitor. */
export const plant: Route[] = [
  route({
    method: 'get',
    path: '/api/greeting',
    who: 'anyone',
    summary: M.whatAnybodyMayKnowSite,
    answer: answers(greetingShape),
    async run({ house }) {
      return await greetingOf(house.db);
    },
  }),
  route({
    method: 'post',
    path: '/api/first-visit',
    who: 'anyone',
    summary: M.setUpNewSiteCode,
    asks: firstVisitSchema,
    refused: M.notAllSaidYet,
    answer: made(sessionShape),
    problems: [409],
    async run({ ctx, house, body }) {
      const { code, site, name, password } = body;
      if ((await greetingOf(house.db)).state === 'ready')
        throw new Problem(409, M.plantLedSomebodyAlreadySign);
      const attempt = await mayTry(ctx, house, 'first visit');
      const passwordHash = await hashPassword(password);
      if (!(await codeStands(house.db, 'first', code)) || !(await useCode(house.db, code))) {
        attempt.wrong();
        throw new Problem(400, M.notAllSaidYet, [{ path: 'code', message: M.notCodeConsoleStart }]);
      }
      const id = await addPerson(house.db, { name, role: 'lead', passwordHash });
      if (!id)
        throw new Problem(409, M.notAllSaidYet, [{ path: 'name', message: M.somebodyNameThereAlready }]);
      await tellPlant(house.db, { ...(await plantOf(house.db)), site });
      await plantIsReady(house.db);
      await attempt.right();
      return welcome(ctx, house, { id, name, role: 'lead' });
    },
  }),
  route({
    method: 'get',
    path: '/api/plant',
    who: EVERYONE_SIGNED_IN,
    summary: M.siteSettings,
    answer: answers(plantShape),
    async run({ house }) {
      return await plantOf(house.db);
    },
  }),
  route({
    method: 'post',
    path: '/api/plant',
    who: LEADS,
    summary: M.changeSettingsSite,
    asks: plantSchema,
    refused: M.notAllRight,
    answer: answers(plantShape),
    async run({ house, body }) {
      await tellPlant(house.db, body);
      return await plantOf(house.db);
    },
  }),
  route({
    method: 'post',
    path: '/api/demo/anew',
    who: LEADS,
    summary: M.layDemoAnew,
    answer: NOTHING,
    problems: [409],
    /** Everything of a demo is taken down and laid in as on the first day. Never of a site that is none. */
    async run({ house }) {
      if (!(await plantOf(house.db)).demo) throw new Problem(409, M.onlyDemoLaidAnew);
      if (!house.layDemoAnew) throw new Problem(409, M.demoAnewByStart);
      house.layDemoAnew();
    },
  }),
];
