import { array, boolean, type InferType, mixed, number, object, string } from 'yup';
import { allSkills, allTrades } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { isText } from '../message/message.ts';
import { M } from './messages.ts';
import { firstInCircle } from './reaches.ts';
import { toolKey } from './tools.ts';
import '../judgement/sentences.ts';

const moment = (what: Text) =>
  string()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?Z$/, { message: M.writeDayTime({ what }) })
    .test('real', M.noSuchMoment({ what }), (v) => v === undefined || Number.isFinite(Date.parse(v)))
    .required(COMMON.missing2({ what }));
const clock = () =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: COMMON.writeTimeLike })
    .required(COMMON.writeTimeLike);
const named = (what: Text, most = 80) =>
  string()
    .trim()
    .min(1, COMMON.missing2({ what }))
    .max(most, M.tooLong({ what }))
    .required(COMMON.missing2({ what }));
/** Why one job waits for another: as it was proposed, or in the words of whoever bound them. */
const reason = (most = 400) =>
  mixed<Text>((v): v is Text => isText(v) && JSON.stringify(v).length <= most).default('');
const key = () =>
  string()
    .matches(/^[\w-]{1,40}$/, { message: M.keyHasLettersDigitsDashes })
    .required();

const spanSchema = object({ from: moment(COMMON.from), to: moment(COMMON.to) })
  .noUnknown()
  .test('order', M.endLiesBeforeBeginning, (v) => !v?.from || !v.to || Date.parse(v.to) > Date.parse(v.from));

/** A piece that stands where a hand put it: when, with whom, or both. */
const pinSchema = object({
  task: string().min(3).max(90).required(),
  startsAt: moment(M.start).notRequired(),
  by: array(key()).max(6).default([]),
}).noUnknown();

const placedSchema = object({
  task: string().min(3).max(90).required(),
  start: number().required(),
  finish: number().required(),
  units: array(key()).max(6).required(),
}).noUnknown();

/** An outage: its window, who and what there is, what is to be done, what binds it, and the plan as it was last adopted. */
export const outageSchema = object({
  name: named(M.name),
  startsAt: moment(M.start),
  /** The wall: all is to be done by then. */
  endsAt: moment(M.end),
  shifts: array(
    object({
      name: named(M.shift, 20),
      from: clock(),
      to: clock(),
      breaks: array(object({ from: clock(), to: clock() }).noUnknown().required())
        .max(6)
        .default([]),
      /** Days of the week it works, 1 Monday to 7 Sunday. */
      days: array(number().integer().min(1).max(7).required()).min(1, M.whichDays).required(),
    })
      .noUnknown()
      .required(),
  )
    .min(1, M.outageHasShift)
    .max(4)
    .required(),
  crew: array(
    object({
      id: key(),
      name: named(M.name, 60),
      skills: array(
        string()
          .required()
          .test('skill', M.thereNoSuchSkill, (s) => allSkills().includes(s)),
      )
        .max(40)
        .default([]),
      shift: number().integer().min(0).max(3).required(),
      away: array(spanSchema.required()).max(20).default([]),
    })
      .noUnknown()
      .required(),
  )
    .max(40)
    .default([]),
  tools: array(
    object({
      name: named(M.tool, 40),
      count: number().integer(COMMON.wholeNumber).min(0).max(100).required(),
      /** What a torque wrench reaches, N·m. */
      least: number().min(0).max(100_000).notRequired(),
      most: number().positive(M.moreThanNothing).max(100_000).notRequired(),
      /** Not there before, not after. */
      from: moment(COMMON.from).notRequired(),
      until: moment(M.until).notRequired(),
    })
      .noUnknown()
      .test(
        'range',
        M.rangeEndsBelowWhereBegins,
        (t) => !t || (t.least ?? 0) < (t.most ?? Number.POSITIVE_INFINITY),
      )
      .required(),
  )
    .max(40)
    .default([]),
  /** When a machine is isolated and may be worked on; one not named may be all the time. */
  windows: array(
    object({ machine: named(COMMON.machine2), from: moment(COMMON.from), to: moment(COMMON.to) })
      .noUnknown()
      .required(),
  )
    .max(200)
    .default([]),
  jobs: array(
    object({
      key: key(),
      trade: string().min(1).max(40).required(),
      machine: named(COMMON.machine2),
      position: named(COMMON.position2),
      positionId: string().length(36).notRequired(),
      jobId: string().length(36).notRequired(),
    })
      .noUnknown()
      .required(),
  )
    .max(200)
    .default([]),
  bindings: array(
    object({ before: key(), after: key(), why: reason(), off: boolean() }).noUnknown().required(),
  )
    .max(600)
    .default([]),
  pins: array(pinSchema.required()).max(400).default([]),
  plan: object({
    madeAt: moment(M.made),
    end: number().required(),
    bound: number().required(),
    by: reason(6000),
    placed: array(placedSchema.required()).max(1200).required(),
  })
    .noUnknown()
    .notRequired()
    .default(undefined),
})
  .noUnknown()
  .test('window', (v, context) =>
    v?.startsAt && v.endsAt && Date.parse(v.endsAt) <= Date.parse(v.startsAt)
      ? context.createError({ path: 'endsAt', message: M.wallLiesBeforeStart })
      : true,
  )
  .test('long', (v, context) =>
    v?.startsAt && v.endsAt && Date.parse(v.endsAt) - Date.parse(v.startsAt) > 120 * 86_400_000
      ? context.createError({ path: 'endsAt', message: M.outageHas120DaysMost })
      : true,
  )
  .test('circle', (v, context) =>
    firstInCircle(v?.bindings ?? [])
      ? context.createError({ path: 'bindings', message: M.someJobsWaitEachOther })
      : true,
  )
  .test('work', (v, context) => {
    const odd = (v?.jobs ?? []).find((j) => !allTrades().some((t) => t.id === j.trade));
    return odd
      ? context.createError({ path: 'jobs', message: COMMON.thereNoWork({ trade: odd.trade }) })
      : true;
  })
  .test('keys', (v, context) => {
    const keys = (v?.jobs ?? []).map((j) => j.key);
    if (new Set(keys).size < keys.length)
      return context.createError({ path: 'jobs', message: M.twoJobsHaveOneKey });
    const people = (v?.crew ?? []).map((c) => c.id);
    if (new Set(people).size < people.length)
      return context.createError({ path: 'crew', message: M.somebodyCrewTwice });
    const tools = (v?.tools ?? []).map(toolKey);
    if (new Set(tools).size < tools.length)
      return context.createError({
        path: 'tools',
        message: M.toolStandsThereTwiceSay,
      });
    return true;
  });
export type Outage = InferType<typeof outageSchema>;
export type OutageJob = Outage['jobs'][number];
export type OutageTold = { id: string; version: number; outage: Outage; by: string; at: string };
export type OutageLine = {
  id: string;
  name: string;
  startsAt: string;
  endsAt: string;
  jobs: number;
  at: string;
};

/** How far a job of an outage has come, by step. */
export type Progress = Record<string, StepProgress | undefined>;
export type StepProgress =
  /** When it was first and last touched, by whom last, and whether it is done. */
  | { first: string; last: string; done: boolean; by: string }
  /** Opened again, and not touched since: it is all to be done anew. */
  | 'again';
