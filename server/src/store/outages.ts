import { allTrades, type Setup } from '@fulcrant/core/job';
import type { Duration, Outage, OutageLine, OutageTold, Progress } from '@fulcrant/core/outage';
import { type Database, rowsOf, run } from './database.ts';

type Row = { id: string; version: number; body: string; name: string; at: Date };

const NEWEST = `FROM outages o JOIN people p ON p.id = o.person_id
  WHERE o.version = (SELECT MAX(version) FROM outages WHERE id = o.id)`;

const told = (r: Row): OutageTold => ({
  id: r.id,
  version: r.version,
  outage: JSON.parse(r.body) as Outage,
  by: r.name,
  at: new Date(r.at).toISOString(),
});

/** Outages as they stand now, the latest window first. */
export async function outages(db: Database): Promise<OutageTold[]> {
  const rows = await rowsOf<Row>(db, `SELECT o.id, o.version, o.body, p.name, o.at ${NEWEST} LIMIT 200`, []);
  return rows.map(told).sort((a, b) => b.outage.startsAt.localeCompare(a.outage.startsAt));
}

export const lineOf = ({ id, outage, at }: OutageTold): OutageLine => ({
  id,
  name: outage.name,
  startsAt: outage.startsAt,
  endsAt: outage.endsAt,
  jobs: outage.jobs.length,
  at,
});

export async function outageById(db: Database, id: string): Promise<OutageTold | null> {
  const [row] = await rowsOf<Row>(db, `SELECT o.id, o.version, o.body, p.name, o.at ${NEWEST} AND o.id = ?`, [
    id,
  ]);
  return row ? told(row) : null;
}

/** Keep an outage as the version after the one it was made from. False where somebody else was first. */
export async function keepOutage(
  db: Database,
  id: string,
  after: number,
  outage: Outage,
  personId: string,
): Promise<boolean> {
  const [newest] = await rowsOf<{ version: number | null }>(
    db,
    'SELECT MAX(version) AS version FROM outages WHERE id = ?',
    [id],
  );
  if ((newest?.version ?? 0) !== after) return false;
  try {
    await run(db, 'INSERT INTO outages (id, version, body, person_id, at) VALUES (?, ?, ?, ?, NOW(3))', [
      id,
      after + 1,
      JSON.stringify(outage),
      personId,
    ]);
    return true;
  } catch (error) {
    // Two of the same version at the same moment: the second is told.
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') return false;
    throw error;
  }
}

/** Bodies of the events of jobs, by job. */
const bodiesOf = async (db: Database, jobIds: readonly string[]): Promise<Map<string, string[]>> => {
  const out = new Map<string, string[]>();
  if (jobIds.length === 0) return out;
  const rows = await rowsOf<{ job_id: string; body: string }>(
    db,
    'SELECT job_id, body FROM events WHERE job_id IN (?) ORDER BY job_id, seq',
    [jobIds],
  );
  for (const r of rows) {
    const list = out.get(r.job_id) ?? [];
    list.push(r.body);
    out.set(r.job_id, list);
  }
  return out;
};

/** How many of the last signed sheets of a trade tell how long it takes. */
const SHEETS = 20;
const RENEW_MS = 60_000;
const known = new WeakMap<Database, { at: number; durations: Record<string, Record<string, Duration>> }>();

/** How long the pieces of every trade take at this plant, from the times of its signed sheets; read again after a minute. */
export async function plantDurations(db: Database): Promise<Record<string, Record<string, Duration>>> {
  const before = known.get(db);
  if (before && Date.now() - before.at < RENEW_MS) return before.durations;
  const durations: Record<string, Record<string, Duration>> = {};
  for (const trade of allTrades()) {
    const ids = await rowsOf<{ id: string }>(
      db,
      `SELECT id FROM jobs WHERE state = 'signed' AND JSON_VALUE(summary, '$.kind') = ? ORDER BY signed_at DESC LIMIT ${SHEETS}`,
      [trade.id],
    );
    const bodies = await bodiesOf(
      db,
      ids.map((r) => r.id),
    );
    durations[trade.id] = await db.workshop.do('durations', {
      trade: trade.id,
      sheets: [...bodies.values()],
    });
  }
  known.set(db, { at: Date.now(), durations });
  return durations;
}

/** What is known of an outage’s jobs: their setups, by the job itself or by what was last done at the place, and how far they are. */
export async function jobsOf(
  db: Database,
  outage: Outage,
): Promise<{
  setups: Record<string, Setup>;
  progress: Record<string, Progress>;
  ended: Record<string, boolean>;
}> {
  const ids = outage.jobs.flatMap((j) => (j.jobId ? [j.jobId] : []));
  const bodies = await bodiesOf(db, ids);
  const setups: Record<string, Setup> = {};
  const progress: Record<string, Progress> = {};
  const ended: Record<string, boolean> = {};
  const mine = outage.jobs.flatMap((j) => {
    const own = j.jobId ? bodies.get(j.jobId) : undefined;
    return own ? [[j.key, own] as const] : [];
  });
  const standing = await db.workshop.do('standing', { jobs: Object.fromEntries(mine) });
  for (const [key, s] of Object.entries(standing)) {
    setups[key] = s.setup;
    progress[key] = s.progress;
    ended[key] = s.ended;
  }
  const open = outage.jobs.filter((j) => !setups[j.key] && j.positionId);
  if (open.length > 0) {
    const rows = await rowsOf<{ position_id: string; kind: string; id: string }>(
      db,
      `SELECT position_id, JSON_VALUE(summary, '$.kind') AS kind, id FROM jobs WHERE position_id IN (?) ORDER BY opened_at DESC, id`,
      [open.map((j) => j.positionId as string)],
    );
    const last = new Map<string, string>();
    for (const r of rows)
      if (!last.has(`${r.position_id} ${r.kind}`)) last.set(`${r.position_id} ${r.kind}`, r.id);
    const wanted = open.flatMap((j) => last.get(`${j.positionId} ${j.trade}`) ?? []);
    const past = await db.workshop.do('standing', {
      jobs: Object.fromEntries(await bodiesOf(db, wanted)),
    });
    for (const j of open) {
      const before = past[last.get(`${j.positionId} ${j.trade}`) ?? ''];
      if (before) setups[j.key] = before.setup;
    }
  }
  return { setups, progress, ended };
}

/** Rows of its kit that lie ready, and who laid each out. */
export async function laidOf(db: Database, outageId: string): Promise<Record<string, string>> {
  const rows = await rowsOf<{ item: string; name: string }>(
    db,
    'SELECT l.item, p.name FROM outage_laid l JOIN people p ON p.id = l.person_id WHERE l.outage_id = ? ORDER BY l.item',
    [outageId],
  );
  return Object.fromEntries(rows.map((r) => [r.item, r.name]));
}

/** A row of a kit lies ready, or does no more; the first who laid it out stays named. */
export async function layOut(
  db: Database,
  outageId: string,
  item: string,
  personId: string | null,
): Promise<void> {
  if (personId === null)
    await run(db, 'DELETE FROM outage_laid WHERE outage_id = ? AND item = ?', [outageId, item]);
  else
    await run(
      db,
      'INSERT IGNORE INTO outage_laid (outage_id, item, person_id, at) VALUES (?, ?, ?, NOW(3))',
      [outageId, item, personId],
    );
}
