import type { Certificate, HandCardKept } from '@fulcrant/core/api';
import {
  type AutopsyTold,
  type DueLine,
  type EventsResponse,
  type ImportFault,
  type ImportLine,
  type PartCard,
  type Person,
  type PersonLine,
  type Plant,
  type PlantGreeting,
  type PositionCard,
  type RegisterLine,
  ROLES,
  type SessionLine,
} from '@fulcrant/core/api';
import type { JobSummary, RailMark } from '@fulcrant/core/forms';
import type { PastJob } from '@fulcrant/core/history';
import { INSTRUMENT_KINDS, type Instrument } from '@fulcrant/core/instruments';
import { isText, type Text } from '@fulcrant/core/messages';
import type { OutageLine } from '@fulcrant/core/outage';
import { array, boolean, mixed, number, object, type Schema, string } from 'yup';
import type { ShaftCard } from '../store/cards.ts';
import { M } from './messages.ts';

/** Shapes of answers, held to the types core gives them: a field more or less is found by the compiler. */

export const text = string().defined();
export const numeral = number().defined();
export const flag = boolean().defined();
export const moment = string()
  .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/, { message: M.timeWrittenLike202601 })
  .defined();
const day = string()
  .matches(/^\d{4}-\d\d-\d\d$/, { message: M.dayWrittenLike202601 })
  .defined();
export const orNull = <T>(schema: Schema<T>): Schema<T | null> =>
  (schema as unknown as { nullable(): Schema<T | null> }).nullable();
export const maybe = <T>(schema: Schema<T>): Schema<T | undefined> =>
  (schema as unknown as { optional(): Schema<T | undefined> }).optional();
export const listOf = <T>(schema: Schema<T>): Schema<T[]> =>
  array(schema as never).defined() as unknown as Schema<T[]>;

declare module 'yup' {
  interface CustomSchemaMetadata {
    /** What may be anything is an object, though its inside is not described here. */
    object?: boolean;
    /** A text, as a string or by its id and params. */
    worded?: boolean;
  }
}

/** An object with these fields and no others. */
export const told = <T extends object>(fields: { [K in keyof Required<T>]: Schema<T[K]> }): Schema<T> =>
  object(fields as never)
    .noUnknown()
    .defined() as unknown as Schema<T>;

/** An object whose inside is of a trade, a plan or a practice: it is described there, and taken as it is here. */
export const ofItsOwn = <T extends object>(): Schema<T> =>
  mixed<T>()
    .test({
      name: 'object',
      message: M.thatIsNoObject,
      test: (v) => v === null || v === undefined || typeof v === 'object',
    })
    .defined()
    .meta({ object: true }) as unknown as Schema<T>;

/** A text: plain, or by its id and params, with its words beside them. */
export const worded = mixed<Text>((v): v is Text => isText(v))
  .defined()
  .meta({ worded: true }) as unknown as Schema<Text>;

const role = string().oneOf(ROLES).defined();

export const personShape = told<Person>({ id: text, name: text, role });
export const plantShape = told<Plant>({
  site: text,
  demo: flag,
  paper: string()
    .oneOf(['A4', 'letter'] as const)
    .defined(),
  units: string()
    .oneOf(['mm', 'in'] as const)
    .defined(),
  worksFrom: text,
  worksTo: text,
  stockMm: listOf(numeral),
});
export const greetingShape = told<PlantGreeting>({
  site: text,
  demo: flag,
  state: string()
    .oneOf(['first-visit', 'ready'] as const)
    .defined(),
  offers: maybe(told({ password: text, people: listOf(told({ name: text, role })) })),
});
export const sessionShape = told<{ person: Person; plant: Plant }>({
  person: personShape,
  plant: plantShape,
});
export const peopleShape = told({
  people: listOf(
    told<PersonLine>({ id: text, name: text, role, retiredAt: orNull(moment), canSignIn: flag }),
  ),
});
export const sessionLineShape = told<SessionLine>({ id: text, startedAt: moment, device: text, here: flag });
export const instrumentShape = told<Instrument>({
  id: text,
  name: text,
  kind: string().oneOf(INSTRUMENT_KINDS).defined(),
  step: numeral,
  low: numeral,
  high: numeral,
  calibrationDue: maybe(day),
  serial: maybe(text),
  standIn: maybe(flag),
} as never);
const place = { id: text, label: text, area: text, machine: text, position: text };
export const positionShape = told<PositionCard>({ ...place, setup: orNull(ofItsOwn()) } as never);
export const registerLineShape = told<RegisterLine>({
  ...place,
  jobs: numeral,
  open: numeral,
  lastSignedAt: orNull(moment),
});
export const partShape = told<PartCard>({
  designation: text,
  trade: text,
  values: ofItsOwn(),
  source: text,
  key: text,
  version: numeral,
  by: text,
  at: moment,
  looked: orNull(told({ by: text, at: moment })),
});
export const versionsShape = told({ versions: listOf(partShape) });
export const shaftsShape = told({ shafts: listOf(ofItsOwn<ShaftCard>()) });
export const importedShape = <T extends object = ImportLine>() =>
  told<{ taken: T[]; faults: ImportFault[]; done: boolean }>({
    taken: listOf(ofItsOwn<T>()),
    faults: listOf(told<ImportFault>({ line: numeral, message: worded })),
    done: flag,
  } as never);
export const dueLineShape = told<DueLine>({
  what: worded,
  at: moment,
  minutes: numeral,
  machine: text,
  position: text,
  jobId: orNull(text),
  number: orNull(text),
  positionId: orNull(text),
  gaugeId: orNull(text),
});
export const pastJobShape = told<PastJob>({
  jobId: text,
  number: text,
  kind: text,
  sheet: worded,
  state: string()
    .oneOf(['open', 'signed'] as const)
    .defined(),
  openedAt: moment,
  signedAt: orNull(moment),
  signedBy: orNull(text),
  partNumber: orNull(text),
  results: ofItsOwn(),
  limits: ofItsOwn(),
  rows: listOf(ofItsOwn<[Text, Text]>()),
});
export const autopsyShape = ofItsOwn<AutopsyTold>();

const railMark = told<RailMark>({
  id: text,
  title: worded,
  status: string()
    .oneOf(['done', 'present', 'closed'] as const)
    .defined(),
  hold: orNull(
    string()
      .oneOf(['holding', 'ahead', 'released', null as never] as const)
      .defined(),
  ),
  loop: flag,
  kept: maybe(mixed<true>().oneOf([true]).defined()),
  reopened: maybe(worded),
} as never);
/** A job in one line, with what its row says of it. */
export type JobLine = JobSummary & {
  id: string;
  number: string;
  positionId: string;
  state: 'open' | 'signed' | 'cancelled';
  openedAt: string;
  updatedAt: string;
  signedAt: string | null;
};
const jobLine = told<JobLine>({
  id: text,
  number: text,
  positionId: text,
  machine: text,
  position: text,
  kind: text,
  role: orNull(text),
  state: string()
    .oneOf(['open', 'signed', 'cancelled'] as const)
    .defined(),
  openedAt: moment,
  updatedAt: moment,
  signedAt: orNull(moment),
  rail: listOf(railMark),
  present: orNull(text),
  act: worded,
  held: orNull(worded),
  verdict: text,
  attempt: numeral,
  readings: numeral,
  signedBy: orNull(text),
  dueAt: orNull(text),
  falls: listOf(ofItsOwn()),
  waitsForLead: flag,
  lastAt: text,
  hands: listOf(text),
} as never);
export const jobsShape = told({ jobs: listOf(jobLine), next: orNull(text) });

export const outcomesShape = told<EventsResponse>({
  jobId: text,
  number: orNull(text),
  outcomes: listOf(
    told({
      id: text,
      outcome: string()
        .oneOf(['stored', 'already', 'refused'] as const)
        .defined(),
      seq: maybe(numeral),
      reason: maybe(text),
      said: maybe(worded),
    }),
  ),
} as never);
export const handCardShape = told<HandCardKept>({
  ...{ id: text, personId: text, person: text, instrumentId: text, instrument: text },
  kind: string().oneOf(INSTRUMENT_KINDS).defined(),
  ...{ step: numeral, scatter: numeral, free: numeral },
  values: listOf(numeral),
  watchedBy: orNull(text),
  at: moment,
} as never);
export const certificateShape = told<Certificate>({
  hash: text,
  name: text,
  type: text,
  bytes: numeral,
  by: text,
  at: moment,
});
export const outageLineShape = told<OutageLine>({
  id: text,
  name: text,
  startsAt: moment,
  endsAt: moment,
  jobs: numeral,
  at: moment,
});
