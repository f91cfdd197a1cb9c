import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, open, readFile, rename, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Text } from '@fulcrant/core/messages';
import { M } from './messages.ts';

export const isHash = (text: string | undefined): text is string => /^[0-9a-f]{64}$/.test(text ?? '');

/** Where a file lies in the data folder: by the SHA-256 of what is in it. */
export const placeOf = (dir: string, hash: string, ending: string): string =>
  join(dir, hash.slice(0, 2), `${hash}.${ending}`);

/** Why bytes are not those that were announced, as a sentence; null where they are. */
export const hurtOnTheWay = (bytes: Buffer, hash: string, what: string): Text | null =>
  createHash('sha256').update(bytes).digest('hex') === hash ? null : M.notOneAnnouncedHurtWay({ what });

/** Keep a file: written whole beside its place and moved there. Twice is once. */
export async function keepFile(file: string, bytes: Buffer): Promise<void> {
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  // A name of its own: the same photograph may come from two devices at once.
  const beside = `${file}.${randomUUID()}`;
  const handle = await open(beside, 'w', 0o600);
  try {
    await handle.writeFile(bytes);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await rename(beside, file);
}

/** A kept file, or null where it is not there. */
export async function readKept(file: string): Promise<Buffer | null> {
  return readFile(file).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null;
    throw error;
  });
}

/** What is wrong with a kept file, as a sentence; null where it is there and is what its name says. */
export async function faultOfKept(file: string, hash: string, what: Text): Promise<Text | null> {
  if (!(await stat(file).catch(() => null))) return M.goneFromDataFolder({ what, hash });
  const sum = createHash('sha256');
  await pipeline(createReadStream(file), sum);
  return sum.digest('hex') === hash ? null : M.notOneKept({ what, hash });
}
