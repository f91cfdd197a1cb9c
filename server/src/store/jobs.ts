import {
  admit,
  check,
  type EventOutcome,
  type EventsResponse,
  eventSchema,
  fixedBearingOn,
  gather,
  type Instrument,
  type JobEvent,
  type JobState,
  type JobSummary,
  judge,
  kindOf,
  type Person,
  type Setup,
  say,
  summarise,
} from '@fulcrant/core';
import { Op, Transaction } from 'sequelize';
import type { Database } from './database.ts';
import type { JobRow } from './models.ts';

/** The site all positions stand on; one house, one plant. */
export const SITE = 'Holmbeck';

export const jobNumber = (serial: number): string => `H-${String(serial).padStart(4, '0')}`;

export type JobListing = JobSummary & {
  id: string;
  number: string;
  positionId: string;
  state: 'open' | 'signed';
  openedAt: string;
  updatedAt: string;
};

const listing = (row: JobRow): JobListing => ({
  ...(JSON.parse(row.summary) as JobSummary),
  id: row.id,
  number: jobNumber(row.serial),
  positionId: row.positionId,
  state: row.state,
  openedAt: row.openedAt.toISOString(),
  updatedAt: row.updatedAt.toISOString(),
});

/** Jobs in one state, oldest first, a page at a time after the id last seen. */
export async function listJobs(
  db: Database,
  q: {
    state?: 'open' | 'signed' | undefined;
    positionId?: string | undefined;
    after?: string | undefined;
    limit: number;
  },
): Promise<{ jobs: JobListing[]; next: string | null }> {
  const rows = await db.models.Job.findAll({
    where: {
      ...(q.state ? { state: q.state } : {}),
      ...(q.positionId ? { positionId: q.positionId } : {}),
      ...(q.after ? { id: { [Op.gt]: q.after } } : {}),
    },
    order: [['id', 'ASC']],
    limit: q.limit + 1,
  });
  const page = rows.slice(0, q.limit);
  return { jobs: page.map(listing), next: rows.length > q.limit ? (page.at(-1)?.id ?? null) : null };
}

/** One job and its events after `after` (0 for all), oldest first; null where there is none. */
export async function readJob(
  db: Database,
  id: string,
  after = 0,
  transaction?: Transaction,
): Promise<{ job: JobListing; events: JobEvent[]; seq: number } | null> {
  const within = transaction ? { transaction } : {};
  const row = await db.models.Job.findByPk(id, within);
  if (!row) return null;
  const rows = await db.models.Event.findAll({
    where: { jobId: id, seq: { [Op.gt]: after } },
    order: [['seq', 'ASC']],
    ...within,
  });
  return { job: listing(row), events: rows.map((r) => JSON.parse(r.body) as JobEvent), seq: row.eventCount };
}

/** A retry is worth it where two writers met: a deadlock, or both opening the same job. */
function isCollision(error: unknown): boolean {
  const e = error as { name?: string; parent?: { errno?: number } };
  return e.name === 'SequelizeUniqueConstraintError' || e.parent?.errno === 1213 || e.parent?.errno === 1205;
}

/**
 * Add events to a job, oldest first, each judged on its own by the reducer's rules: stored, already there (posted
 * before), or refused with the reason. One transaction under a lock on the job, so its summary always agrees with its
 * events.
 */
export async function appendEvents(
  db: Database,
  person: Person,
  jobId: string,
  bodies: readonly unknown[],
): Promise<EventsResponse> {
  for (let attempt = 1; ; attempt++) {
    try {
      // Read committed: a job not yet there leaves no gap locked, over which two openers of it would block each other.
      return await db.sequelize.transaction(
        { isolationLevel: Transaction.ISOLATION_LEVELS.READ_COMMITTED },
        (t) => append(db, t, person, jobId, bodies),
      );
    } catch (error) {
      if (attempt >= 6 || !isCollision(error)) throw error;
      await new Promise((done) => setTimeout(done, 10 * attempt + 20 * Math.random()));
    }
  }
}

async function append(
  db: Database,
  transaction: Transaction,
  person: Person,
  jobId: string,
  bodies: readonly unknown[],
): Promise<EventsResponse> {
  const row = await db.models.Job.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE });
  const events = row ? ((await readJob(db, jobId, 0, transaction))?.events ?? []) : [];
  const gauges = await registerOf(db, transaction);
  const known = await knownElsewhere(db, transaction, jobId, bodies);
  const outcomes: EventOutcome[] = [];
  const fresh: JobEvent[] = [];
  let state: JobState | null = stateOf(events);
  for (const body of bodies) {
    const id = String((body as { id?: unknown }).id ?? '');
    const refuse = (reason: string) => outcomes.push({ id, outcome: 'refused', reason: say(reason, 'mm') });
    const checked = check(eventSchema, body);
    if (!checked.ok) {
      refuse(checked.faults.map((f) => f.message).join(' '));
      continue;
    }
    if (checked.value.jobId !== jobId) {
      refuse('The event belongs to another job.');
      continue;
    }
    const before = [...events, ...fresh];
    const at = before.findIndex((e) => e.id === id);
    if (at >= 0) {
      if (isSame(before[at], checked.value)) outcomes.push({ id, outcome: 'already', seq: at + 1 });
      else refuse('An event with this id is stored already, with other contents.');
      continue;
    }
    const signed = truthful(checked.value, person, gauges);
    const event = typeof signed === 'string' ? signed : await lookedUp(db, transaction, signed, state);
    if (typeof event === 'string') {
      refuse(event);
      continue;
    }
    if (known.has(id)) {
      refuse('An event with this id is stored already, in another job.');
      continue;
    }
    const refusal = admit(state, event);
    if (refusal) {
      refuse(refusal);
      continue;
    }
    fresh.push(event);
    state = stateOf([...before, event]);
    outcomes.push({ id, outcome: 'stored', seq: before.length + 1 });
  }
  const number =
    fresh.length > 0 && state
      ? await save(db, transaction, row, state, events.length, fresh)
      : row
        ? jobNumber(row.serial)
        : null;
  return { jobId, number, outcomes };
}

/**
 * The same event posted again: type, author and data alike. The gauge is compared by its id alone, since the server
 * stored it as the register had it then, and the register goes on.
 */
function isSame(stored: JobEvent | undefined, posted: JobEvent): boolean {
  const plain = (e: JobEvent) =>
    JSON.stringify([
      e.type,
      e.author.id,
      'instrument' in e.data
        ? { ...e.data, instrument: e.data.instrument.id }
        : // The named job is what was meant; what is said of it the server wrote itself.
          e.type === 'fixed.named'
          ? e.data.job
          : e.data,
    ]);
  return stored !== undefined && plain(stored) === plain(posted);
}

function stateOf(events: JobEvent[]): JobState | null {
  const facts = gather(events);
  return facts ? judge(facts) : null;
}

/** Ids already used by other jobs among those posted. */
async function knownElsewhere(
  db: Database,
  transaction: Transaction,
  jobId: string,
  bodies: readonly unknown[],
): Promise<Set<string>> {
  const ids = bodies.map((b) => String((b as { id?: unknown }).id ?? ''));
  const rows = await db.models.Event.findAll({
    where: { id: ids, jobId: { [Op.ne]: jobId } },
    attributes: ['id'],
    transaction,
  });
  return new Set(rows.map((r) => r.id));
}

/** The gauges as an event names them: a stand-in says so, a real gauge says nothing. */
async function registerOf(db: Database, transaction: Transaction): Promise<Map<string, Instrument>> {
  const rows = await db.models.Instrument.findAll({ transaction });
  return new Map(
    rows.map((row) => {
      const { standIn, ...gauge } = row.get({ plain: true }) as Instrument;
      return [gauge.id, standIn ? { ...gauge, standIn } : gauge];
    }),
  );
}

/** The event with what the server knows better: who is signed in, and the gauge as it stands in the register. */
function truthful(event: JobEvent, person: Person, gauges: Map<string, Instrument>): JobEvent | string {
  if (event.author.id !== person.id)
    return `This was recorded by ${event.author.name}; only they can send it.`;
  const author = { id: person.id, name: person.name, role: person.role };
  if (!('instrument' in event.data)) return { ...event, author };
  const instrument = gauges.get(event.data.instrument.id);
  if (!instrument) return `“${event.data.instrument.name}” is not in the register of gauges.`;
  return { ...event, author, data: { ...event.data, instrument } } as JobEvent;
}

/** A job named as that of the fixed bearing, as its own record has it; a sentence where it is not. */
async function lookedUp(
  db: Database,
  transaction: Transaction,
  event: JobEvent,
  state: JobState | null,
): Promise<JobEvent | string> {
  if (event.type !== 'fixed.named' || !state) return event;
  const found = await readJob(db, event.data.job, 0, transaction);
  const other = found ? stateOf(found.events) : null;
  if (!found || !other) return 'There is no such job to name as that of the fixed bearing.';
  const fixed = fixedBearingOn(other, state.setup.machine);
  if (typeof fixed === 'string') return fixed;
  return { ...event, data: { job: event.data.job, sheet: found.job.number, ...fixed } };
}

async function save(
  db: Database,
  transaction: Transaction,
  row: JobRow | null,
  state: JobState,
  from: number,
  fresh: JobEvent[],
): Promise<string> {
  const now = new Date();
  const summary = JSON.stringify(summarise(state));
  const count = from + fresh.length;
  const kept = {
    state: state.signed ? ('signed' as const) : ('open' as const),
    eventCount: count,
    summary,
    updatedAt: now,
  };
  await keepPosition(db, transaction, state);
  const saved = row
    ? await row.update(kept, { transaction })
    : await db.models.Job.create(
        { id: state.jobId, positionId: state.positionId, openedAt: new Date(state.opened.at), ...kept },
        { transaction },
      );
  await db.models.Event.bulkCreate(
    fresh.map((e, i) => ({
      id: e.id,
      jobId: e.jobId,
      seq: from + i + 1,
      type: e.type,
      authorId: e.author.id,
      at: new Date(e.at),
      storedAt: now,
      body: JSON.stringify(e),
    })),
    { transaction },
  );
  const serial = saved.serial ?? (await saved.reload({ transaction })).serial;
  return jobNumber(serial);
}

/** A survey at a bearing's position does not take the bearing's setup away from the next fitting, nor the other way. */
const sameKind = (kept: string, setup: Setup): boolean => kindOf(JSON.parse(kept) as Setup) === kindOf(setup);

/** The position remembers the setup last used on it, so that the next job starts from there. */
async function keepPosition(db: Database, transaction: Transaction, state: JobState): Promise<void> {
  const { machine, position } = state.setup;
  const setup = JSON.stringify(state.setup);
  const found = await db.models.Position.findByPk(state.positionId, { transaction });
  if (found) {
    // A job may say its own names; a position keeps its own, and takes a setup only from jobs that mean it.
    const meant =
      found.machine === machine && found.position === position && sameKind(found.setup, state.setup);
    if (meant && found.setup !== setup) await found.update({ setup }, { transaction });
    return;
  }
  const named = await db.models.Position.findOne({ where: { site: SITE, machine, position }, transaction });
  if (named) {
    state.positionId = named.id;
    if (sameKind(named.setup, state.setup)) await named.update({ setup }, { transaction });
    return;
  }
  await db.models.Position.create(
    { id: state.positionId, site: SITE, machine, position, setup },
    { transaction },
  );
}
