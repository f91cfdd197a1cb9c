import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { mkdir, open, readFile, rename, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { type Database, rowsOf, run } from './database.ts';

/** Larger files and pictures come from no device that does its part. */
export const PHOTO_BYTES = 4_000_000;
const SIDE = 4096;

export const isHash = (text: string | undefined): text is string => /^[0-9a-f]{64}$/.test(text ?? '');
const fileOf = (dir: string, hash: string): string => join(dir, hash.slice(0, 2), `${hash}.jpg`);

/** Why a photograph is not taken in, as a sentence; else how large it is. */
export async function lookAtPhoto(
  bytes: Buffer,
  hash: string,
): Promise<{ width: number; height: number } | string> {
  if (createHash('sha256').update(bytes).digest('hex') !== hash)
    return 'The photograph is not the one that was announced: it was hurt on the way.';
  // By its content, whatever it calls itself.
  if (!(bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff)) return 'A photograph comes as JPEG.';
  try {
    const meta = await sharp(bytes, { limitInputPixels: SIDE * SIDE, failOn: 'error' }).metadata();
    if (meta.format !== 'jpeg' || !meta.width || !meta.height) return 'A photograph comes as JPEG.';
    if (meta.width > SIDE || meta.height > SIDE) return `A photograph is ${SIDE} points wide at the most.`;
    if (meta.exif || meta.xmp || meta.iptc)
      return 'The photograph still carries what the camera wrote into it, its place perhaps: it is taken off on the device.';
    // To the last line: a file cut off in the middle is no photograph.
    await sharp(bytes, { limitInputPixels: SIDE * SIDE, failOn: 'error' }).stats();
    return { width: meta.width, height: meta.height };
  } catch {
    return 'The photograph cannot be read to its end.';
  }
}

/** Keep a photograph's file: written whole beside its place and moved there, then known. Twice is once. */
export async function keepPhoto(
  db: Database,
  dir: string,
  hash: string,
  bytes: Buffer,
  size: { width: number; height: number },
  personId: string,
): Promise<void> {
  const file = fileOf(dir, hash);
  await mkdir(join(dir, hash.slice(0, 2)), { recursive: true, mode: 0o700 });
  const beside = `${file}.${process.pid}.${Date.now()}`;
  const handle = await open(beside, 'w', 0o600);
  try {
    await handle.writeFile(bytes);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await rename(beside, file);
  await run(
    db,
    'INSERT IGNORE INTO photos (hash, width, height, bytes, person_id, stored_at) VALUES (?, ?, ?, ?, ?, NOW(3))',
    [hash, size.width, size.height, bytes.length, personId],
  );
}

/** A photograph's file, or null where it has not arrived. */
export async function readPhoto(dir: string, hash: string): Promise<Buffer | null> {
  return readFile(fileOf(dir, hash)).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null;
    throw error;
  });
}

/** Photographs that should be there and are not, or are not what their name says, a sentence each. */
export async function verifyPhotos(db: Database, dir: string): Promise<{ photos: number; faults: string[] }> {
  const rows = await rowsOf<{ hash: string }>(db, 'SELECT hash FROM photos ORDER BY hash', []);
  const faults: string[] = [];
  for (const { hash } of rows) {
    const file = fileOf(dir, hash);
    const there = await stat(file).catch(() => null);
    if (!there) {
      faults.push(`Photograph ${hash} is gone from the data folder.`);
      continue;
    }
    const sum = createHash('sha256');
    await pipeline(createReadStream(file), sum);
    if (sum.digest('hex') !== hash) faults.push(`Photograph ${hash} is not the one that was kept.`);
  }
  return { photos: rows.length, faults };
}
