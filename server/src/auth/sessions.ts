import { createHash, randomBytes } from 'node:crypto';
import type { Person } from '@fulcrant/core';
import { Op } from 'sequelize';
import type { Database } from '../store/database.ts';

/** A shift and the next: long enough that nobody signs in with gloves on twice a day. */
export const SESSION_HOURS = 24;

/** Only the hash is stored: the table alone opens nothing. */
const digest = (token: string) => createHash('sha256').update(token).digest('hex');

/** Start a session and return its token for the cookie. Sessions past their time are swept on the way. */
export async function startSession(db: Database, personId: string): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await db.models.Session.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } });
  await db.models.Session.create({
    tokenHash: digest(token),
    personId,
    expiresAt: new Date(Date.now() + SESSION_HOURS * 3_600_000),
  });
  return token;
}

/** The person a token stands for; null where it is unknown or past its time. */
export async function personOfSession(db: Database, token: string | undefined): Promise<Person | null> {
  if (!token) return null;
  const session = await db.models.Session.findByPk(digest(token));
  if (!session || session.expiresAt < new Date()) return null;
  const person = await db.models.Person.findByPk(session.personId);
  return person ? { id: person.id, name: person.name, role: person.role } : null;
}

export async function endSession(db: Database, token: string | undefined): Promise<void> {
  if (token) await db.models.Session.destroy({ where: { tokenHash: digest(token) } });
}
