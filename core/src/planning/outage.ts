import { array, boolean, type InferType, number, object, string } from 'yup';
import { allSkills, allTrades } from '../engine/trades.ts';
import { firstInCircle } from './reaches.ts';
import { toolKey } from './tools.ts';
import '../judgement/sentences.ts';

const moment = (what: string) =>
  string()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?Z$/, `${what}: write a day and a time.`)
    .test(
      'real',
      `${what}: there is no such moment.`,
      (v) => v === undefined || Number.isFinite(Date.parse(v)),
    )
    .required(`${what} is missing.`);
const clock = () =>
  string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write the time like 06:00.')
    .required('Write the time like 06:00.');
const named = (what: string, most = 80) =>
  string()
    .trim()
    .min(1, `${what} is missing.`)
    .max(most, `${what} is too long.`)
    .required(`${what} is missing.`);
const key = () =>
  string()
    .matches(/^[\w-]{1,40}$/, 'A key has letters, digits and dashes.')
    .required();

const spanSchema = object({ from: moment('From'), to: moment('To') })
  .noUnknown()
  .test(
    'order',
    'The end lies before the beginning.',
    (v) => !v?.from || !v.to || Date.parse(v.to) > Date.parse(v.from),
  );

/** A piece that stands where a hand put it: when, with whom, or both. */
const pinSchema = object({
  task: string().min(3).max(90).required(),
  startsAt: moment('The start').notRequired(),
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
  name: named('The name'),
  startsAt: moment('The start'),
  /** The wall: all is to be done by then. */
  endsAt: moment('The end'),
  shifts: array(
    object({
      name: named('The shift', 20),
      from: clock(),
      to: clock(),
      breaks: array(object({ from: clock(), to: clock() }).noUnknown().required())
        .max(6)
        .default([]),
      /** Days of the week it works, 1 Monday to 7 Sunday. */
      days: array(number().integer().min(1).max(7).required()).min(1, 'On which days?').required(),
    })
      .noUnknown()
      .required(),
  )
    .min(1, 'An outage has a shift.')
    .max(4)
    .required(),
  crew: array(
    object({
      id: key(),
      name: named('The name', 60),
      skills: array(
        string()
          .required()
          .test('skill', 'There is no such skill.', (s) => allSkills().includes(s)),
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
      name: named('The tool', 40),
      count: number().integer('A whole number.').min(0).max(100).required(),
      /** What a torque wrench reaches, N·m. */
      least: number().min(0).max(100_000).notRequired(),
      most: number().positive('More than nothing.').max(100_000).notRequired(),
      /** Not there before, not after. */
      from: moment('From').notRequired(),
      until: moment('Until').notRequired(),
    })
      .noUnknown()
      .test(
        'range',
        'The range ends below where it begins.',
        (t) => !t || (t.least ?? 0) < (t.most ?? Number.POSITIVE_INFINITY),
      )
      .required(),
  )
    .max(40)
    .default([]),
  /** When a machine is isolated and may be worked on; one not named may be all the time. */
  windows: array(
    object({ machine: named('The machine'), from: moment('From'), to: moment('To') })
      .noUnknown()
      .required(),
  )
    .max(200)
    .default([]),
  jobs: array(
    object({
      key: key(),
      trade: string().min(1).max(40).required(),
      machine: named('The machine'),
      position: named('The position'),
      positionId: string().length(36).notRequired(),
      jobId: string().length(36).notRequired(),
    })
      .noUnknown()
      .required(),
  )
    .max(200)
    .default([]),
  bindings: array(
    object({ before: key(), after: key(), why: string().max(120).default(''), off: boolean() })
      .noUnknown()
      .required(),
  )
    .max(600)
    .default([]),
  pins: array(pinSchema.required()).max(400).default([]),
  plan: object({
    madeAt: moment('Made'),
    end: number().required(),
    bound: number().required(),
    by: string().max(400).default(''),
    placed: array(placedSchema.required()).max(1200).required(),
  })
    .noUnknown()
    .notRequired()
    .default(undefined),
})
  .noUnknown()
  .test('window', (v, context) =>
    v?.startsAt && v.endsAt && Date.parse(v.endsAt) <= Date.parse(v.startsAt)
      ? context.createError({ path: 'endsAt', message: 'The wall lies before the start.' })
      : true,
  )
  .test('long', (v, context) =>
    v?.startsAt && v.endsAt && Date.parse(v.endsAt) - Date.parse(v.startsAt) > 120 * 86_400_000
      ? context.createError({ path: 'endsAt', message: 'An outage has 120 days at the most.' })
      : true,
  )
  .test('circle', (v, context) =>
    firstInCircle(v?.bindings ?? [])
      ? context.createError({ path: 'bindings', message: 'Some jobs wait for each other in a circle.' })
      : true,
  )
  .test('work', (v, context) => {
    const odd = (v?.jobs ?? []).find((j) => !allTrades().some((t) => t.id === j.trade));
    return odd ? context.createError({ path: 'jobs', message: `There is no work “${odd.trade}”.` }) : true;
  })
  .test('keys', (v, context) => {
    const keys = (v?.jobs ?? []).map((j) => j.key);
    if (new Set(keys).size < keys.length)
      return context.createError({ path: 'jobs', message: 'Two jobs have one key.' });
    const people = (v?.crew ?? []).map((c) => c.id);
    if (new Set(people).size < people.length)
      return context.createError({ path: 'crew', message: 'Somebody is in the crew twice.' });
    const tools = (v?.tools ?? []).map(toolKey);
    if (new Set(tools).size < tools.length)
      return context.createError({
        path: 'tools',
        message: 'A tool stands there twice: say how many instead.',
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
