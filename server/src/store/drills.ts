import { allDrills, type DrillAnswers, type Kept, putBy } from '@fulcrant/practice';
import { type Database, rowsOf, run } from './database.ts';

/** What somebody has met of the drills. */
export async function drillsOf(db: Database, personId: string): Promise<Kept[]> {
  const rows = await rowsOf<{ body: string }>(
    db,
    'SELECT body FROM drills WHERE person_id = ? ORDER BY drill',
    [personId],
  );
  return rows.map((r) => JSON.parse(r.body) as Kept);
}

/** Put answers by, in their order; what is no drill any more is passed over. A clock that runs ahead counts as now. */
export async function answerDrills(
  db: Database,
  personId: string,
  answers: DrillAnswers['answers'],
): Promise<Kept[]> {
  const known = new Set(allDrills().map((d) => d.id));
  const kept = new Map((await drillsOf(db, personId)).map((k) => [k.id, k]));
  const now = Date.now();
  for (const a of answers) {
    if (!known.has(a.id)) continue;
    const told = Date.parse(a.at);
    const at = new Date(Number.isFinite(told) ? Math.min(told, now) : now).toISOString();
    const next = putBy(kept.get(a.id) ?? null, a.id, a.right === 1, at);
    kept.set(a.id, next);
    await run(db, 'REPLACE INTO drills (person_id, drill, body) VALUES (?, ?, ?)', [
      personId,
      a.id,
      JSON.stringify(next),
    ]);
  }
  return [...kept.values()];
}
