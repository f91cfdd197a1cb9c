import { factsOf, type JobEvent, type JobState, timeOf } from '@fulcrant/core/job';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import type { Transaction } from 'sequelize';
import { type Frozen, hashOf } from '../export/canonical.ts';
import type { Database } from './database.ts';
import { rowsOf } from './database.ts';
import { jobNumber } from './numbers.ts';
import { PLANT_ZONE, RULES } from './rules.ts';

type At = { serial: number; count: number; chain: string };

/** Lay down what was just signed. Append-only: the database lets nobody who serves change or remove it. */
export async function freeze(
  db: Database,
  transaction: Transaction | undefined,
  state: JobState,
  at: At,
  origin: Frozen['origin'] = 'signed',
): Promise<void> {
  const signature = state.signed ?? state.running;
  if (!signature) return;
  const number = jobNumber(at.serial);
  const sheet = await db.workshop.do('sheet', {
    facts: factsOf(state),
    number,
    zone: PLANT_ZONE,
    signature,
  });
  await db.models.Sheet.create(
    {
      jobId: state.jobId,
      revision: signature.revision,
      hash: hashOf(sheet),
      rules: RULES,
      origin,
      eventCount: at.count,
      chain: at.chain,
      frozenAt: new Date(),
      sheet,
    },
    transaction ? { transaction } : {},
  );
}

/** A sheet as it was signed: the revision asked for, or the last one. Null where none was ever signed. */
export async function readFrozen(
  db: Database,
  jobId: string,
  revision?: number,
): Promise<{ canonical: string; hash: string; eventCount: number; frozen: Frozen } | null> {
  const [row] = await rowsOf<{
    sheet: string;
    hash: string;
    revision: number;
    rules: string;
    origin: Frozen['origin'];
    frozen_at: Date;
    event_count: number;
  }>(
    db,
    `SELECT sheet, hash, revision, rules, origin, frozen_at, event_count FROM sheets WHERE job_id = ?
      ${revision === undefined ? '' : 'AND revision = ?'} ORDER BY revision DESC LIMIT 1`,
    revision === undefined ? [jobId] : [jobId, revision],
  );
  if (!row) return null;
  const { sheet: canonical, hash, rules, origin } = row;
  const at = new Date(row.frozen_at).toISOString();
  return {
    canonical,
    hash,
    eventCount: row.event_count,
    frozen: { revision: row.revision, rules, origin, at },
  };
}

/** Notes written after so many events: under a signature they stand beside the sheet, not in it. */
export async function notesAfter(db: Database, jobId: string, count: number): Promise<FitUpSheet['notes']> {
  const rows = await rowsOf<{ body: string }>(
    db,
    "SELECT body FROM events WHERE job_id = ? AND seq > ? AND type = 'note.added' ORDER BY seq",
    [jobId, count],
  );
  return rows.map((r) => {
    const e = JSON.parse(r.body) as Extract<JobEvent, { type: 'note.added' }>;
    return { by: e.author.name, ...timeOf(e), text: e.data.text };
  });
}
