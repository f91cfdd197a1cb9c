import { setImmediate } from 'node:timers/promises';
import type { EventOutcome, EventsResponse, Person } from '@fulcrant/core/api';
import { type Instrument, unlisted } from '@fulcrant/core/instruments';
import { actOn, eventSchema, type JobEvent, type JobState, judge, take, upcast } from '@fulcrant/core/job';
import { check } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { isText, listOf } from '@fulcrant/core/messages';
import { keepSaid, say } from '@fulcrant/core/units';
import type { Folded } from './bounded.ts';
import { linkOf } from './chain.ts';
import { type Database, rowsOf } from './database.ts';
import { gaugesById } from './gauges.ts';
import { handsOfPerson } from './hands.ts';
import { M } from './messages.ts';
import { jobNumber } from './numbers.ts';
import { type Fresh, isCollision, Outrun, write } from './write.ts';

/** When the batch was sent by the device's clock, and the clock of the house: only the demo and the tests set another. */
export type Sending = { sentAt?: string | undefined; now?: (event: JobEvent) => Date };

/** The record of a job does not hold together: somebody has been at it. */
export class Damaged extends Error {}

/** How often a job's events are looked at anew where somebody adds to them between two looks. */
const LOOKS = 5;
/** Nobody is kept waiting longer than this by the judging of somebody else's batch. */
const SLICE_MS = 15;

/**
 * A job folded from its events; null where there is none.
 * @throws Damaged where its row counts other events than there are: the record is damaged, and `npm run verify` says where
 */
export async function foldJob(db: Database, jobId: string, look = 1): Promise<Folded | null> {
  const [[row], rows] = await Promise.all([
    rowsOf<{ serial: number; event_count: number; chain: string }>(
      db,
      'SELECT serial, event_count, chain FROM jobs WHERE id = ?',
      [jobId],
    ),
    rowsOf<{ id: string; body: string }>(db, 'SELECT id, body FROM events WHERE job_id = ? ORDER BY seq', [
      jobId,
    ]),
  ]);
  if (!row) return null;
  if (rows.length !== row.event_count) {
    if (look < LOOKS) return foldJob(db, jobId, look + 1);
    throw new Damaged(`job ${jobId} has ${rows.length} events where its row counts ${row.event_count}`);
  }
  const facts = await db.workshop.do('fold', { bodies: rows.map((r) => r.body) });
  if (!facts) return null;
  const state = judge(facts);
  const folded = {
    state,
    serial: row.serial,
    count: row.event_count,
    chain: row.chain,
    seqs: new Map(rows.map((r, i) => [r.id, i + 1])),
  };
  db.folded.keep(jobId, folded);
  return folded;
}

/**
 * Add events to a job, oldest first, each judged on its own by the reducer's rules: stored, already there (posted
 * before), or refused with the reason. All that is stored goes in at once, and only if the job still stands where it was
 * judged, so its line always agrees with its events.
 */
export async function appendEvents(
  db: Database,
  person: Person,
  jobId: string,
  bodies: readonly unknown[],
  sending: Sending = {},
): Promise<EventsResponse> {
  return db.folded.inTurn(jobId, async () => {
    for (let attempt = 1; ; attempt++) {
      try {
        return await append(db, person, jobId, bodies, sending);
      } catch (error) {
        db.folded.forget(jobId);
        if (attempt >= 6 || !isCollision(error)) throw error;
        await new Promise((done) => setTimeout(done, 10 * attempt + 20 * Math.random()));
      }
    }
  });
}

async function append(
  db: Database,
  person: Person,
  jobId: string,
  bodies: readonly unknown[],
  sending: Sending,
): Promise<EventsResponse> {
  const before = db.folded.get(jobId) ?? (await foldJob(db, jobId));
  const outcomes: EventOutcome[] = [];
  const fresh: Fresh[] = [];
  let state: JobState | null = before?.state ?? null;
  let chain = before?.chain ?? jobId;
  const taken = new Map<string, JobEvent>();
  const gauges = await gaugesNamed(db, bodies);
  const hands = gauges.size === 0 ? [] : await handsOfPerson(db, person.id);
  let breathed = performance.now();
  for (const posted of bodies) {
    // A long batch is judged in slices: whoever else asks is answered in between.
    if (performance.now() - breathed > SLICE_MS) {
      await setImmediate();
      breathed = performance.now();
    }
    const id = idOf(posted);
    const refuse = (reason: Text) =>
      outcomes.push({ id, outcome: 'refused', reason: say(reason, 'mm'), said: keepSaid(reason) });
    const checked = check(eventSchema, upcast(posted));
    if (!checked.ok) {
      refuse(
        listOf(
          checked.faults.map((f) => f.message),
          ' ',
        ),
      );
      continue;
    }
    if (checked.value.jobId !== jobId) {
      refuse(M.eventBelongsAnotherJob);
      continue;
    }
    const seq = before?.seqs.get(id);
    const known = taken.get(id) ?? (seq === undefined ? undefined : await storedEvent(db, id));
    if (known) {
      const at = seq ?? (before?.count ?? 0) + [...taken.keys()].indexOf(id) + 1;
      if (isSame(known, checked.value)) outcomes.push({ id, outcome: 'already', seq: at });
      else refuse(M.eventIdStoredAlreadyOther);
      continue;
    }
    const told = await truthful(db, checked.value, person, state, { gauges, hands });
    if (isText(told)) {
      refuse(told);
      continue;
    }
    const now = sending.now?.(told) ?? new Date();
    const event: JobEvent = {
      ...told,
      stored: { at: now.toISOString(), ...(sending.sentAt ? { sentAt: sending.sentAt } : {}) },
    };
    const then = take(state, event);
    if ('refusal' in then) {
      refuse(then.refusal);
      continue;
    }
    const body = JSON.stringify(event);
    chain = linkOf(chain, body);
    fresh.push({ event, body, chain, now, ...(event.type === 'sheet.signed' ? { signed: then.state } : {}) });
    taken.set(id, event);
    state = then.state;
    outcomes.push({ id, outcome: 'stored', seq: (before?.count ?? 0) + fresh.length });
  }
  if (fresh.length === 0 || !state) {
    // Nothing to write: what was said holds only if the job still stands there.
    if (before && !(await stillThere(db, jobId, before))) throw new Outrun();
    return { jobId, number: before ? jobNumber(before.serial) : null, outcomes };
  }
  const clash = await write(db, jobId, before, state, fresh);
  if (clash !== null) {
    // One of the ids is another job's: it alone is refused, the rest goes in without it.
    const rest = bodies.filter((b) => idOf(b) !== clash);
    const answer: EventsResponse =
      rest.length > 0
        ? await append(db, person, jobId, rest, sending)
        : { jobId, number: before ? jobNumber(before.serial) : null, outcomes: [] };
    const reason = M.eventIdStoredAlreadyAnother;
    const outcome: EventOutcome = {
      id: clash,
      outcome: 'refused',
      reason: say(reason, 'mm'),
      said: keepSaid(reason),
    };
    const byId = new Map(answer.outcomes.map((o) => [o.id, o]));
    return { ...answer, outcomes: bodies.map((b) => byId.get(idOf(b)) ?? outcome) };
  }
  return { jobId, number: jobNumber(db.folded.get(jobId)?.serial ?? 0), outcomes };
}

const idOf = (posted: unknown): string => {
  const id = (posted as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id : '';
};

async function stillThere(db: Database, jobId: string, before: Folded): Promise<boolean> {
  const [row] = await rowsOf<{ chain: string }>(db, 'SELECT chain FROM jobs WHERE id = ?', [jobId]);
  return row?.chain === before.chain;
}

async function storedEvent(db: Database, id: string): Promise<JobEvent | undefined> {
  const [row] = await rowsOf<{ body: string }>(db, 'SELECT body FROM events WHERE id = ?', [id]);
  return row ? (JSON.parse(row.body) as JobEvent) : undefined;
}

/**
 * The same event posted again: type, author and data alike. The gauge is compared by its id alone, since the server
 * stored it as the register had it then, and the register goes on.
 */
function isSame(stored: JobEvent, posted: JobEvent): boolean {
  const plain = (e: JobEvent) =>
    JSON.stringify([
      e.type,
      e.author.id,
      'instrument' in e.data
        ? { ...e.data, instrument: e.data.instrument.id }
        : // The named job is what was meant; what is said of it the server wrote itself.
          e.type === 'act.done' && e.data.params?.job !== undefined
          ? [e.data.act, e.data.params.job]
          : e.data,
    ]);
  return plain(upcast(stored)) === plain(posted);
}

/** The gauges a batch names, as the register has them now. */
async function gaugesNamed(
  db: Database,
  bodies: readonly unknown[],
): Promise<ReadonlyMap<string, Instrument>> {
  const ids = bodies.flatMap((b) => {
    const id = (b as { data?: { instrument?: { id?: unknown } } } | null)?.data?.instrument?.id;
    return typeof id === 'string' ? [id] : [];
  });
  return ids.length === 0 ? new Map() : gaugesById(db, [...new Set(ids)]);
}

/** The event with what the server knows better: who is signed in, the gauge in the register, the fixed bearing's own job. */
async function truthful(
  db: Database,
  event: JobEvent,
  person: Person,
  state: JobState | null,
  {
    gauges,
    hands,
  }: { gauges: ReadonlyMap<string, Instrument>; hands: Awaited<ReturnType<typeof handsOfPerson>> },
): Promise<JobEvent | Text> {
  if (event.author.id !== person.id) return M.recordedOnlyTheyCanSend({ name: event.author.name });
  const author = { id: person.id, name: person.name, role: person.role };
  if (event.type === 'act.done' && state) return withOtherJob(db, { ...event, author }, state);
  if (!('instrument' in event.data)) return { ...event, author };
  const { instrument: named } = event.data;
  const instrument = gauges.get(named.id);
  // One that is not listed is kept as whoever read it named it: without calibration, without a hand card.
  if (!instrument && named.unlisted) {
    const { kind, id, name, step } = named;
    return {
      ...event,
      author,
      data: { ...event.data, instrument: unlisted(kind, id, name, step) },
    } as JobEvent;
  }
  if (!instrument) return M.notRegisterGauges({ name: named.name });
  // The hand is the one the device had: it counts where that person has such a card.
  const { hand } = named;
  const theirs =
    hand &&
    hands.some(
      (c) =>
        c.kind === instrument.kind &&
        Math.abs(c.step - instrument.step) <= 0.01 * instrument.step &&
        c.scatter === hand.scatter &&
        c.free === hand.free,
    );
  const held = theirs ? { ...instrument, hand } : instrument;
  return { ...event, author, data: { ...event.data, instrument: held } } as JobEvent;
}

/** An act that names another job, with what is kept of that one as its own record has it; a sentence where it does not count. */
async function withOtherJob(
  db: Database,
  event: Extract<JobEvent, { type: 'act.done' }>,
  state: JobState,
): Promise<JobEvent | Text> {
  const act = actOn(state.setup, event.data.act);
  if (!act?.ofOtherJob) return event;
  const job = event.data.params?.job;
  const found = typeof job === 'string' ? await foldJob(db, job) : null;
  if (!found) return M.thereNoSuchJobName;
  const params = act.ofOtherJob(found.state, jobNumber(found.serial), state);
  return isText(params) ? params : { ...event, data: { ...event.data, params } };
}
