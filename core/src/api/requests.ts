import { array, boolean, type InferType, mixed, number, object, string } from 'yup';
import { INSTRUMENT_KINDS } from '../instruments/kinds.ts';
import { needsDate } from '../instruments/unlisted.ts';
import { isDay, isMoment } from '../judgement/moments.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import '../judgement/sentences.ts';
import { allMethods } from '../engine/trades.ts';
import { idsOf } from '../sources/methods.ts';
import type { Role } from './roles.ts';

export const signInSchema = object({
  name: string().trim().min(1).max(60).required(COMMON.typeYourSignName),
  password: string().min(1).max(200).required(COMMON.typeYourPassword),
  /** The code of a second factor, where one is asked. */
  code: string().max(20),
}).noUnknown();
export type SignIn = InferType<typeof signInSchema>;

/** A batch of events, oldest first. Each is checked on its own, so one bad event does not sink the rest. */
export const eventsRequestSchema = object({
  events: array(mixed<object>().required()).min(1).max(100).required(),
  /** What the device's clock says as it sends them. */
  sentAt: string().test('moment', M.timeSendingWrittenLike2026, (t) => !t || isMoment(t)),
}).noUnknown();

export const newInstrumentSchema = object({
  name: string().trim().min(2).max(60).required(),
  kind: string().oneOf(INSTRUMENT_KINDS).required(),
  step: number().moreThan(0).max(100).required(),
  low: number().min(-100).required(),
  high: number().moreThan(0).max(10000).required(),
  calibrationDue: string()
    .matches(/^\d{4}-\d\d-\d\d$/, { message: M.writeDateLike202601 })
    .test('day', COMMON.thereNoSuchDay, (d) => !d || !/^\d{4}-\d\d-\d\d$/.test(d) || isDay(d))
    .when('kind', ([kind], s) => (kind === undefined || needsDate(kind) ? s.required() : s)),
  serial: string().trim().max(40),
}).noUnknown();
export type NewInstrument = InferType<typeof newInstrumentSchema>;

/** A gauge came back from its calibration. */
export const calibratedSchema = object({
  calibrationDue: string()
    .matches(/^\d{4}-\d\d-\d\d$/, { message: M.writeDateLike202601 })
    .required(),
}).noUnknown();

/** A calibration certificate as it is kept: by the SHA-256 of its file. */
export type Certificate = { hash: string; name: string; type: string; bytes: number; by: string; at: string };

/** A gauge is taken out of use, dropped or lost, or put back. */
export const gaugeUseSchema = object({ inUse: boolean().required() }).noUnknown();

/** What a lead hand sets of the house rules; those left out stay as they are. */
export const siteRulesSchema = () =>
  object(Object.fromEntries(allMethods().map((m) => [m.id, string().oneOf(idsOf(m))])))
    .noUnknown()
    .test('names a rule', M.nameLeastOneRuleSet, (rules) => Object.keys(rules ?? {}).length > 0)
    .required();

export type Person = { id: string; name: string; role: Role };

/** What became of one posted event. `refused` says why and stores nothing. */
export type EventOutcome = {
  id: string;
  outcome: 'stored' | 'already' | 'refused';
  seq?: number;
  /** Why, in words; `said`: by id and params. */
  reason?: string;
  said?: Text;
};
export type EventsResponse = { jobId: string; number: string | null; outcomes: EventOutcome[] };

/** What a device has sent and asks after: does the server still have it? */
export const lacksSchema = object({
  events: array(
    string()
      .matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/)
      .required(),
  )
    .max(1000)
    .required(),
  photos: array(
    string()
      .matches(/^[0-9a-f]{64}$/)
      .required(),
  )
    .max(1000)
    .required(),
}).noUnknown();
export type LacksAsked = InferType<typeof lacksSchema>;
/** Those the server has not. */
export type LacksTold = { events: string[]; photos: string[] };
