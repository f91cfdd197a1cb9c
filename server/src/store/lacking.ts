import { existsSync } from 'node:fs';
import type { LacksTold } from '@fulcrant/core/api';
import { type Database, rowsOf } from './database.ts';
import { photoFile } from './photos.ts';

/** Of events and photographs by id and hash: those the record has not. A photograph whose file is gone is lacked, too. */
export async function lacking(
  db: Database,
  photoDir: string,
  events: readonly string[],
  photos: readonly string[],
): Promise<LacksTold> {
  const found = async (sql: string, ids: readonly string[]) =>
    new Set(ids.length === 0 ? [] : (await rowsOf<{ id: string }>(db, sql, [[...ids]])).map((r) => r.id));
  const kept = await found('SELECT id FROM events WHERE id IN (?)', events);
  const taken = await found('SELECT hash AS id FROM photos WHERE hash IN (?)', photos);
  return {
    events: events.filter((id) => !kept.has(id)),
    photos: photos.filter((hash) => !taken.has(hash) || !existsSync(photoFile(photoDir, hash))),
  };
}
