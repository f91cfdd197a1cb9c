import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the OWASP minimum (19 MiB, 2 passes); the salt and parameters travel in the hash. */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, OPTIONS);

/** A hash nobody's password has, so that an unknown name takes as long to refuse as a wrong password. */
let decoy: Promise<string> | null = null;

/** True where the password is the one behind the hash. With no hash, or what is none, it always fails, in the same time. */
export async function passwordMatches(passwordHash: string | null, password: string): Promise<boolean> {
  decoy ??= hashPassword('no person has this');
  const real = passwordHash?.startsWith('$argon2') ? passwordHash : null;
  const matches = await verify(real ?? (await decoy), password);
  return real !== null && matches;
}
