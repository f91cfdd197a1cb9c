import { array, boolean, type InferType, number, object, string } from 'yup';
import type { Role } from '../engine/author.ts';
import '../judgement/sentences.ts';

export const ROLES = ['fitter', 'lead', 'viewer', 'instructor'] as const satisfies readonly Role[];
export type { Role } from '../engine/author.ts';

/** What each role is called and may do, as a person reads it. */
export const ROLE_SAID: Readonly<Record<Role, readonly [name: string, may: string]>> = {
  fitter: ['fitter', 'works and signs sheets'],
  lead: ['lead hand', 'releases holds, accepts deviations, keeps people and plant'],
  viewer: ['viewer', 'reads, records nothing'],
  instructor: ['instructor', 'reads; sets practice and signs competence'],
};

/** Shorter ones fall to guessing; longer than anybody types are no passwords. Source: NIST SP 800-63B, a little stricter. */
const password = (what: string) =>
  string()
    .min(10, 'A password has ten characters at the least: three words do.')
    .max(200, 'A password has 200 characters at the most.')
    .required(what);
const name = (what: string) =>
  string()
    .trim('Leave out the blanks at its ends.')
    .min(2, 'A name has two letters at the least.')
    .max(60, 'A name has 60 letters at the most.')
    .required(what);
const clock = (what: string) =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write the time like 06:00.')
    .required(what);
const code = () =>
  string().min(1, 'Type the code.').max(40, 'A code has ten letters.').required('Type the code.');
const site = () =>
  string()
    .trim('Leave out the blanks at its ends.')
    .min(2, 'A site’s name has two letters at the least.')
    .max(80, 'A site’s name has 80 letters at the most.')
    .required('Name the site.');

/** The first visitor of a new plant: the code from the console, what the site is called, who leads it. */
export const firstVisitSchema = object({
  code: code(),
  site: site(),
  name: name('Type your name.'),
  password: password('Choose a password.'),
}).noUnknown();
export type FirstVisit = InferType<typeof firstVisitSchema>;

export const newPersonSchema = object({
  name: name('Type the name.'),
  role: string().oneOf(ROLES, 'Choose a role.').required('Choose a role.'),
}).noUnknown();

export const changedPersonSchema = object({
  role: string().oneOf(ROLES, 'Choose a role.'),
  retired: boolean(),
}).noUnknown();

export const passwordChangeSchema = object({
  current: string().min(1).max(200).required('Type the password you have now.'),
  password: password('Choose a new password.'),
}).noUnknown();

export const passwordResetSchema = object({
  name: name('Type your name.'),
  code: code(),
  password: password('Choose a new password.'),
}).noUnknown();

/** A second factor begins to hold with a code of it, and the password that asks for it. */
export const secondSchema = object({
  secret: string()
    .matches(/^[A-Z2-7]{32}$/, 'Ask for a secret anew.')
    .required(),
  code: code(),
  password: string().min(1).max(200).required('Type the password you have now.'),
}).noUnknown();
export const secondOffSchema = object({
  password: string().min(1).max(200).required('Type the password you have now.'),
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
  worksFrom: clock('When does the shift begin?'),
  worksTo: clock('When does the shift end?'),
  /** Sections of packing kept in the store, mm. */
  stockMm: array(
    number()
      .moreThan(0, 'A section is more than nothing.')
      .max(60, 'A section is 60 mm at the most.')
      .required(),
  )
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
