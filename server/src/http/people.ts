import {
  changedPersonSchema,
  newPersonSchema,
  type Person,
  passwordChangeSchema,
  passwordResetSchema,
  pinChangeSchema,
  secondOffSchema,
  secondSchema,
} from '@fulcrant/core/api';
import { COMMON } from '@fulcrant/core/messages';
import type { Context } from 'koa';
import { toDataURL } from 'qrcode';
import { codeStands, giveCode, useCode } from '../auth/codes.ts';
import { hashPassword, passwordMatches } from '../auth/password.ts';
import { addPerson, changePerson, everybody, setPassword } from '../auth/people.ts';
import { hasSecond, offerSecond, setSecond, stepOfCode } from '../auth/second.ts';
import { endSessionById, endSessionsOf, sessionsOf } from '../auth/sessions.ts';
import type { Database } from '../store/database.ts';
import { plantOf } from '../store/plant.ts';
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import {
  answers,
  deviceToken,
  EVERYONE_SIGNED_IN,
  type House,
  LEADS,
  made,
  NOTHING,
  type Route,
  route,
  sessionToken,
} from './routes.ts';
import { mayTry, welcome } from './session.ts';
import { flag, listOf, peopleShape, sessionLineShape, sessionShape, text, told } from './shapes.ts';

const known = async (db: Database, id: string | undefined) => {
  const person = await db.models.Person.findByPk(id ?? '');
  if (!person) throw new Problem(404, M.thereNoSuchPerson);
  return person;
};

/** Somebody signed in says their password once more, before what guards it is changed. @throws Problem where it is another */
async function ownPassword(ctx: Context, house: House, me: Person, password: string, path = 'password') {
  const attempt = await mayTry(ctx, house, me.name);
  const person = await known(house.db, me.id);
  if (!(await passwordMatches(person.passwordHash, password))) {
    attempt.wrong();
    throw new Problem(400, M.notAllSaidYet, [{ path, message: M.notPasswordYouHaveNow }]);
  }
  await attempt.right();
}

/** People of the plant, kept by a lead hand; and what each keeps of their own: password and sessions. */
export const people: Route[] = [
  route({
    method: 'get',
    path: '/api/people',
    who: EVERYONE_SIGNED_IN,
    summary: M.everybodySite,
    answer: answers(peopleShape),
    async run({ house }) {
      return { people: await everybody(house.db) };
    },
  }),
  route({
    method: 'post',
    path: '/api/people',
    who: LEADS,
    summary: M.addPersonAnswersCodeFirst,
    asks: newPersonSchema,
    refused: M.notAllSaidYet,
    answer: made(told({ id: text, code: text })),
    problems: [409],
    /** Answers with the code that lets the new person choose a password; it is told this once. */
    async run({ house, body }) {
      const id = await addPerson(house.db, body);
      if (!id)
        throw new Problem(409, M.notAllSaidYet, [
          { path: 'name', message: M.somebodyNameThereAlreadyRetired },
        ]);
      return { id, code: await giveCode(house.db, 'reset', id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/people/:id',
    who: LEADS,
    summary: M.changePersonsRoleRetireThem,
    asks: changedPersonSchema,
    refused: M.cannotChangedSo,
    answer: answers(peopleShape),
    problems: [409],
    async run({ house, body, params }) {
      const person = await known(house.db, params.id);
      if (!(await changePerson(house.db, person.id, body)))
        throw new Problem(409, M.lastLeadHandMakeSomebody({ name: person.name }));
      return { people: await everybody(house.db) };
    },
  }),
  route({
    method: 'post',
    path: '/api/people/:id/code',
    who: LEADS,
    summary: M.newCodePassword,
    answer: made(told({ code: text })),
    problems: [409],
    /** A code for somebody who forgot the password, or lost the first one. It is told this once. */
    async run({ house, params }) {
      const person = await known(house.db, params.id);
      if (person.retiredAt) throw new Problem(409, M.retired({ name: person.name }));
      return { code: await giveCode(house.db, 'reset', person.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/password/reset',
    who: 'anyone',
    summary: M.chooseNewPasswordCodeSign,
    asks: passwordResetSchema,
    refused: M.notAllSaidYet,
    answer: answers(sessionShape),
    /** A code and a new password let somebody in; all their other sessions end. */
    async run({ ctx, house, body }) {
      const { name, code, password } = body;
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
        throw new Problem(400, M.notAllSaidYet, [{ path: 'code', message: M.nameCodeDoNotGo }]);
      }
      await setPassword(house.db, person.id, passwordHash);
      // A lead hand handed the code over face to face: whoever lost the authenticator gets in by it, and sets another.
      await setSecond(house.db, person.id, null);
      await attempt.right();
      return welcome(ctx, house, person);
    },
  }),
  route({
    method: 'post',
    path: '/api/account/pin',
    who: EVERYONE_SIGNED_IN,
    summary: M.setPin,
    asks: pinChangeSchema,
    refused: M.notAllSaidYet,
    answer: NOTHING,
    /** With the password: whoever finds a tablet left lying gives nobody a PIN. */
    async run({ ctx, house, body }, me) {
      await ownPassword(ctx, house, me, body.password);
      const pinHash = await hashPassword(body.pin);
      await house.db.models.Person.update({ pinHash }, { where: { id: me.id }, fields: ['pinHash'] });
    },
  }),
  route({
    method: 'post',
    path: '/api/account/password',
    who: EVERYONE_SIGNED_IN,
    summary: M.changeOnesOwnPassword,
    asks: passwordChangeSchema,
    refused: M.notAllSaidYet,
    answer: NOTHING,
    async run({ ctx, house, body }, me) {
      await ownPassword(ctx, house, me, body.current, 'current');
      await setPassword(house.db, me.id, await hashPassword(body.password), {
        session: sessionToken(ctx),
        device: deviceToken(ctx),
      });
    },
  }),
  route({
    method: 'get',
    path: '/api/account/second',
    who: EVERYONE_SIGNED_IN,
    summary: M.whetherOnesOwnSecondFactor,
    answer: answers(told({ on: flag })),
    async run({ house }, me) {
      return { on: await hasSecond(house.db, me.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/account/second/offer',
    who: LEADS,
    summary: M.secretAuthenticator,
    answer: answers(told({ secret: text, uri: text, picture: text })),
    /** A secret for an authenticator, as text, link and picture. It holds from when a code of it comes back. */
    async run({ house }, me) {
      const { secret, uri } = offerSecond((await plantOf(house.db)).site, me.name);
      return { secret, uri, picture: await toDataURL(uri, { margin: 2, scale: 5 }) };
    },
  }),
  route({
    method: 'post',
    path: '/api/account/second',
    who: LEADS,
    summary: M.turnOnesOwnSecondFactor,
    asks: secondSchema,
    refused: M.notAllSaidYet,
    answer: answers(told({ on: flag })),
    async run({ ctx, house, body }, me) {
      const { secret, code, password } = body;
      await ownPassword(ctx, house, me, password);
      const step = await stepOfCode(secret, code);
      if (step === null)
        throw new Problem(400, M.notAllSaidYet, [
          {
            path: 'code',
            message: M.notWhatAuthenticatorShowsSecret,
          },
        ]);
      await setSecond(house.db, me.id, { secret, step });
      return { on: true };
    },
  }),
  route({
    method: 'post',
    path: '/api/account/second/off',
    who: EVERYONE_SIGNED_IN,
    summary: M.turnOnesOwnSecondFactor2,
    asks: secondOffSchema,
    refused: M.notAllSaidYet,
    answer: answers(told({ on: flag })),
    /** For whoever has it: it goes on being asked of somebody who leads no more. */
    async run({ ctx, house, body }, me) {
      await ownPassword(ctx, house, me, body.password);
      await setSecond(house.db, me.id, null);
      return { on: false };
    },
  }),
  route({
    method: 'get',
    path: '/api/account/sessions',
    who: EVERYONE_SIGNED_IN,
    summary: M.whereOneSigned,
    answer: answers(told({ sessions: listOf(sessionLineShape) })),
    async run({ ctx, house }, me) {
      return { sessions: await sessionsOf(house.db, me.id, sessionToken(ctx)) };
    },
  }),
  route({
    method: 'delete',
    path: '/api/account/sessions',
    who: EVERYONE_SIGNED_IN,
    summary: COMMON.signOutEverywhereElse,
    answer: NOTHING,
    /** Sign out everywhere else. */
    async run({ ctx, house }, me) {
      await endSessionsOf(house.db, me.id, sessionToken(ctx));
    },
  }),
  route({
    method: 'delete',
    path: '/api/account/sessions/:id',
    who: EVERYONE_SIGNED_IN,
    summary: M.signOutOneDevice,
    answer: NOTHING,
    problems: [404],
    async run({ house, params }, me) {
      if (!(await endSessionById(house.db, me.id, params.id ?? '')))
        throw new Problem(404, M.thereNoSuchSessionYours);
    },
  }),
];
