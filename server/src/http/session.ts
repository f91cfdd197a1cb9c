import { signInSchema } from '@fulcrant/core/api/requests';
import { check } from '@fulcrant/core/judgement/sentences';
import type { Context } from 'koa';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { passwordMatches } from '../auth/password.ts';
import { endSession, SESSION_HOURS, startSession } from '../auth/sessions.ts';
import { plantOf } from '../store/plant.ts';
import { Problem } from './problem.ts';
import { COOKIE, EVERYONE_SIGNED_IN, type House, type Route } from './routes.ts';

/** Wrong passwords or codes one name from one address may try before it waits a minute. */
const TRIES = 10;
const tries = new RateLimiterMemory({ points: TRIES, duration: 60 });

/** Somebody from an address tries to get in as somebody. @throws Problem 429 after too many that were wrong */
export async function mayTry(
  ctx: Context,
  as: string,
): Promise<{ wrong(): Promise<void>; right(): Promise<void> }> {
  const key = `${ctx.ip} ${as.toLowerCase()}`;
  const used = await tries.get(key);
  if (used && used.consumedPoints >= TRIES) {
    ctx.set('retry-after', String(Math.ceil(used.msBeforeNext / 1000)));
    throw new Problem(429, 'Too many wrong tries. Wait a minute and try again.');
  }
  return {
    async wrong() {
      await tries.consume(key).catch((e: unknown) => {
        if (!(e instanceof RateLimiterRes)) throw e;
      });
    },
    async right() {
      await tries.delete(key);
    },
  };
}

/** Sign somebody in at this device: a session of its own, its token in the cookie. */
export async function welcome(
  ctx: Context,
  house: House,
  person: { id: string; name: string; role: string },
): Promise<void> {
  const token = await startSession(house.db, person.id, ctx.get('user-agent'));
  ctx.cookies.set(COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: ctx.secure,
    maxAge: SESSION_HOURS * 3_600_000,
    path: '/',
  });
  ctx.body = {
    person: { id: person.id, name: person.name, role: person.role },
    plant: await plantOf(house.db),
  };
}

export const session: Route[] = [
  {
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    asks: signInSchema,
    async run({ ctx, house, body }) {
      const checked = check(signInSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is not a sign-in.', checked.faults);
      const { name, password } = checked.value;
      const attempt = await mayTry(ctx, name);
      const person = await house.db.models.Person.findOne({ where: { name, retiredAt: null } });
      if (!(await passwordMatches(person?.passwordHash ?? null, password)) || !person) {
        await attempt.wrong();
        throw new Problem(401, 'Name and password do not go together.');
      }
      await attempt.right();
      await welcome(ctx, house, person);
    },
  },
  {
    method: 'get',
    path: '/api/session',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, person) {
      ctx.body = { person, plant: await plantOf(house.db) };
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
