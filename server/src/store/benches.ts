import { createHash, randomUUID } from 'node:crypto';
import type { Difficulty } from '@fulcrant/core/job';
import { allOfBefore } from '@fulcrant/core/units';
import type {
  Attempt,
  Competence,
  CompetenceAsked,
  Debrief,
  ResultLine,
  SetAsked,
  SetTold,
} from '@fulcrant/practice';
import { type Database, rowsOf, run } from './database.ts';

/** So many sets and results are told at once: a class looks at its last weeks. */
const TOLD_MOST = 200;

type SetRow = {
  id: string;
  rig: string;
  difficulty: Difficulty;
  seed: number | null;
  says: string;
  name: string;
  at: Date;
};
const stamp = (at: Date): string => new Date(at).toISOString();

export async function setBench(db: Database, asked: SetAsked, personId: string): Promise<string> {
  const id = randomUUID();
  await run(
    db,
    'INSERT INTO bench_sets (id, rig, difficulty, seed, says, person_id, at) VALUES (?, ?, ?, ?, ?, ?, NOW(3))',
    [id, asked.rig, asked.difficulty, asked.seed ?? null, asked.says ?? '', personId],
  );
  return id;
}

/** A set with its seed for one person: the set’s own, or, where each has their own, one that follows from set and person. */
export async function setFor(
  db: Database,
  id: string,
  personId: string,
): Promise<{ rig: string; difficulty: Difficulty; seed: number } | null> {
  const [row] = await rowsOf<SetRow>(db, 'SELECT rig, difficulty, seed FROM bench_sets WHERE id = ?', [id]);
  if (!row) return null;
  const own = createHash('sha256').update(`${id} ${personId}`).digest().readUInt32BE(0) >>> 1;
  return { rig: row.rig, difficulty: row.difficulty, seed: row.seed ?? own };
}

/** Sets, the newest first, each with the mark of whoever handed in. */
export async function setsTold(db: Database): Promise<SetTold[]> {
  const rows = await rowsOf<SetRow>(
    db,
    `SELECT s.id, s.rig, s.difficulty, s.seed, s.says, p.name, s.at FROM bench_sets s
     JOIN people p ON p.id = s.person_id ORDER BY s.at DESC, s.id LIMIT ${TOLD_MOST}`,
    [],
  );
  const marks = await rowsOf<{ set_id: string; name: string; score: number; at: Date }>(
    db,
    `SELECT r.set_id, p.name, r.score, r.at FROM bench_results r
     JOIN people p ON p.id = r.person_id WHERE r.set_id IS NOT NULL ORDER BY p.name, r.at`,
    [],
  );
  return rows.map((r) => ({
    id: r.id,
    rig: r.rig,
    difficulty: r.difficulty,
    each: r.seed === null,
    says: r.says,
    by: r.name,
    at: stamp(r.at),
    marks: marks
      .filter((m) => m.set_id === r.id)
      .map((m) => ({ person: m.name, score: m.score, at: stamp(m.at) })),
  }));
}

/** Put by what was handed in. Null where this person has handed that set in before: its truth is known to them. */
export async function keepResult(
  db: Database,
  personId: string,
  of: { set: string | null; rig: string; difficulty: string; seed: number },
  attempt: Attempt,
  debrief: Debrief,
): Promise<string | null> {
  const id = randomUUID();
  const body = JSON.stringify({ attempt, debrief });
  try {
    await run(
      db,
      `INSERT INTO bench_results (id, person_id, set_id, rig, difficulty, seed, score, minutes, body, at)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, NOW(3))`,
      [
        id,
        personId,
        of.set,
        of.rig,
        of.difficulty,
        of.seed,
        debrief.score,
        Math.max(0, debrief.minutes),
        body,
      ],
    );
    return id;
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') return null;
    throw error;
  }
}

/** What was handed in, the newest first; of one person, or of all where none is named. */
export async function resultsOf(db: Database, personId: string | null): Promise<ResultLine[]> {
  const rows = await rowsOf<{
    id: string;
    name: string;
    rig: string;
    difficulty: Difficulty;
    set_id: string | null;
    score: number;
    minutes: number;
    at: Date;
  }>(
    db,
    `SELECT r.id, p.name, r.rig, r.difficulty, r.set_id, r.score, r.minutes, r.at FROM bench_results r
     JOIN people p ON p.id = r.person_id ${personId === null ? '' : 'WHERE r.person_id = ?'}
     ORDER BY r.at DESC, r.id LIMIT ${TOLD_MOST}`,
    personId === null ? [] : [personId],
  );
  return rows.map((r) => ({
    id: r.id,
    person: r.name,
    rig: r.rig,
    difficulty: r.difficulty,
    set: r.set_id,
    score: r.score,
    minutes: r.minutes,
    at: stamp(r.at),
  }));
}

/** What was handed in, with whose it is and what was said of it then; null where there is no such thing. */
export async function resultById(
  db: Database,
  id: string,
): Promise<{ personId: string; rig: string; attempt: Attempt; debrief: Debrief } | null> {
  const [row] = await rowsOf<{ person_id: string; rig: string; body: string }>(
    db,
    'SELECT person_id, rig, body FROM bench_results WHERE id = ?',
    [id],
  );
  return row
    ? {
        personId: row.person_id,
        rig: row.rig,
        ...(allOfBefore(JSON.parse(row.body)) as { attempt: Attempt; debrief: Debrief }),
      }
    : null;
}

export async function signCompetence(db: Database, asked: CompetenceAsked, byId: string): Promise<string> {
  const id = randomUUID();
  await run(
    db,
    `INSERT INTO competences (id, person_id, trade, renew_on, words, signed_by, at)
     VALUES (?, ?, ?, ?, ?, ?, NOW(3))`,
    [id, asked.person, asked.trade, asked.renewOn, asked.words, byId],
  );
  return id;
}

/** Competences as they were signed, the newest first; of one person, or of all where none is named. */
export async function competencesOf(db: Database, personId: string | null): Promise<Competence[]> {
  const rows = await rowsOf<{
    id: string;
    name: string;
    trade: string;
    renew_on: string;
    words: string;
    signer: string;
    at: Date;
  }>(
    db,
    `SELECT c.id, p.name, c.trade, c.renew_on, c.words, s.name AS signer, c.at FROM competences c
     JOIN people p ON p.id = c.person_id JOIN people s ON s.id = c.signed_by
     ${personId === null ? '' : 'WHERE c.person_id = ?'} ORDER BY c.at DESC, c.id LIMIT ${TOLD_MOST}`,
    personId === null ? [] : [personId],
  );
  return rows.map((r) => ({
    id: r.id,
    person: r.name,
    trade: r.trade,
    by: r.signer,
    at: stamp(r.at),
    renewOn: r.renew_on,
    words: r.words,
  }));
}

/** Who practises here: everybody not gone. */
export const practisers = (db: Database): Promise<Array<{ id: string; name: string }>> =>
  rowsOf(db, 'SELECT id, name FROM people WHERE retired_at IS NULL ORDER BY name', []);
