import { array, boolean, type InferType, number, object, string } from 'yup';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import { ROLES, type Role } from './roles.ts';
import '../judgement/sentences.ts';

/** Shorter ones fall to guessing; longer than anybody types are no passwords. Source: NIST SP 800-63B, a little stricter. */
const password = (what: Text) =>
  string().min(10, M.passwordHasTenCharactersLeast).max(200, M.passwordHas200CharactersMost).required(what);
const name = (what: Text) =>
  string()
    .trim(M.leaveOutBlanksEnds)
    .min(2, M.nameHasTwoLettersLeast)
    .max(60, M.nameHas60LettersMost)
    .required(what);
const clock = (what: Text) =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: COMMON.writeTimeLike })
    .required(what);
const code = () => string().min(1, M.typeCode).max(40, M.codeHasTenLetters).required(M.typeCode);
const site = () =>
  string()
    .trim(M.leaveOutBlanksEnds)
    .min(2, M.sitesNameHasTwoLetters)
    .max(80, M.sitesNameHas80Letters)
    .required(M.nameSite);

/** The first visitor of a new plant: the code from the console, what the site is called, who leads it. */
export const firstVisitSchema = object({
  code: code(),
  site: site(),
  name: name(M.typeYourName),
  password: password(M.choosePassword),
}).noUnknown();
export type FirstVisit = InferType<typeof firstVisitSchema>;

export const newPersonSchema = object({
  name: name(M.typeName),
  role: string().oneOf(ROLES, M.chooseRole).required(M.chooseRole),
}).noUnknown();

export const changedPersonSchema = object({
  role: string().oneOf(ROLES, M.chooseRole),
  retired: boolean(),
}).noUnknown();

export const passwordChangeSchema = object({
  current: string().min(1).max(200).required(M.typePasswordYouHaveNow),
  password: password(M.chooseNewPassword),
}).noUnknown();

export const passwordResetSchema = object({
  name: name(M.typeYourName),
  code: code(),
  password: password(M.chooseNewPassword),
}).noUnknown();

/** Four to six digits: enough at a device where its person is known, where tries are counted. */
const pin = () => string().matches(/^\d{4,6}$/, { message: M.pinFourToSixDigits });
export const pinSchema = object({ pin: pin().required(M.pinFourToSixDigits) }).noUnknown();
export const pinChangeSchema = object({
  pin: pin().required(M.pinFourToSixDigits),
  password: string().min(1).max(200).required(M.typePasswordYouHaveNow),
}).noUnknown();
export const pinSignInSchema = object({
  person: string().min(1).max(40).required(),
  pin: pin().required(M.pinFourToSixDigits),
}).noUnknown();

/** A second factor begins to hold with a code of it, and the password that asks for it. */
export const secondSchema = object({
  secret: string()
    .matches(/^[A-Z2-7]{32}$/, { message: M.askSecretAnew })
    .required(),
  code: code(),
  password: string().min(1).max(200).required(M.typePasswordYouHaveNow),
}).noUnknown();
export const secondOffSchema = object({
  password: string().min(1).max(200).required(M.typePasswordYouHaveNow),
}).noUnknown();

/** What a plant is told once and every sheet follows. */
export const plantSchema = object({
  site: site(),
  paper: string()
    .oneOf(['A4', 'letter'] as const)
    .required(),
  units: string()
    .oneOf(['mm', 'in'] as const)
    .required(),
  worksFrom: clock(M.whenDoesShiftBegin),
  worksTo: clock(M.whenDoesShiftEnd),
  /** Sections of packing kept in the store, mm. */
  stockMm: array(number().moreThan(0, M.sectionMoreThanNothing).max(60, M.section60MmMost).required())
    .max(60)
    .required(),
}).noUnknown();
export type PlantSettings = InferType<typeof plantSchema>;

/** What anybody may know of the plant before signing in. */
export type PlantGreeting = {
  site: string;
  demo: boolean;
  state: 'first-visit' | 'ready';
  /** Who can sign in at a demo, and by what password: its people are invented and the password is public. */
  offers?: { password: string; people: Array<{ name: string; role: Role }> };
};
export type Plant = PlantSettings & { demo: boolean };

export type PersonLine = {
  id: string;
  name: string;
  role: Role;
  retiredAt: string | null;
  /** False where a password was never set: the code handed out still waits. */
  canSignIn: boolean;
};
export type SessionLine = { id: string; startedAt: string; device: string; here: boolean };
