import { randomUUID } from 'node:crypto';
import type { AutopsyTold } from '@fulcrant/core/api';
import { type Database, rowsOf, run } from './database.ts';

type Row = { id: string; job_id: string | null; body: string; name: string; at: Date };

/** What was looked at on parts that came out of a position, the newest first. */
export async function autopsiesOf(db: Database, positionId: string): Promise<AutopsyTold[]> {
  const rows = await rowsOf<Row>(
    db,
    `SELECT a.id, a.job_id, a.body, p.name, a.at FROM autopsies a JOIN people p ON p.id = a.person_id
      WHERE a.position_id = ? ORDER BY a.at DESC LIMIT 100`,
    [positionId],
  );
  return rows.map((r) => ({
    ...(JSON.parse(r.body) as Omit<AutopsyTold, 'id' | 'jobId' | 'by' | 'at'>),
    id: r.id,
    jobId: r.job_id,
    by: r.name,
    at: new Date(r.at).toISOString(),
  }));
}

/** Keep an autopsy as it was told; nothing of it is ever changed. */
export async function keepAutopsy(
  db: Database,
  positionId: string,
  jobId: string | null,
  body: Omit<AutopsyTold, 'id' | 'jobId' | 'by' | 'at'>,
  personId: string,
): Promise<void> {
  await run(
    db,
    'INSERT INTO autopsies (id, position_id, job_id, body, person_id, at) VALUES (?, ?, ?, ?, ?, NOW(3))',
    [randomUUID(), positionId, jobId, JSON.stringify(body), personId],
  );
}
