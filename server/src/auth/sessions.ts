import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { SessionLine } from '@fulcrant/core/api/plant';
import type { Person } from '@fulcrant/core/api/requests';
import { LRUCache } from 'lru-cache';
import { Op } from 'sequelize';
import { type Database, rowsOf, run } from '../store/database.ts';

/** A shift and the next: long enough that nobody signs in with gloves on twice a day. */
export const SESSION_HOURS = 24;

/** Only the hash is stored: the table alone opens nothing. */
const digest = (token: string) => createHash('sha256').update(token).digest('hex');

/** Start a session and return its token for the cookie. Sessions past their time are swept on the way. */
export async function startSession(db: Database, personId: string, device = ''): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await db.models.Session.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } });
  await db.models.Session.create({
    tokenHash: digest(token),
    id: randomUUID(),
    personId,
    startedAt: new Date(),
    device: device.slice(0, 160),
    expiresAt: new Date(Date.now() + SESSION_HOURS * 3_600_000),
  });
  return token;
}

/** Sessions asked for a moment ago: a hand at work asks every second or two, and a role changes once a year. */
const lately = new WeakMap<Database, LRUCache<string, { person: Person; expiresAt: number }>>();
const LATELY_MS = 5000;
function latelyOf(db: Database) {
  const kept =
    lately.get(db) ??
    new LRUCache<string, { person: Person; expiresAt: number }>({ max: 500, ttl: LATELY_MS });
  lately.set(db, kept);
  return kept;
}

/** The person a token stands for; null where it is unknown or past its time. */
export async function personOfSession(db: Database, token: string | undefined): Promise<Person | null> {
  if (!token) return null;
  const key = digest(token);
  const known = latelyOf(db).get(key);
  if (known) return known.expiresAt > Date.now() ? known.person : null;
  const [row] = await rowsOf<Person & { expires_at: Date }>(
    db,
    `SELECT p.id, p.name, p.role, s.expires_at FROM sessions s JOIN people p ON p.id = s.person_id
      WHERE s.token_hash = ? AND p.retired_at IS NULL`,
    [key],
  );
  const expiresAt = row ? new Date(row.expires_at).getTime() : 0;
  if (!row || expiresAt <= Date.now()) return null;
  const person = { id: row.id, name: row.name, role: row.role };
  latelyOf(db).set(key, { person, expiresAt });
  return person;
}

export async function endSession(db: Database, token: string | undefined): Promise<void> {
  if (!token) return;
  latelyOf(db).delete(digest(token));
  await db.models.Session.destroy({ where: { tokenHash: digest(token) } });
}

/** Forget who somebody is, so that the next request asks: their role changed, or they are out. */
function forgetLately(db: Database, personId: string): void {
  const kept = latelyOf(db);
  for (const [key, { person }] of kept.entries()) if (person.id === personId) kept.delete(key);
}

/**
 * End somebody's sessions, or only what is remembered of them, so that the next request looks anew.
 * @param keep the token of a session that goes on
 */
export async function endSessionsOf(
  db: Database,
  personId: string,
  { only, keep }: { only: 'all' | 'remembered'; keep?: string | undefined },
): Promise<void> {
  if (only === 'all')
    await run(db, 'DELETE FROM sessions WHERE person_id = ? AND token_hash <> ?', [
      personId,
      keep ? digest(keep) : '',
    ]);
  forgetLately(db, personId);
}

/** The sessions of a person that have not run out, the newest first. */
export async function sessionsOf(
  db: Database,
  personId: string,
  token: string | undefined,
): Promise<SessionLine[]> {
  const rows = await rowsOf<{ id: string; started_at: Date; device: string; token_hash: string }>(
    db,
    `SELECT id, started_at, device, token_hash FROM sessions
      WHERE person_id = ? AND expires_at > NOW(3) ORDER BY started_at DESC`,
    [personId],
  );
  return rows.map((r) => ({
    id: r.id,
    startedAt: new Date(r.started_at).toISOString(),
    device: r.device,
    here: token !== undefined && r.token_hash === digest(token),
  }));
}

/** End one session of a person. False where they have none of that id. */
export async function endSessionById(db: Database, personId: string, id: string): Promise<boolean> {
  const done = (await run(db, 'DELETE FROM sessions WHERE person_id = ? AND id = ?', [personId, id])) as {
    affectedRows: number;
  };
  forgetLately(db, personId);
  return done.affectedRows === 1;
}
