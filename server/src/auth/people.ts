import { randomUUID } from 'node:crypto';
import type { PersonLine, Role } from '@fulcrant/core/api';
import { type Database, isTaken, rowsOf, run } from '../store/database.ts';
import { forgetDevices } from './devices.ts';
import { endSessionsOf } from './sessions.ts';

/** No password has this hash: whoever has it is let in by a code first. */
export const NO_PASSWORD = '-';

/** Everybody, those at work first, by name. */
export async function everybody(db: Database): Promise<PersonLine[]> {
  const rows = await rowsOf<{
    id: string;
    name: string;
    role: Role;
    retired_at: Date | null;
    can_sign_in: number;
  }>(
    db,
    `SELECT id, name, role, retired_at, password_hash <> ? AS can_sign_in FROM people
      ORDER BY retired_at IS NOT NULL, name`,
    [NO_PASSWORD],
  );
  return rows.map((r) => ({
    id: r.id,
    name: r.name,
    role: r.role,
    retiredAt: r.retired_at ? new Date(r.retired_at).toISOString() : null,
    canSignIn: Boolean(r.can_sign_in),
  }));
}

/** Somebody new. @returns their id; null where one of that name is known */
export async function addPerson(
  db: Database,
  person: { name: string; role: Role; passwordHash?: string },
): Promise<string | null> {
  const id = `p-${randomUUID()}`;
  try {
    await db.models.Person.create({
      id,
      name: person.name,
      role: person.role,
      passwordHash: person.passwordHash ?? NO_PASSWORD,
      retiredAt: null,
    });
    return id;
  } catch (error) {
    if (isTaken(error)) return null;
    throw error;
  }
}

/**
 * Change what somebody is, or whether they are still here. What they did stays theirs. The last lead hand stays one: looked at in the
 * statement itself, so that two cannot leave each other behind.
 * @returns false where nobody would be left to lead
 */
export async function changePerson(
  db: Database,
  id: string,
  change: { role?: Role | undefined; retired?: boolean | undefined },
): Promise<boolean> {
  const leads = change.role === 'lead' || (change.role === undefined && change.retired !== true);
  const done = (await run(
    db,
    `UPDATE people SET role = COALESCE(?, role),
        retired_at = CASE ? WHEN 1 THEN COALESCE(retired_at, NOW(3)) WHEN 0 THEN NULL ELSE retired_at END
      WHERE id = ? AND (? OR role <> 'lead' OR retired_at IS NOT NULL
        OR (SELECT COUNT(*) FROM people o WHERE o.role = 'lead' AND o.retired_at IS NULL AND o.id <> ?) > 0)`,
    [
      change.role ?? null,
      change.retired === undefined ? null : change.retired ? 1 : 0,
      id,
      leads && change.retired !== true,
      id,
    ],
  )) as { affectedRows: number };
  if (done.affectedRows === 0) return false;
  if (change.retired === true) await endSessionsOf(db, id);
  return true;
}

/** A new password; every other session of theirs ends, and no other device is known for theirs. */
export async function setPassword(
  db: Database,
  id: string,
  passwordHash: string,
  keep: { session?: string | undefined; device?: string | undefined } = {},
): Promise<void> {
  await run(db, 'UPDATE people SET password_hash = ? WHERE id = ?', [passwordHash, id]);
  await endSessionsOf(db, id, keep.session);
  await forgetDevices(db, id, keep.device);
}
