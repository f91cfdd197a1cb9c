import {
  changedPersonSchema,
  newPersonSchema,
  type Person,
  passwordChangeSchema,
  passwordResetSchema,
  secondOffSchema,
  secondSchema,
} from '@fulcrant/core/api';
import { check } from '@fulcrant/core/judgement';
import type { Context } from 'koa';
import { toDataURL } from 'qrcode';
import { codeStands, giveCode, useCode } from '../auth/codes.ts';
import { hashPassword, passwordMatches } from '../auth/password.ts';
import { addPerson, changePerson, everybody, setPassword } from '../auth/people.ts';
import { hasSecond, offerSecond, setSecond, stepOfCode } from '../auth/second.ts';
import { endSessionById, endSessionsOf, sessionsOf } from '../auth/sessions.ts';
import type { Database } from '../store/database.ts';
import { plantOf } from '../store/plant.ts';
import { Problem } from './problem.ts';
import { deviceToken, EVERYONE_SIGNED_IN, type House, LEADS, type Route, sessionToken } from './routes.ts';
import { mayTry, welcome } from './session.ts';

const known = async (db: Database, id: string | undefined) => {
  const person = await db.models.Person.findByPk(id ?? '');
  if (!person) throw new Problem(404, 'There is no such person.');
  return person;
};

/** Somebody signed in says their password once more, before what guards it is changed. @throws Problem where it is another */
async function ownPassword(ctx: Context, house: House, me: Person, password: string, path = 'password') {
  const attempt = await mayTry(ctx, house, me.name);
  const person = await known(house.db, me.id);
  if (!(await passwordMatches(person.passwordHash, password))) {
    attempt.wrong();
    throw new Problem(400, 'Not all is said yet.', [
      { path, message: 'That is not the password you have now.' },
    ]);
  }
  await attempt.right();
}

/** People of the plant, kept by a lead hand; and what each keeps of their own: password and sessions. */
export const people: Route[] = [
  {
    method: 'get',
    path: '/api/people',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = { people: await everybody(house.db) };
    },
  },
  {
    method: 'post',
    path: '/api/people',
    who: LEADS,
    asks: newPersonSchema,
    /** Answers with the code that lets the new person choose a password; it is told this once. */
    async run({ ctx, house, body }) {
      const checked = check(newPersonSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const id = await addPerson(house.db, checked.value);
      if (!id)
        throw new Problem(409, 'Not all is said yet.', [
          { path: 'name', message: 'Somebody of that name is there already; retired people keep theirs.' },
        ]);
      ctx.status = 201;
      ctx.body = { id, code: await giveCode(house.db, 'reset', id) };
    },
  },
  {
    method: 'post',
    path: '/api/people/:id',
    who: LEADS,
    asks: changedPersonSchema,
    async run({ ctx, house, body, params }) {
      const checked = check(changedPersonSchema, body);
      if (!checked.ok) throw new Problem(400, 'That cannot be changed so.', checked.faults);
      const person = await known(house.db, params.id);
      if (!(await changePerson(house.db, person.id, checked.value)))
        throw new Problem(409, `${person.name} is the last lead hand: make somebody else one first.`);
      ctx.body = { people: await everybody(house.db) };
    },
  },
  {
    method: 'post',
    path: '/api/people/:id/code',
    who: LEADS,
    /** A code for somebody who forgot the password, or lost the first one. It is told this once. */
    async run({ ctx, house, params }) {
      const person = await known(house.db, params.id);
      if (person.retiredAt) throw new Problem(409, `${person.name} is retired.`);
      ctx.status = 201;
      ctx.body = { code: await giveCode(house.db, 'reset', person.id) };
    },
  },
  {
    method: 'post',
    path: '/api/password/reset',
    who: 'anyone',
    asks: passwordResetSchema,
    /** A code and a new password let somebody in; all their other sessions end. */
    async run({ ctx, house, body }) {
      const checked = check(passwordResetSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const { name, code, password } = checked.value;
      const attempt = await mayTry(ctx, house, name);
      const person = await house.db.models.Person.findOne({ where: { name, retiredAt: null } });
      // Hashed before it is known whether the code stands: a wrong one takes as long.
      const passwordHash = await hashPassword(password);
      if (
        !person ||
        !(await codeStands(house.db, 'reset', code, person.id)) ||
        !(await useCode(house.db, code))
      ) {
        attempt.wrong();
        throw new Problem(400, 'Not all is said yet.', [
          { path: 'code', message: 'Name and code do not go together, or the code was used or is too old.' },
        ]);
      }
      await setPassword(house.db, person.id, passwordHash);
      // A lead hand handed the code over face to face: whoever lost the authenticator gets in by it, and sets another.
      await setSecond(house.db, person.id, null);
      await attempt.right();
      await welcome(ctx, house, person);
    },
  },
  {
    method: 'post',
    path: '/api/account/password',
    who: EVERYONE_SIGNED_IN,
    asks: passwordChangeSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(passwordChangeSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      await ownPassword(ctx, house, me, checked.value.current, 'current');
      await setPassword(house.db, me.id, await hashPassword(checked.value.password), {
        session: sessionToken(ctx),
        device: deviceToken(ctx),
      });
      ctx.status = 204;
    },
  },
  {
    method: 'get',
    path: '/api/account/second',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      ctx.body = { on: await hasSecond(house.db, me.id) };
    },
  },
  {
    method: 'post',
    path: '/api/account/second/offer',
    who: LEADS,
    /** A secret for an authenticator, as text, link and picture. It holds from when a code of it comes back. */
    async run({ ctx, house }, me) {
      const { secret, uri } = offerSecond((await plantOf(house.db)).site, me.name);
      ctx.body = { secret, uri, picture: await toDataURL(uri, { margin: 2, scale: 5 }) };
    },
  },
  {
    method: 'post',
    path: '/api/account/second',
    who: LEADS,
    asks: secondSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(secondSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      const { secret, code, password } = checked.value;
      await ownPassword(ctx, house, me, password);
      const step = await stepOfCode(secret, code);
      if (step === null)
        throw new Problem(400, 'Not all is said yet.', [
          {
            path: 'code',
            message: 'That is not what an authenticator shows for this secret now: look at its clock.',
          },
        ]);
      await setSecond(house.db, me.id, { secret, step });
      ctx.body = { on: true };
    },
  },
  {
    method: 'post',
    path: '/api/account/second/off',
    who: EVERYONE_SIGNED_IN,
    asks: secondOffSchema,
    /** For whoever has it: it goes on being asked of somebody who leads no more. */
    async run({ ctx, house, body }, me) {
      const checked = check(secondOffSchema, body);
      if (!checked.ok) throw new Problem(400, 'Not all is said yet.', checked.faults);
      await ownPassword(ctx, house, me, checked.value.password);
      await setSecond(house.db, me.id, null);
      ctx.body = { on: false };
    },
  },
  {
    method: 'get',
    path: '/api/account/sessions',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      ctx.body = { sessions: await sessionsOf(house.db, me.id, sessionToken(ctx)) };
    },
  },
  {
    method: 'delete',
    path: '/api/account/sessions',
    who: EVERYONE_SIGNED_IN,
    /** Sign out everywhere else. */
    async run({ ctx, house }, me) {
      await endSessionsOf(house.db, me.id, sessionToken(ctx));
      ctx.status = 204;
    },
  },
  {
    method: 'delete',
    path: '/api/account/sessions/:id',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }, me) {
      if (!(await endSessionById(house.db, me.id, params.id ?? '')))
        throw new Problem(404, 'There is no such session of yours.');
      ctx.status = 204;
    },
  },
];
