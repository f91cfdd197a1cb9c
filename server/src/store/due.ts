import { createHash, randomBytes } from 'node:crypto';
import type { DueLine } from '@fulcrant/core/api';
import type { JobSummary } from '@fulcrant/core/forms';
import { keepSaid } from '@fulcrant/core/units';
import { type Database, rowsOf, run } from './database.ts';
import { M } from './messages.ts';
import { jobNumber } from './numbers.ts';

type JobRow = {
  id: string;
  serial: number;
  position_id: string;
  state: 'open' | 'signed';
  summary: string;
};
type GaugeRow = { id: string; name: string; calibration_due: string };

/** A calibration takes so long in a calendar, minutes. */
const CALIBRATION_MIN = 60;

/**
 * Everything that falls due, the next first: readings of open jobs, what signed work left to do, calibrations. Of signed work only the
 * newest of its kind at a position counts: the next regreasing undoes what the last one asked for.
 */
export async function dueOf(db: Database): Promise<DueLine[]> {
  const [jobs, gauges] = await Promise.all([
    rowsOf<JobRow>(
      db,
      `SELECT id, serial, position_id, state, summary FROM jobs
        WHERE state <> 'cancelled' AND JSON_VALUE(summary, '$.falls[0].at') IS NOT NULL ORDER BY id`,
      [],
    ),
    rowsOf<GaugeRow>(
      db,
      'SELECT id, name, calibration_due FROM instruments WHERE stand_in = FALSE AND out_of_use = FALSE',
      [],
    ),
  ]);
  const newest = await newestSigned(db, [...new Set(jobs.map((j) => j.position_id))]);
  const lines: DueLine[] = [];
  for (const job of jobs) {
    const summary = JSON.parse(job.summary) as JobSummary;
    if (job.state === 'signed' && newest.get(`${job.position_id} ${summary.kind}`) !== job.id) continue;
    for (const f of summary.falls ?? [])
      lines.push({
        what: f.what,
        at: f.at,
        minutes: f.minutes,
        machine: summary.machine,
        position: summary.position,
        jobId: job.id,
        number: jobNumber(job.serial),
        positionId: job.position_id,
        gaugeId: null,
      });
  }
  for (const g of gauges)
    lines.push({
      what: keepSaid(M.calibration),
      at: `${g.calibration_due}T12:00:00.000Z`,
      minutes: CALIBRATION_MIN,
      machine: g.name,
      position: '',
      jobId: null,
      number: null,
      positionId: null,
      gaugeId: g.id,
    });
  return lines.sort((a, b) => a.at.localeCompare(b.at));
}

/** The newest signed job of each kind at some positions, by position and kind. */
async function newestSigned(db: Database, positions: string[]): Promise<Map<string, string>> {
  const newest = new Map<string, string>();
  if (positions.length === 0) return newest;
  const rows = await rowsOf<{ id: string; position_id: string; kind: string }>(
    db,
    `SELECT id, position_id, JSON_VALUE(summary, '$.kind') AS kind FROM jobs
      WHERE state = 'signed' AND position_id IN (?) ORDER BY signed_at, id`,
    [positions],
  );
  for (const r of rows) newest.set(`${r.position_id} ${r.kind}`, r.id);
  return newest;
}

const digest = (token: string) => createHash('sha256').update(token).digest('hex');

/** A link by which anybody who has it reads what falls due; a person has one, the last. */
export async function makeFeed(db: Database, personId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await run(db, 'DELETE FROM feeds WHERE person_id = ?', [personId]);
  await run(db, 'INSERT INTO feeds (token_hash, person_id, made_at) VALUES (?, ?, NOW(3))', [
    digest(token),
    personId,
  ]);
  return token;
}
export async function revokeFeed(db: Database, personId: string): Promise<void> {
  await run(db, 'DELETE FROM feeds WHERE person_id = ?', [personId]);
}
export async function feedMade(db: Database, personId: string): Promise<string | null> {
  const [row] = await rowsOf<{ made_at: Date }>(db, 'SELECT made_at FROM feeds WHERE person_id = ?', [
    personId,
  ]);
  return row ? new Date(row.made_at).toISOString() : null;
}
/** Whose link it is, by name; null where it is nobody’s, or theirs who is retired. */
export async function feedOf(db: Database, token: string): Promise<string | null> {
  const [row] = await rowsOf<{ name: string }>(
    db,
    'SELECT p.name FROM feeds f JOIN people p ON p.id = f.person_id WHERE f.token_hash = ? AND p.retired_at IS NULL',
    [digest(token)],
  );
  return row?.name ?? null;
}
