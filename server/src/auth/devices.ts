import { createHash, randomBytes } from 'node:crypto';
import type { Role } from '@fulcrant/core/api';
import { type Database, rowsOf, run } from '../store/database.ts';

/** How long a device is known after somebody got in at it last. */
export const KNOWN_DAYS = 400;

/** Only the hash is stored: the table alone makes no device known. */
const digest = (token: string) => createHash('sha256').update(token).digest('hex');

export const newDevice = (): string => randomBytes(24).toString('base64url');

/** What a device is known by where somebody of this name has got in at it before; null where not. */
export async function knownDevice(
  db: Pick<Database, 'sequelize'>,
  token: string | undefined,
  name: string,
): Promise<string | null> {
  if (!token) return null;
  const [row] = await rowsOf(
    db,
    `SELECT 1 FROM known_devices d JOIN people p ON p.id = d.person_id
      WHERE d.token_hash = ? AND p.name = ? AND d.last_at > NOW(3) - INTERVAL ? DAY`,
    [digest(token), name, KNOWN_DAYS],
  );
  return row ? digest(token) : null;
}

/** Somebody got in at a device. Those nobody got in at for long are forgotten on the way. */
export async function rememberDevice(
  db: Pick<Database, 'sequelize'>,
  token: string,
  personId: string,
): Promise<void> {
  await run(db, 'DELETE FROM known_devices WHERE last_at < NOW(3) - INTERVAL ? DAY', [KNOWN_DAYS]);
  await run(
    db,
    `INSERT INTO known_devices (token_hash, person_id, last_at) VALUES (?, ?, NOW(3))
      ON DUPLICATE KEY UPDATE last_at = NOW(3)`,
    [digest(token), personId],
  );
}

/** No device is known for somebody any more, but the one they are at: their password is another. */
export async function forgetDevices(
  db: Pick<Database, 'sequelize'>,
  personId: string,
  keep?: string,
): Promise<void> {
  await run(db, 'DELETE FROM known_devices WHERE person_id = ? AND token_hash <> ?', [
    personId,
    keep ? digest(keep) : '',
  ]);
}

/** People who have got in at a device and have a PIN, but no second factor, which a PIN would pass by: whoever may change over to here. */
export async function peopleAt(
  db: Pick<Database, 'sequelize'>,
  token: string | undefined,
): Promise<Array<{ id: string; name: string; role: Role }>> {
  if (!token) return [];
  return rowsOf(
    db,
    `SELECT p.id, p.name, p.role FROM known_devices d JOIN people p ON p.id = d.person_id
      WHERE d.token_hash = ? AND d.last_at > NOW(3) - INTERVAL ? DAY AND p.retired_at IS NULL AND p.pin_hash IS NOT NULL
        AND p.second_secret IS NULL
      ORDER BY p.name`,
    [digest(token), KNOWN_DAYS],
  );
}
