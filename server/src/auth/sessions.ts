import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Person, SessionLine } from '@fulcrant/core/api';
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

/**
 * The person a token stands for; null where it is unknown or past its time. Looked up at every request: a session ended or a role changed
 * holds at once, at every server of the house.
 */
export async function personOfSession(db: Database, token: string | undefined): Promise<Person | null> {
  if (!token) return null;
  const [row] = await rowsOf<Person>(
    db,
    `SELECT p.id, p.name, p.role FROM sessions s JOIN people p ON p.id = s.person_id
      WHERE s.token_hash = ? AND s.expires_at > ? AND p.retired_at IS NULL`,
    [digest(token), new Date()],
  );
  return row ? { id: row.id, name: row.name, role: row.role } : null;
}

export async function endSession(db: Database, token: string | undefined): Promise<void> {
  if (!token) return;
  await db.models.Session.destroy({ where: { tokenHash: digest(token) } });
}

/**
 * End somebody's sessions.
 * @param keep the token of a session that goes on
 */
export async function endSessionsOf(db: Database, personId: string, keep?: string): Promise<void> {
  await run(db, 'DELETE FROM sessions WHERE person_id = ? AND token_hash <> ?', [
    personId,
    keep ? digest(keep) : '',
  ]);
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
  return done.affectedRows === 1;
}
