import { SUMMARY_VERSION, summarise } from '@fulcrant/core/forms';
import { type JobEvent, type JobState, tradeOf } from '@fulcrant/core/job';
import { keepAllSaid } from '@fulcrant/core/units';
import { type Transaction, Transaction as Tx } from 'sequelize';
import type { Folded } from './bounded.ts';
import { type Database, errnoOf, isTaken, rowsOf, run } from './database.ts';
import { plantOf } from './plant.ts';
import { forgetSetup, keepPosition } from './positions.ts';
import { freeze } from './sheets.ts';

/** The row has moved on under us, or somebody else opened the job first: what was judged was judged on an old state. */
export class Outrun extends Error {}

/** A retry is worth it where two writers met: a deadlock, or both opening the same job. */
export function isCollision(error: unknown): boolean {
  const errno = errnoOf(error);
  return error instanceof Outrun || isTaken(error) || errno === 1213 || errno === 1205;
}

/** An event to be stored; `signed` is the job under the signature it gives. */
export type Fresh = { event: JobEvent; body: string; chain: string; now: Date; signed?: JobState };

const stateOf = (state: JobState): 'open' | 'signed' | 'cancelled' =>
  state.cancelled ? 'cancelled' : state.signed ? 'signed' : 'open';

/** Columns of a job's row that its events decide. */
function rowOf(state: JobState, count: number, chain: string, now: Date) {
  return {
    state: stateOf(state),
    eventCount: count,
    chain,
    machine: state.setup.machine,
    role: tradeOf(state.setup).slots.role?.(state.setup) ?? null,
    signedAt: state.signed ? new Date(state.signed.at) : null,
    summary: JSON.stringify(keepAllSaid(summarise(state))),
    summaryVersion: SUMMARY_VERSION,
    updatedAt: now,
  };
}

const INSERT = 'INSERT INTO events (id, job_id, seq, type, author_id, at, stored_at, body, chain) VALUES ';

/** Row by row of an insert of events. */
function eventValues(
  jobId: string,
  from: number,
  fresh: readonly Fresh[],
): { marks: string; values: unknown[] } {
  return {
    marks: fresh.map(() => '(?,?,?,?,?,?,?,?,?)').join(','),
    values: fresh.flatMap(({ event: e, body, chain, now }, i) => [
      e.id,
      jobId,
      from + i + 1,
      e.type,
      e.author.id,
      new Date(e.at),
      now,
      body,
      chain,
    ]),
  };
}

/**
 * Write what is new, all or nothing, and only onto the state it was judged on.
 * @returns the id of an event that another job has already; null where all went in
 * @throws Outrun where the job has moved on
 */
export async function write(
  db: Database,
  jobId: string,
  before: Folded | null,
  state: JobState,
  fresh: readonly Fresh[],
): Promise<string | null> {
  const last = fresh.at(-1);
  const count = (before?.count ?? 0) + fresh.length;
  const row = rowOf(state, count, last?.chain ?? '', last?.now ?? new Date());
  const plain = before !== null && !fresh.some(({ event: e }) => SPECIAL.includes(e.type));
  try {
    const serial = plain
      ? await writePlain(db, jobId, before, row, fresh)
      : await writeWhole(db, jobId, before, state, row, fresh);
    const seqs = before?.seqs ?? new Map<string, number>();
    for (const [i, f] of fresh.entries()) seqs.set(f.event.id, count - fresh.length + i + 1);
    db.folded.keep(jobId, { state, serial, count, chain: row.chain, seqs });
    return null;
  } catch (error) {
    const clash = await otherJobs(db, error, jobId, fresh);
    if (clash) return clash;
    throw error;
  }
}

/** Events that write elsewhere too: the position, the signed sheet. */
const SPECIAL: ReadonlyArray<JobEvent['type']> = [
  'job.opened',
  'setup.changed',
  'sheet.signed',
  'job.cancelled',
];

type Row = ReturnType<typeof rowOf>;

/** The usual case in one round trip: the row is moved on only from where it was, and the events follow it or nothing does. */
async function writePlain(
  db: Database,
  jobId: string,
  before: Folded,
  row: Row,
  fresh: readonly Fresh[],
): Promise<number> {
  const { marks, values } = eventValues(jobId, before.count, fresh);
  const sql = `BEGIN NOT ATOMIC
    DECLARE EXIT HANDLER FOR SQLEXCEPTION BEGIN ROLLBACK; RESIGNAL; END;
    START TRANSACTION;
    UPDATE jobs SET state = ?, event_count = ?, chain = ?, signed_at = ?, summary = ?, summary_version = ?, updated_at = ?
      WHERE id = ? AND event_count = ? AND chain = ?;
    IF ROW_COUNT() <> 1 THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'outrun'; END IF;
    ${INSERT}${marks};
    COMMIT;
  END`;
  try {
    await run(db, sql, [
      row.state,
      row.eventCount,
      row.chain,
      row.signedAt,
      row.summary,
      row.summaryVersion,
      row.updatedAt,
      jobId,
      before.count,
      before.chain,
      ...values,
    ]);
  } catch (error) {
    if (/outrun/.test(String((error as Error).message))) throw new Outrun();
    throw error;
  }
  return before.serial;
}

/** Opening, a changed setup, a signature or a cancelling: the position and the signed sheet go in with the events, or nothing does. */
async function writeWhole(
  db: Database,
  jobId: string,
  before: Folded | null,
  state: JobState,
  row: Row,
  fresh: readonly Fresh[],
): Promise<number> {
  // Before the transaction: within it nothing may ask for a second connection, or so many openers wait for each other.
  const { site } = await plantOf(db);
  return db.sequelize.transaction(
    // Read committed: a job not yet there leaves no gap locked, over which two openers of it would block each other.
    { isolationLevel: Tx.ISOLATION_LEVELS.READ_COMMITTED },
    async (transaction) => {
      const positionId = await keepPosition(db, transaction, state, site);
      const serial = before
        ? await moveOn(db, transaction, jobId, before, row)
        : await layIn(db, transaction, state, positionId, row);
      if (state.cancelled) await forgetSetup(db, transaction, state);
      const { marks, values } = eventValues(jobId, before?.count ?? 0, fresh);
      await db.sequelize.query(`${INSERT}${marks}`, { replacements: values, transaction });
      for (const [i, f] of fresh.entries())
        if (f.signed)
          await freeze(db, transaction, f.signed, {
            serial,
            count: (before?.count ?? 0) + i + 1,
            chain: f.chain,
          });
      return serial;
    },
  );
}

async function moveOn(
  db: Database,
  transaction: Transaction,
  jobId: string,
  before: Folded,
  row: Row,
): Promise<number> {
  const [changed] = await db.models.Job.update(row, {
    where: { id: jobId, eventCount: before.count, chain: before.chain },
    transaction,
  });
  if (changed !== 1) throw new Outrun();
  return before.serial;
}

async function layIn(
  db: Database,
  transaction: Transaction,
  state: JobState,
  positionId: string,
  row: Row,
): Promise<number> {
  const made = await db.models.Job.create(
    { id: state.jobId, positionId, openedAt: new Date(state.opened.at), ...row },
    { transaction },
  );
  return made.serial ?? (await made.reload({ transaction })).serial;
}

/** Where an id among those to be written is another job's: which. Only looked for when the write ran into one. */
async function otherJobs(
  db: Database,
  error: unknown,
  jobId: string,
  fresh: readonly Fresh[],
): Promise<string | null> {
  if (!isTaken(error)) return null;
  const [row] = await rowsOf<{ id: string }>(
    db,
    'SELECT id FROM events WHERE id IN (?) AND job_id <> ? LIMIT 1',
    [fresh.map((f) => f.event.id), jobId],
  );
  return row?.id ?? null;
}
