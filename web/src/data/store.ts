import type { JobEvent } from '@fulcrant/core/engine/events';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** An event waiting to be sent, in the order it happened here. */
export type Waiting = { n: number; event: JobEvent };
/** An event the server refused, kept with its reason until somebody deals with it. */
export type SetAside = { event: JobEvent; reason: string };

interface Shelf extends DBSchema {
  queue: { key: number; value: Waiting };
  aside: { key: string; value: SetAside };
  cache: { key: string; value: unknown };
  photos: { key: string; value: KeptPhoto };
}

/** A photograph taken here and not with the server yet. */
export type KeptPhoto = { hash: string; bytes: ArrayBuffer };

let opened: Promise<IDBPDatabase<Shelf>> | null = null;

/** What this device keeps for itself: readings not yet sent, refused ones, and copies for work without network. */
function shelf(): Promise<IDBPDatabase<Shelf>> {
  opened ??= openDB<Shelf>('fulcrant', 2, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('queue', { keyPath: 'n', autoIncrement: true });
        db.createObjectStore('aside', { keyPath: 'event.id' });
        db.createObjectStore('cache');
      }
      if (before < 2) db.createObjectStore('photos', { keyPath: 'hash' });
    },
  });
  return opened;
}

/** Put an event in the queue. Only when this has resolved is a reading said to be stored. */
export async function putWaiting(event: JobEvent): Promise<Waiting> {
  const db = await shelf();
  // Strict durability: the reading is on the disk, not in a buffer, when it is acknowledged.
  const tx = db.transaction('queue', 'readwrite', { durability: 'strict' });
  const n = await tx.store.add({ event } as Waiting);
  await tx.done;
  return { n, event };
}

export const allWaiting = async (): Promise<Waiting[]> => (await shelf()).getAll('queue');
export const allAside = async (): Promise<SetAside[]> => (await shelf()).getAll('aside');

/** The server has it: it need not wait here any more. */
export async function dropWaiting(n: number): Promise<void> {
  await (await shelf()).delete('queue', n);
}

/** Move a refused event out of the queue in one transaction, so that it is always in one place or the other. */
export async function setAside(waiting: Waiting, reason: string): Promise<void> {
  const tx = (await shelf()).transaction(['queue', 'aside'], 'readwrite', { durability: 'strict' });
  await tx.objectStore('aside').put({ event: waiting.event, reason });
  await tx.objectStore('queue').delete(waiting.n);
  await tx.done;
}

/** Put a set-aside event back at the end of the queue. */
export async function tryAgain(id: string): Promise<void> {
  const tx = (await shelf()).transaction(['queue', 'aside'], 'readwrite', { durability: 'strict' });
  const kept = await tx.objectStore('aside').get(id);
  if (kept) {
    await tx.objectStore('queue').add({ event: kept.event } as Waiting);
    await tx.objectStore('aside').delete(id);
  }
  await tx.done;
}

/** A set-aside event that has been dealt with: its words are on the sheet as a note. */
export async function dropAside(id: string): Promise<void> {
  await (await shelf()).delete('aside', id);
}

export async function readCached<T>(key: string): Promise<T | undefined> {
  return (await (await shelf()).get('cache', key)) as T | undefined;
}
export async function writeCached(key: string, value: unknown): Promise<void> {
  await (await shelf()).put('cache', value, key);
}

/** Keep a photograph on the disk of this device. Only when this has resolved is it said to be kept. */
export async function putPhoto(photo: KeptPhoto): Promise<void> {
  const tx = (await shelf()).transaction('photos', 'readwrite', { durability: 'strict' });
  await tx.store.put(photo);
  await tx.done;
}
export const allPhotos = async (): Promise<KeptPhoto[]> => (await shelf()).getAll('photos');
export const photoByHash = async (hash: string): Promise<KeptPhoto | undefined> =>
  (await shelf()).get('photos', hash);
export async function dropPhoto(hash: string): Promise<void> {
  await (await shelf()).delete('photos', hash);
}
