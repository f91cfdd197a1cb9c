import {
  type Person,
  type Plant,
  pinSchema,
  pinSignInSchema,
  type SignIn,
  signInSchema,
} from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, expr } from '@fulcrant/core/messages';
import type { Context } from 'koa';
import { TooMany } from '../auth/attempts.ts';
import { KNOWN_DAYS, knownDevice, newDevice, peopleAt, rememberDevice } from '../auth/devices.ts';
import { passwordMatches } from '../auth/password.ts';
import { hasSecond, useSecond } from '../auth/second.ts';
import { endSession, SESSION_HOURS, startSession } from '../auth/sessions.ts';
import { plantOf } from '../store/plant.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import {
  answers,
  deviceCookie,
  deviceToken,
  EVERYONE_SIGNED_IN,
  type House,
  NOTHING,
  type Route,
  route,
  sessionCookie,
  sessionToken,
} from './routes.ts';
import { listOf, sessionShape, text, told } from './shapes.ts';

/** Why a try was not looked at, in words. */
const waits = ({ limit, retryAfterS }: TooMany): Text => {
  const minutes = Math.ceil(retryAfterS / 60);
  const wait = M.tooManyWrongTriesWait({ minutes: minutes === 1 ? M.minute : M.minutes({ minutes }) });
  return limit === 'device' ? expr`${wait}.` : M.deviceYouHaveSignedBefore({ wait });
};

/**
 * Somebody tries to get in as somebody, and it is counted before anything is looked at.
 * @throws Problem 429 after too many that were wrong
 */
export async function mayTry(
  ctx: Context,
  house: House,
  name: string,
): Promise<{ wrong(): void; right(): Promise<void> }> {
  const device = await knownDevice(house.db, deviceToken(ctx), name);
  try {
    const counted = await house.attempts.count({ name, address: ctx.ip, device });
    return {
      wrong: () => house.log.warn({ address: ctx.ip, path: ctx.path }, 'wrong password or code'),
      right: () => counted.right(),
    };
  } catch (error) {
    if (!(error instanceof TooMany)) throw error;
    house.log.warn({ address: ctx.ip, path: ctx.path, limit: error.limit }, 'too many wrong tries');
    ctx.set('retry-after', String(error.retryAfterS));
    throw new Problem(429, waits(error));
  }
}

/** Sign somebody in at this device: a session of its own, its token in the cookie; and the device is known from now on. */
export async function welcome(
  ctx: Context,
  house: House,
  person: Person,
): Promise<{ person: Person; plant: Plant }> {
  const device = deviceToken(ctx) ?? newDevice();
  await rememberDevice(house.db, device, person.id);
  const token = await startSession(house.db, person.id, ctx.get('user-agent'));
  const keep = (name: string, value: string, hours: number) =>
    ctx.cookies.set(name, value, {
      httpOnly: true,
      sameSite: 'strict',
      secure: ctx.secure,
      maxAge: hours * 3_600_000,
      path: '/',
    });
  keep(sessionCookie(ctx), token, SESSION_HOURS);
  keep(deviceCookie(ctx), device, KNOWN_DAYS * 24);
  return {
    person: { id: person.id, name: person.name, role: person.role },
    plant: await plantOf(house.db),
  };
}

/** The person a name and password are of, and the code beside them where one is asked. @throws Problem 401 */
async function whoIs(house: House, { name, password, code }: SignIn, wrong: () => void) {
  const person = await house.db.models.Person.findOne({ where: { name, retiredAt: null } });
  if (!(await passwordMatches(person?.passwordHash ?? null, password)) || !person) {
    wrong();
    throw new Problem(401, M.namePasswordDoNotGo);
  }
  if (!(await hasSecond(house.db, person.id))) return person;
  if (!code)
    throw new Problem(401, M.codeYourSecondFactorAsked, [
      { path: 'code', message: M.typeSixDigitsYourAuthenticator },
    ]);
  if (await useSecond(house.db, person.id, code)) return person;
  wrong();
  throw new Problem(401, M.codeYourSecondFactorAsked, [{ path: 'code', message: M.notCodeHalfMinuteUsed }]);
}

export const session: Route[] = [
  route({
    method: 'post',
    path: '/api/session',
    who: 'anyone',
    summary: COMMON.sign,
    asks: signInSchema,
    refused: M.notSign,
    answer: answers(sessionShape),
    async run({ ctx, house, body }) {
      const attempt = await mayTry(ctx, house, body.name);
      const person = await whoIs(house, body, attempt.wrong);
      await attempt.right();
      return welcome(ctx, house, person);
    },
  }),
  route({
    method: 'get',
    path: '/api/session',
    who: EVERYONE_SIGNED_IN,
    summary: M.whoSignedHere,
    answer: answers(sessionShape),
    async run({ house }, person) {
      return { person, plant: await plantOf(house.db) };
    },
  }),
  route({
    method: 'delete',
    path: '/api/session',
    who: 'anyone',
    summary: COMMON.signOut,
    answer: NOTHING,
    async run({ ctx, house }) {
      await endSession(house.db, sessionToken(ctx));
      ctx.cookies.set(sessionCookie(ctx), null, { path: '/', secure: ctx.secure });
    },
  }),
  route({
    method: 'get',
    path: '/api/device/people',
    who: 'anyone',
    summary: M.whoMayChangeOverHere,
    answer: answers(told({ people: listOf(told({ id: text, name: text, role: text })) })),
    async run({ ctx, house }) {
      return { people: await peopleAt(house.db, deviceToken(ctx)) };
    },
  }),
  route({
    method: 'post',
    path: '/api/session/pin',
    who: 'anyone',
    summary: M.changeOverByPin,
    asks: pinSignInSchema,
    refused: M.notSign,
    answer: answers(sessionShape),
    /** Only where that person has got in by a password before: elsewhere a PIN is nothing. */
    async run({ ctx, house, body }) {
      const known = (await peopleAt(house.db, deviceToken(ctx))).find((p) => p.id === body.person);
      if (!known) throw new Problem(401, M.pinNotHere);
      const attempt = await mayTry(ctx, house, known.name);
      const person = await house.db.models.Person.findByPk(known.id);
      if (!person || !(await passwordMatches(person.pinHash ?? null, body.pin))) {
        attempt.wrong();
        throw new Problem(401, M.notSign, [{ path: 'pin', message: M.wrongPin }]);
      }
      await attempt.right();
      await endSession(house.db, sessionToken(ctx));
      return welcome(ctx, house, person);
    },
  }),
  route({
    method: 'post',
    path: '/api/session/pin/check',
    who: EVERYONE_SIGNED_IN,
    summary: M.sayPinOnceMore,
    asks: pinSchema,
    refused: M.notSign,
    answer: NOTHING,
    async run({ ctx, house, body }, me) {
      const attempt = await mayTry(ctx, house, me.name);
      const person = await house.db.models.Person.findByPk(me.id);
      if (!(await passwordMatches(person?.pinHash ?? null, body.pin))) {
        attempt.wrong();
        throw new Problem(400, M.notSign, [{ path: 'pin', message: M.wrongPin }]);
      }
      await attempt.right();
    },
  }),
];
