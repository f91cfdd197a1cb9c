import { generateSecret, generateURI, verify } from 'otplib';
import { type Database, rowsOf, run } from '../store/database.ts';

/** A code may be one step of half a minute old, or early: clocks of telephones are not exact. Source: RFC 6238, section 5.2. */
const TOLERANCE_S = 30;
/** 160 bits, as the hash behind it. Source: RFC 4226, section 4, R6. */
const SECRET_BYTES = 20;

/** A secret nobody holds yet, and the link an authenticator reads it from. */
export function offerSecond(site: string, name: string): { secret: string; uri: string } {
  const secret = generateSecret({ length: SECRET_BYTES });
  return { secret, uri: generateURI({ issuer: `Fulcrant ${site}`, label: name, secret }) };
}

/**
 * The half-minute a code is of, where it is the secret's own and none before it.
 * @param secret base32
 * @param after the last step that was used: a code lets in once
 * @returns null where it is not
 */
export async function stepOfCode(
  secret: string,
  code: string,
  after: number | null = null,
): Promise<number | null> {
  const token = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(token)) return null;
  try {
    const told = await verify({
      secret,
      token,
      epochTolerance: TOLERANCE_S,
      ...(after === null ? {} : { afterTimeStep: after }),
    });
    return told.valid && 'timeStep' in told ? told.timeStep : null;
  } catch {
    // A secret that is none, or a last step in what is to come: no code is right.
    return null;
  }
}

/** Is a second factor asked of somebody? */
export async function hasSecond(db: Pick<Database, 'sequelize'>, personId: string): Promise<boolean> {
  return (await secondOf(db, personId)) !== null;
}

const secondOf = async (db: Pick<Database, 'sequelize'>, personId: string) => {
  const [row] = await rowsOf<{ second_secret: string | null; second_step: number | bigint | null }>(
    db,
    'SELECT second_secret, second_step FROM people WHERE id = ?',
    [personId],
  );
  return row?.second_secret
    ? { secret: row.second_secret, step: row.second_step === null ? null : Number(row.second_step) }
    : null;
};

/** A code used up: true for the one it lets in, and only once, however many send it together. */
export async function useSecond(
  db: Pick<Database, 'sequelize'>,
  personId: string,
  code: string,
): Promise<boolean> {
  const second = await secondOf(db, personId);
  const step = second && (await stepOfCode(second.secret, code, second.step));
  if (!step) return false;
  const done = (await run(
    db,
    'UPDATE people SET second_step = ? WHERE id = ? AND (second_step IS NULL OR second_step < ?)',
    [step, personId, step],
  )) as { affectedRows: number };
  return done.affectedRows === 1;
}

/** From now on a code is asked beside the password; `null` takes that back. */
export async function setSecond(
  db: Pick<Database, 'sequelize'>,
  personId: string,
  second: { secret: string; step: number } | null,
): Promise<void> {
  await run(db, 'UPDATE people SET second_secret = ?, second_step = ? WHERE id = ?', [
    second?.secret ?? null,
    second?.step ?? null,
    personId,
  ]);
}
