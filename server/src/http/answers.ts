import { ROLES } from '@fulcrant/core/api';
import { INSTRUMENT_KINDS } from '@fulcrant/core/instruments';

/** What routes answer, as JSON Schema: a test holds real answers against it. */

type Node = Record<string, unknown>;
type Answer = { says?: string; status?: '200' | '201'; schema?: Node; none?: true };

const text = { type: 'string' };
const number = { type: 'number' };
const whole = { type: 'integer' };
const flag = { type: 'boolean' };
const orNull = (schema: Node): Node => ({ anyOf: [schema, { type: 'null' }] });
const moment = { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d' };
const day = { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\d$' };
const list = (items: Node): Node => ({ type: 'array', items });
const record = (properties: Record<string, Node>, optional: readonly string[] = []): Node => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});
const ref = (name: string): Node => ({ $ref: `#/components/schemas/${name}` });
const role = { enum: [...ROLES] };

/** Shapes more than one route answers with. */
export const SCHEMAS: Record<string, Node> = {
  Problem: record(
    {
      type: text,
      title: text,
      status: whole,
      faults: list(record({ path: text, message: text })),
    },
    ['faults'],
  ),
  Person: record({ id: text, name: text, role }),
  Plant: record({
    site: text,
    demo: flag,
    paper: { enum: ['A4', 'letter'] },
    units: { enum: ['mm', 'in'] },
    worksFrom: text,
    worksTo: text,
    stockMm: list(number),
  }),
  PersonLine: record({ id: text, name: text, role, retiredAt: orNull(moment), canSignIn: flag }),
  Instrument: record(
    {
      id: text,
      name: text,
      kind: { enum: [...INSTRUMENT_KINDS] },
      step: number,
      low: number,
      high: number,
      calibrationDue: day,
      standIn: flag,
    },
    ['standIn'],
  ),
  PositionCard: record({
    id: text,
    label: text,
    area: text,
    machine: text,
    position: text,
    setup: orNull({ type: 'object' }),
  }),
  RegisterLine: record({
    id: text,
    label: text,
    area: text,
    machine: text,
    position: text,
    jobs: whole,
    open: whole,
    lastSignedAt: orNull(moment),
  }),
  PartCard: record({
    designation: text,
    trade: text,
    values: { type: 'object', additionalProperties: { anyOf: [number, text] } },
    source: text,
    key: text,
    version: whole,
    by: text,
    at: moment,
    looked: orNull(record({ by: text, at: moment })),
  }),
  DueLine: record({
    what: text,
    at: moment,
    minutes: number,
    machine: text,
    position: text,
    jobId: orNull(text),
    number: orNull(text),
    positionId: orNull(text),
    gaugeId: orNull(text),
  }),
  PastJob: record({
    jobId: text,
    number: text,
    kind: text,
    sheet: text,
    state: { enum: ['open', 'signed'] },
    openedAt: moment,
    signedAt: orNull(moment),
    signedBy: orNull(text),
    partNumber: orNull(text),
    results: { type: 'object' },
    limits: {
      type: 'object',
      additionalProperties: record({ lower: number, upper: number }, ['lower', 'upper']),
    },
    rows: list({ type: 'array', prefixItems: [text, text], minItems: 2 }),
  }),
  JobLine: {
    type: 'object',
    properties: {
      id: text,
      number: text,
      positionId: text,
      machine: text,
      position: text,
      kind: text,
      state: { enum: ['open', 'signed', 'cancelled'] },
      openedAt: moment,
      updatedAt: moment,
      signedAt: orNull(moment),
      present: orNull(text),
      act: text,
      rail: list({ type: 'object', required: ['id', 'title', 'status'] }),
    },
    required: [
      'id',
      'number',
      'positionId',
      'machine',
      'position',
      'kind',
      'state',
      'openedAt',
      'act',
      'rail',
    ],
  },
  Result: record({ values: {}, findings: list({ type: 'object' }), working: list({ type: 'object' }) }),
};

const session = record({ person: ref('Person'), plant: ref('Plant') });
const people = record({ people: list(ref('PersonLine')) });
const versions = record({ versions: list(ref('PartCard')) });
const jobs = record({ jobs: list(ref('JobLine')), next: orNull(text) });

/** By method and path. What is not named here answers with a file, or with a shape of its own trade. */
export const ANSWERS: Readonly<Record<string, Answer>> = {
  'get /api/health': { schema: record({ status: text, database: text, version: text }) },
  'get /api/greeting': {
    schema: record(
      {
        site: text,
        demo: flag,
        state: { enum: ['first-visit', 'ready'] },
        offers: record({ password: text, people: list(record({ name: text, role: text })) }),
      },
      ['offers'],
    ),
  },
  'post /api/first-visit': { status: '201', schema: session },
  'post /api/session': { schema: session },
  'get /api/session': { schema: session },
  'delete /api/session': { none: true },
  'get /api/plant': { schema: ref('Plant') },
  'post /api/plant': { schema: ref('Plant') },
  'get /api/people': { schema: people },
  'post /api/people': { status: '201', schema: record({ id: text, code: text }) },
  'post /api/people/:id': { schema: people },
  'post /api/people/:id/code': { status: '201', schema: record({ code: text }) },
  'post /api/password/reset': { schema: session },
  'post /api/account/password': { none: true },
  'post /api/record/lacks': { schema: record({ events: list(text), photos: list(text) }) },
  'get /api/account/second': { schema: record({ on: flag }) },
  'post /api/account/second/offer': { schema: record({ secret: text, uri: text, picture: text }) },
  'post /api/account/second': { schema: record({ on: flag }) },
  'post /api/account/second/off': { schema: record({ on: flag }) },
  'get /api/account/sessions': {
    schema: record({ sessions: list(record({ id: text, startedAt: moment, device: text, here: flag })) }),
  },
  'delete /api/account/sessions': { none: true },
  'delete /api/account/sessions/:id': { none: true },
  'get /api/instruments': {
    schema: record({ instruments: list(ref('Instrument')), outOfUse: list(ref('Instrument')) }),
  },
  'post /api/instruments': { status: '201', schema: record({ instrument: ref('Instrument') }) },
  'post /api/instruments/:id/use': { none: true },
  'post /api/instruments/:id/calibrated': { schema: record({ instrument: ref('Instrument') }) },
  'get /api/register': { schema: record({ positions: list(ref('RegisterLine')), more: flag }) },
  'post /api/positions': { status: '201', schema: ref('PositionCard') },
  'post /api/machines/area': { none: true },
  'get /api/labels/:label': { schema: ref('PositionCard') },
  'get /api/positions/:id': {
    schema: record({
      card: ref('PositionCard'),
      past: list(ref('PastJob')),
      setups: { type: 'object' },
      shafts: list({ type: 'object' }),
      autopsies: list({ type: 'object' }),
    }),
  },
  'get /api/parts': { schema: record({ parts: list(ref('PartCard')) }) },
  'post /api/parts/import': {
    schema: record({ taken: list({ type: 'object' }), faults: list({ type: 'object' }), done: flag }),
  },
  'get /api/parts/:designation': { schema: versions },
  'post /api/parts': { status: '201', schema: versions },
  'post /api/parts/:designation/:version/looked': { schema: versions },
  'get /api/due': { schema: record({ due: list(ref('DueLine')), feedMadeAt: orNull(moment) }) },
  'post /api/due/feed': { status: '201', schema: record({ path: text }) },
  'delete /api/due/feed': { none: true },
  'post /api/feed/:device/hand': { schema: record({ moves: whole }) },
  'put /api/photos/:hash': { none: true },
  'get /api/outages': { schema: record({ outages: list({ type: 'object' }) }) },
  'post /api/outages': { status: '201', schema: record({ told: { type: 'object' } }) },
  'get /api/outages/:id': {
    schema: record({
      told: { type: 'object' },
      setups: { type: 'object' },
      progress: { type: 'object' },
      ended: { type: 'object' },
      durations: { type: 'object' },
      shafts: list({ type: 'object' }),
      laid: { type: 'object' },
      zone: text,
      at: moment,
    }),
  },
  'post /api/outages/:id/laid': { schema: record({ laid: { type: 'object' } }) },
  'post /api/outages/:id': { schema: record({ told: { type: 'object' } }) },
  'get /api/practice/benches': {
    schema: record({
      sets: list({ type: 'object' }),
      results: list({ type: 'object' }),
      competences: list({ type: 'object' }),
      people: list({ type: 'object' }),
    }),
  },
  'post /api/practice/sets': { status: '201', schema: record({ id: text }) },
  'post /api/practice/sets/:id/shown': { schema: record({ shown: { type: 'object' }, nutDeg: number }) },
  'post /api/practice/results': { status: '201', schema: record({ id: text, debrief: { type: 'object' } }) },
  'get /api/practice/results/:id': {
    schema: record({ rig: text, attempt: { type: 'object' }, debrief: { type: 'object' } }),
  },
  'post /api/practice/competences': { status: '201', schema: record({ id: text }) },
  'get /api/practice/drills': { schema: record({ kept: list({ type: 'object' }) }) },
  'post /api/practice/drills': { schema: record({ kept: list({ type: 'object' }) }) },
  'get /api/certificates': { schema: record({ certificates: list({ type: 'object' }) }) },
  'put /api/instruments/:id/certificates/:hash': { none: true },
  'get /api/jobs': { schema: jobs },
  'post /api/jobs/:id/events': {
    schema: record({
      jobId: text,
      number: orNull(text),
      outcomes: list(
        record({ id: text, outcome: { enum: ['stored', 'already', 'refused'] }, seq: whole, reason: text }, [
          'seq',
          'reason',
        ]),
      ),
    }),
  },
  'get /api/calculators': { schema: list(record({ id: text, title: text, input: { type: 'object' } })) },
  'post /api/calculators/:id': { schema: ref('Result') },
};
