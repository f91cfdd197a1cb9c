import { array, boolean, type InferType, lazy, mixed, number, object, type Schema, string } from 'yup';
import { instrumentSchema } from '../instruments/instrument.ts';
import { isMoment } from '../judgement/moments.ts';
import type { Params } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import { isText, type Text } from '../message/message.ts';
import type { Author } from './author.ts';
import { authorSchema } from './author.ts';
import { LACKING_WHYS } from './lacking.ts';
import { M } from './messages.ts';
import { isParams } from './params.ts';
import { ANSWERS } from './said.ts';
import { setupSchema } from './trades.ts';
import '../judgement/sentences.ts';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
const UUID7 = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const ISO = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,3})?Z$/;

export const uuidSchema = string()
  .matches(UUID, { message: (p: { path: string }) => M.pathNotIdentifier({ path: p.path }) })
  .required();
/** Letters of a note at most. */
export const NOTE_MOST = 1000;
const word = () => string().min(1).max(40).required();
const reason = () =>
  string().trim().min(3, COMMON.reasonTakesFewWords).max(400).required(COMMON.reasonTakesFewWords);

/** What each kind of event carries. The reducer alone gives it meaning. */
export const eventData = {
  'job.opened': object({ positionId: uuidSchema, setup: setupSchema }).noUnknown(),
  'setup.changed': object({ setup: setupSchema, reason: reason() }).noUnknown(),
  'gate.answered': object({
    step: word(),
    item: word(),
    answer: string().oneOf(ANSWERS).required(),
    note: string().max(400),
  }).noUnknown(),
  /** An answer of a step that was passed is corrected: the step opens, and all that stands on it. */
  'answer.corrected': object({
    step: word(),
    item: word(),
    answer: string().oneOf(ANSWERS).required(),
    note: string().max(400),
    reason: reason(),
  }).noUnknown(),
  'reading.taken': object({
    step: word(),
    place: string()
      .matches(/^[a-z0-9./-]{1,40}$/i)
      .required(),
    /** In the unit inside, by the gauge's kind: mm, degrees, MPa, °C, strokes. */
    value: number().min(-10000).max(10000).required(),
    /** As typed, so that a misreading can be traced. */
    raw: string().max(40).required(),
    instrument: instrumentSchema.required(),
    /** When it was read, where that was earlier than it is told: only at steps that keep times. */
    readAt: string()
      .matches(ISO, { message: M.timeReadWrittenLike2026 })
      .test('real', M.timeReadNotRealTime, (t) => !t || isMoment(t)),
    /** How it came: typed by hand where nothing is said, from the gauge's own port, or out of a file. */
    via: string().oneOf(['port', 'file'] as const),
  }).noUnknown(),
  /**
   * A step is measured again. With `done` something was changed before (dressed, shimmed, renewed) and what was read before counts no
   * more; without, nothing was, and both count together.
   */
  'measure.repeated': object({
    step: word(),
    done: string().trim().min(3, COMMON.reasonTakesFewWords).max(400),
  }).noUnknown(),
  /** A number that a step asks for is not there: said instead of invented. */
  'number.lacking': object({
    step: word(),
    why: string().oneOf(LACKING_WHYS).required(),
    reason: reason(),
  }).noUnknown(),
  'reading.withdrawn': object({ reading: uuidSchema, reason: reason() }).noUnknown(),
  'bolt.tightened': object({
    /** The step whose bolts they are. */
    step: word(),
    pass: number().integer().min(0).max(20).required(),
    bolt: number().integer().min(1).max(32).required(),
    torqueNm: number().min(0).max(5000).required(),
    moved: boolean(),
    /** How far it still turned, degrees: what a seating loop goes by. */
    movedDeg: number().min(0).max(720),
    /** Another bolt than the next was tightened: told as it really went. */
    asDone: boolean(),
    instrument: instrumentSchema.required(),
  }).noUnknown(),
  /** What is left of a pass, tightened in the order of its pattern and told as one statement. */
  'bolts.tightened': object({
    step: word(),
    pass: number().integer().min(0).max(20).required(),
    bolts: array(number().integer().min(1).max(32).required()).min(1).max(32).required(),
    torqueNm: number().min(0).max(5000).required(),
    /** Of a round: whether any of them still moved. */
    moved: boolean(),
    instrument: instrumentSchema.required(),
  }).noUnknown(),
  'bolts.loosened': object({ step: word(), reason: reason() }).noUnknown(),
  'step.passed': object({ step: word() }).noUnknown(),
  'step.held': object({ step: word(), reason: reason() }).noUnknown(),
  'step.released': object({ step: word(), note: string().max(400) }).noUnknown(),
  'deviation.accepted': object({
    step: word(),
    finding: word(),
    /** What the finding names: what is accepted is this, not whatever comes under its code later. Acceptances of before have none. */
    params: mixed<Params>().test('params', M.whatAcceptedToldAsNames, (v) => v === undefined || isParams(v)),
    /** Acceptances of before carried the numbers in the sentence; they are read by nobody now. */
    numbers: array(number().required()).max(60),
    /** Its sentence as it was read, for the sheet. */
    stands: mixed<Text>((v): v is Text => isText(v) && JSON.stringify(v).length <= 6000).required(),
    reason: reason(),
  }).noUnknown(),
  /** A second person has looked at a change of the setup that would lift a stop. */
  'change.seen': object({ change: uuidSchema }).noUnknown(),
  /** Something only this trade, or this kind of step, knows of: its name and parameters, as the trade declares them. */
  'act.done': object({
    act: word(),
    params: mixed<Params>().test(
      'params',
      M.parametersNamesPlainValues,
      (v) => v === undefined || isParams(v),
    ),
    reason: string().trim().max(400),
  }).noUnknown(),
  'sheet.signed': object({
    name: string().trim().min(2, COMMON.signYourName).max(60).required(),
    /** The machine runs and checks are still to come: the sheet is kept as it stands, and closed by the last of them. */
    running: boolean().oneOf([true] as const),
  }).noUnknown(),
  /** A signed sheet is opened again to be corrected; what was signed stays as it was. */
  'sheet.reopened': object({ reason: reason() }).noUnknown(),
  /** Opened by mistake: it leaves the board and stays in the record. */
  'job.cancelled': object({ reason: reason() }).noUnknown(),
  /** A photograph at a step, by the hash of its file: the file itself travels beside the events. */
  'photo.added': object({
    step: string().min(1).max(60).required(),
    hash: string()
      .matches(/^[0-9a-f]{64}$/, { message: COMMON.photographNamedSha256File })
      .required(),
    words: string().max(300, M.threeHundredLettersMost).defined(),
    width: number().integer().min(1).max(10_000).required(),
    height: number().integer().min(1).max(10_000).required(),
  }).noUnknown(),
  'note.added': object({ text: string().trim().min(1).max(NOTE_MOST).required() }).noUnknown(),
} as const;

export type EventType = keyof typeof eventData;
export type EventDataOf<T extends EventType> = InferType<(typeof eventData)[T]>;
export type JobEventOf<T extends EventType> = {
  id: string;
  jobId: string;
  at: string;
  author: Author;
  type: T;
  data: EventDataOf<T>;
  /** Written by the server alone: when it had the event, and what the device's clock said when it sent it. */
  stored?: { at: string; sentAt?: string };
};
/** One thing that happened to a job. Ids are UUIDv7 made where it happened, so a repeat is recognised. */
export type JobEvent = { [T in EventType]: JobEventOf<T> }[EventType];

const envelope = (data: Schema) =>
  object({
    id: string().matches(UUID7, { message: M.idEventUuidVersion7 }).required(),
    jobId: uuidSchema,
    at: string()
      .matches(ISO, { message: M.timeEventWrittenLike2026 })
      .test('real', M.timeEventNotRealTime, (t) => !t || isMoment(t))
      .required(),
    author: authorSchema.required(),
    type: string().oneOf(Object.keys(eventData)).required(),
    data: data.required(),
  }).noUnknown();

/** The shape of each type's events, made once: making it costs more than looking through it. */
const ENVELOPES = Object.fromEntries(
  Object.entries(eventData).map(([type, data]) => [type, envelope(data)]),
) as unknown as Record<EventType, Schema>;
const UNKNOWN = envelope(object());

/** Any event, judged by its own type's shape. */
export const eventSchema = lazy((value: unknown) => {
  const type = (value as { type?: unknown } | null)?.type;
  return typeof type === 'string' && Object.hasOwn(ENVELOPES, type) ? ENVELOPES[type as EventType] : UNKNOWN;
}) as unknown as Schema<JobEvent>;
