import type { Text } from '@fulcrant/core/messages';
import sharp from 'sharp';
import { type Database, rowsOf, run } from './database.ts';
import { faultOfKept, hurtOnTheWay, keepFile, placeOf, readKept } from './kept-files.ts';
import { M } from './messages.ts';

/** Larger files and pictures come from no device that does its part. */
export const PHOTO_BYTES = 4_000_000;
const SIDE = 4096;

export const photoFile = (dir: string, hash: string): string => placeOf(dir, hash, 'jpg');

/** Why a photograph is not taken in, as a sentence; else how large it is. */
export async function lookAtPhoto(
  bytes: Buffer,
  hash: string,
): Promise<{ width: number; height: number } | Text> {
  const hurt = hurtOnTheWay(bytes, hash, 'photograph');
  if (hurt) return hurt;
  // By its content, whatever it calls itself.
  if (!(bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff)) return M.photographComesAsJpeg;
  try {
    const meta = await sharp(bytes, { limitInputPixels: SIDE * SIDE, failOn: 'error' }).metadata();
    if (meta.format !== 'jpeg' || !meta.width || !meta.height) return M.photographComesAsJpeg;
    if (meta.width > SIDE || meta.height > SIDE) return M.photographPointsWideMost({ side: SIDE });
    if (meta.exif || meta.xmp || meta.iptc) return M.photographStillCarriesWhatCamera;
    // To the last line: a file cut off in the middle is no photograph.
    await sharp(bytes, { limitInputPixels: SIDE * SIDE, failOn: 'error' }).stats();
    return { width: meta.width, height: meta.height };
  } catch {
    return M.photographCannotReadEnd;
  }
}

/** Keep a photograph: its file first, then it is known. Twice is once. */
export async function keepPhoto(
  db: Database,
  dir: string,
  hash: string,
  bytes: Buffer,
  size: { width: number; height: number },
  personId: string,
): Promise<void> {
  await keepFile(photoFile(dir, hash), bytes);
  await run(
    db,
    'INSERT IGNORE INTO photos (hash, width, height, bytes, person_id, stored_at) VALUES (?, ?, ?, ?, ?, NOW(3))',
    [hash, size.width, size.height, bytes.length, personId],
  );
}

/** A photograph's file, or null where it has not arrived. */
export const readPhoto = (dir: string, hash: string): Promise<Buffer | null> =>
  readKept(photoFile(dir, hash));

/** Photographs that should be there and are not, or are not what their name says, a sentence each. */
export async function verifyPhotos(db: Database, dir: string): Promise<{ photos: number; faults: Text[] }> {
  const rows = await rowsOf<{ hash: string }>(db, 'SELECT hash FROM photos ORDER BY hash', []);
  const faults: Text[] = [];
  for (const { hash } of rows) {
    const fault = await faultOfKept(photoFile(dir, hash), hash, M.photograph);
    if (fault) faults.push(fault);
  }
  return { photos: rows.length, faults };
}
