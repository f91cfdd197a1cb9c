import type { JobEvent } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { type DBSchema, deleteDB, type IDBPDatabase, openDB } from 'idb';

/** An event waiting to be sent, in the order it happened here. */
export type Waiting = { n: number; event: JobEvent };
/** An event the server refused, kept with its reason until somebody deals with it. */
export type SetAside = { event: JobEvent; reason: Text };

/** An event the server has said it has, and when: kept a while, since a server can be set back to what it was last night. */
export type Sent = Waiting & { sentAt: number };

interface Shelf extends DBSchema {
  queue: { key: number; value: Waiting };
  sent: { key: number; value: Sent };
  aside: { key: string; value: SetAside };
  cache: { key: string; value: unknown };
  photos: { key: string; value: KeptPhoto };
}

/** A photograph taken here; `sentAt` where the server has it. */
export type KeptPhoto = { hash: string; bytes: ArrayBuffer; sentAt?: number };

let opened: Promise<IDBPDatabase<Shelf>> | null = null;

/** What this device keeps for itself: readings not yet sent, refused ones, and copies for work without network. */
function shelf(): Promise<IDBPDatabase<Shelf>> {
  opened ??= openDB<Shelf>('fulcrant', 3, {
    upgrade(db, before) {
      if (before < 1) {
        db.createObjectStore('queue', { keyPath: 'n', autoIncrement: true });
        db.createObjectStore('aside', { keyPath: 'event.id' });
        db.createObjectStore('cache');
      }
      if (before < 2) db.createObjectStore('photos', { keyPath: 'hash' });
      if (before < 3) db.createObjectStore('sent', { keyPath: 'n' });
    },
    // A page of a later release wants to lay out the shelf anew: this one lets go of it, or that one would wait for ever.
    blocking(_now, _then, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    terminated() {
      opened = null;
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

/** Forget everything this device keeps: of a demo that was laid anew, nothing of before is sent again. */
export async function forgetDevice(): Promise<void> {
  (await opened)?.close();
  opened = null;
  await deleteDB('fulcrant');
  for (const key of Object.keys(localStorage)) if (key.startsWith('fulcrant.')) localStorage.removeItem(key);
}

export const allWaiting = async (): Promise<Waiting[]> => (await shelf()).getAll('queue');
export const allAside = async (): Promise<SetAside[]> => (await shelf()).getAll('aside');

/** The server has it: it need not wait here any more, and is kept among what was sent. */
export async function putSent(waiting: Waiting, sentAt: number): Promise<void> {
  const tx = (await shelf()).transaction(['queue', 'sent'], 'readwrite');
  await tx.objectStore('sent').put({ ...waiting, sentAt });
  await tx.objectStore('queue').delete(waiting.n);
  await tx.done;
}

/** What was sent, oldest first, without what is older than `since` or more than `most`: that is forgotten. */
export async function allSent(since: number, most: number): Promise<Sent[]> {
  const db = await shelf();
  const sent = await db.getAll('sent');
  const kept = sent.filter((s) => s.sentAt >= since).slice(-most);
  for (const s of sent) if (!kept.includes(s)) await db.delete('sent', s.n);
  return kept;
}

/** The server has lost it: it waits again, in its old place before all that came after. */
export async function sendAgain(lost: readonly Sent[]): Promise<void> {
  const tx = (await shelf()).transaction(['queue', 'sent'], 'readwrite', { durability: 'strict' });
  for (const { n, event } of lost) {
    await tx.objectStore('queue').put({ n, event });
    await tx.objectStore('sent').delete(n);
  }
  await tx.done;
}

/** Move a refused event out of the queue in one transaction, so that it is always in one place or the other. */
export async function setAside(waiting: Waiting, reason: Text): Promise<void> {
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

/** The server has a photograph (`sentAt`), or has lost it again (none). */
export async function markPhoto(hash: string, sentAt: number | undefined): Promise<void> {
  const tx = (await shelf()).transaction('photos', 'readwrite');
  const kept = await tx.store.get(hash);
  if (kept) await tx.store.put({ hash, bytes: kept.bytes, ...(sentAt === undefined ? {} : { sentAt }) });
  await tx.done;
}

export async function dropPhoto(hash: string): Promise<void> {
  await (await shelf()).delete('photos', hash);
}
