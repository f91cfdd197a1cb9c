import { signInSchema } from '@fulcrant/core/api/requests';
import { check } from '@fulcrant/core/judgement/sentences';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { passwordMatches } from '../auth/password.ts';
import { endSession, SESSION_HOURS, startSession } from '../auth/sessions.ts';
import { siteOf } from '../store/positions.ts';
import { Problem } from './problem.ts';
import { COOKIE, EVERYONE_SIGNED_IN, type Route } from './routes.ts';

/** Wrong passwords one name from one address may try before it waits a minute. */
const tries = new RateLimiterMemory({ points: 10, duration: 60 });

export const session: Route[] = [
  {
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    async run({ ctx, house, body }) {
      const checked = check(signInSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is not a sign-in.', checked.faults);
      const { name, password } = checked.value;
      const key = `${ctx.ip} ${name.toLowerCase()}`;
      const used = await tries.get(key);
      if (used && used.consumedPoints >= 10)
        throw new Problem(429, 'Too many wrong passwords. Wait a minute and try again.');
      const person = await house.db.models.Person.findOne({ where: { name } });
      if (!(await passwordMatches(person?.passwordHash ?? null, password)) || !person) {
        await tries.consume(key).catch((e: unknown) => {
          if (!(e instanceof RateLimiterRes)) throw e;
        });
        throw new Problem(401, 'Name and password do not go together.');
      }
      await tries.delete(key);
      const token = await startSession(house.db, person.id);
      ctx.cookies.set(COOKIE, token, {
        httpOnly: true,
        sameSite: 'strict',
        secure: ctx.secure,
        maxAge: SESSION_HOURS * 3_600_000,
        path: '/',
      });
      ctx.body = {
        person: { id: person.id, name: person.name, role: person.role },
        site: await siteOf(house.db),
      };
    },
  },
  {
    method: 'get',
    path: '/api/session',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, person) {
      ctx.body = { person, site: await siteOf(house.db) };
    },
  },
  {
    method: 'delete',
    path: '/api/session',
    who: 'anyone',
    async run({ ctx, house }) {
      await endSession(house.db, ctx.cookies.get(COOKIE));
      ctx.cookies.set(COOKIE, null, { path: '/' });
      ctx.status = 204;
    },
  },
];
