import { createHash, randomInt } from 'node:crypto';
import { type Database, rowsOf, run } from '../store/database.ts';

/** Letters and digits nobody takes for another: no O beside 0, I and L beside 1, S beside 5, B beside 8, Z beside 2, U beside V. */
const LETTERS = 'ACDEFGHJKMNPQRTVWXY23456789';
const LENGTH = 10;
/** How long a code waits: a day and a weekend. */
const HOURS = 72;

type Purpose = 'first' | 'reset';
type Db = Pick<Database, 'sequelize'>;

/** As it was meant, however it was typed. */
const meant = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');
const digest = (code: string): string => createHash('sha256').update(meant(code)).digest('hex');

/**
 * A code that lets somebody in once; those given out before it for the same end are void. Only its hash is kept.
 * @returns the code, in two groups
 */
export async function giveCode(db: Db, purpose: Purpose, personId: string | null = null): Promise<string> {
  const code = Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');
  await run(db, 'DELETE FROM codes WHERE purpose = ? AND (person_id <=> ? OR expires_at < NOW(3))', [
    purpose,
    personId,
  ]);
  await run(
    db,
    'INSERT INTO codes (code_hash, purpose, person_id, expires_at) VALUES (?, ?, ?, DATE_ADD(NOW(3), INTERVAL ? HOUR))',
    [digest(code), purpose, personId, HOURS],
  );
  return `${code.slice(0, LENGTH / 2)}-${code.slice(LENGTH / 2)}`;
}

/** Does a code stand, for this end and person? It is not used up by asking. */
export async function codeStands(
  db: Db,
  purpose: Purpose,
  code: string,
  personId: string | null = null,
): Promise<boolean> {
  const rows = await rowsOf(
    db,
    'SELECT 1 FROM codes WHERE code_hash = ? AND purpose = ? AND person_id <=> ? AND expires_at > NOW(3)',
    [digest(code), purpose, personId],
  );
  return rows.length > 0;
}

/** Use a code up. True for the one who did: two at once are not both let in. */
export async function useCode(db: Db, code: string): Promise<boolean> {
  const done = (await run(db, 'DELETE FROM codes WHERE code_hash = ?', [digest(code)])) as {
    affectedRows: number;
  };
  return done.affectedRows === 1;
}
