import type { JobSummary } from '@fulcrant/core/forms';
import { type Database, rowsOf } from './database.ts';
import { jobNumber, serialIn } from './numbers.ts';
import { wordsOf } from './positions.ts';

export type JobListing = JobSummary & {
  id: string;
  number: string;
  positionId: string;
  state: 'open' | 'signed' | 'cancelled';
  openedAt: string;
  updatedAt: string;
  /** When it was signed; null while it is open. */
  signedAt: string | null;
};

type Row = {
  id: string;
  serial: number;
  position_id: string;
  state: 'open' | 'signed' | 'cancelled';
  event_count: number;
  summary: string;
  summary_version: number;
  opened_at: Date;
  updated_at: Date;
  signed_at: Date | null;
};

const COLUMNS =
  'id, serial, position_id, state, event_count, summary, summary_version, opened_at, updated_at, signed_at';

/** What a line of an older form does not say: told as well as its row can, until it is made anew. */
const untold = (row: Row, line: Partial<JobSummary>) => ({
  waitsForLead: row.state === 'open' && line.held != null,
  lastAt: new Date(row.updated_at).toISOString(),
  hands: [],
  falls: [],
});

const listing = (row: Row): JobListing => {
  const line = JSON.parse(row.summary) as JobSummary;
  return { ...untold(row, line), ...line, ...told(row) };
};

const told = (row: Row) => ({
  id: row.id,
  number: jobNumber(row.serial),
  positionId: row.position_id,
  state: row.state,
  openedAt: new Date(row.opened_at).toISOString(),
  updatedAt: new Date(row.updated_at).toISOString(),
  signedAt: row.signed_at === null ? null : new Date(row.signed_at).toISOString(),
});

export type JobPage = { jobs: JobListing[]; next: string | null };

/** A page of rows: one more than asked for was read, and says that there are more. */
const page = (rows: Row[], limit: number, key: (row: Row) => string): JobPage => {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { jobs: shown.map(listing), next: rows.length > limit && last ? key(last) : null };
};

type Question = { after?: string | undefined; limit: number; positionId?: string | undefined };

/** Open jobs, or all, in the order they were opened, a page at a time after the id last seen: asked on to the end it is every one. */
export async function jobsInOrder(db: Database, which: 'open' | 'all', q: Question): Promise<JobPage> {
  const rows = await rowsOf<Row>(
    db,
    `SELECT ${COLUMNS} FROM jobs WHERE ${which === 'open' ? "state = 'open' AND" : ''} id > ?
      ${q.positionId ? 'AND position_id = ?' : ''} ORDER BY id LIMIT ?`,
    [q.after ?? '', ...(q.positionId ? [q.positionId] : []), q.limit + 1],
  );
  return page(rows, q.limit, (r) => r.id);
}

/** Signed jobs, the newest first, a page at a time after the signature last seen. */
export async function signedJobs(db: Database, q: Question): Promise<JobPage> {
  const [ms, id] = (q.after ?? '').split('.');
  const rows = await rowsOf<Row>(
    db,
    `SELECT ${COLUMNS} FROM jobs WHERE state = 'signed'
      ${q.after ? 'AND signed_at <= ? AND (signed_at < ? OR id < ?)' : ''} ${q.positionId ? 'AND position_id = ?' : ''}
      ORDER BY signed_at DESC, id DESC LIMIT ?`,
    [
      ...(q.after ? [new Date(Number(ms)), new Date(Number(ms)), id ?? ''] : []),
      ...(q.positionId ? [q.positionId] : []),
      q.limit + 1,
    ],
  );
  return page(rows, q.limit, (r) => `${new Date(r.signed_at ?? 0).getTime()}.${r.id}`);
}

/** Jobs that mount a fixed bearing on a machine, the last opened first: what a float on its shaft waits for. */
export async function fixedJobs(db: Database, machine: string, limit: number): Promise<JobPage> {
  const rows = await rowsOf<Row>(
    db,
    `SELECT ${COLUMNS} FROM jobs WHERE machine = ? AND role = 'fixed' AND state <> 'cancelled' ORDER BY id DESC LIMIT ?`,
    [machine, limit + 1],
  );
  return page(rows, limit, (r) => r.id);
}

/**
 * Jobs by what was typed: a number, or words of machine and position; open ones first, then the last signed. `next` says only that
 * there are more: another word finds them.
 */
export async function findJobs(db: Database, typed: string, limit: number): Promise<JobPage> {
  const serial = serialIn(typed);
  const words = wordsOf(typed);
  if (words.length === 0) return { jobs: [], next: null };
  const byWords = await rowsOf<Row>(
    db,
    `SELECT ${COLUMNS} FROM jobs WHERE position_id IN
      (SELECT id FROM positions WHERE ${words.map(() => "CONCAT(machine, ' ', position) LIKE ?").join(' AND ')})
      ORDER BY state, updated_at DESC LIMIT ?`,
    [...words, limit + 1],
  );
  const byNumber =
    serial === null ? [] : await rowsOf<Row>(db, `SELECT ${COLUMNS} FROM jobs WHERE serial = ?`, [serial]);
  const all = [...byNumber, ...byWords.filter((r) => !byNumber.some((n) => n.id === r.id))];
  return page(all, limit, (r) => r.id);
}

const markOf = (row: Pick<Row, 'event_count' | 'summary_version'>) =>
  `"${row.event_count}.${row.summary_version}"`;

/** How far a job is, in a word: who has seen it under the same mark has seen it all. Null where there is none. */
export async function jobMark(db: Database, id: string): Promise<string | null> {
  const [row] = await rowsOf<Row>(db, 'SELECT event_count, summary_version FROM jobs WHERE id = ?', [id]);
  return row ? markOf(row) : null;
}

/** A job's row, with its mark; null where there is none. */
export async function jobRow(db: Database, id: string): Promise<{ row: Row; mark: string } | null> {
  const [row] = await rowsOf<Row>(db, `SELECT ${COLUMNS} FROM jobs WHERE id = ?`, [id]);
  return row ? { row, mark: markOf(row) } : null;
}

/**
 * One job and its events after `after` (0 for all), oldest first, as JSON text: the events travel as they are stored, not read and written
 * again.
 */
export async function jobText(db: Database, row: Row, after: number): Promise<string> {
  const bodies = await rowsOf<{ body: string }>(
    db,
    'SELECT body FROM events WHERE job_id = ? AND seq > ? AND seq <= ? ORDER BY seq',
    [row.id, after, row.event_count],
  );
  return `{"job":${JSON.stringify(listing(row))},"seq":${row.event_count},"events":[${bodies.map((b) => b.body).join(',')}]}`;
}
