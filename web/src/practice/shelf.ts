import type { JobEvent } from '@fulcrant/core/job';
import type { Call, Logged } from '@fulcrant/practice';

/** A practice sheet as it is kept on this device: what was written, what was handled, what was made of it. */
export type Kept = {
  events: JobEvent[];
  log: Logged[];
  call: Call | null;
  /** What it is in the practice log, once it is handed in. */
  result: string | null;
};

const SHELF = 'fulcrant.practice.';
/** A device keeps so many sheets: the oldest goes for the next. */
const SHEETS_MOST = 12;

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** Under what a sheet lies: each person’s own, for a tablet goes from hand to hand. */
export const shelfKey = (personId: string, bench: string): string => `${SHELF}${personId}.${bench}`;

/** The sheet as it was left; null where there is none, or none that can be read. */
export function readSheet(store: Store, key: string): Kept | null {
  try {
    const kept: unknown = JSON.parse(store.getItem(key) ?? 'null');
    return isKept(kept) ? kept : null;
  } catch {
    return null;
  }
}

const isKept = (v: unknown): v is Kept =>
  typeof v === 'object' &&
  v !== null &&
  Array.isArray((v as Kept).events) &&
  Array.isArray((v as Kept).log) &&
  'call' in v &&
  'result' in v;

const begunAt = (store: Store, key: string): string => readSheet(store, key)?.events[0]?.at ?? '';

/** Make room for one more: the sheets begun longest ago go, never the one that is asked for. */
export function makeRoom(store: Store, forKey: string): void {
  const keys = Array.from({ length: store.length }, (_, i) => store.key(i) ?? '').filter(
    (k) => k.startsWith(SHELF) && k !== forKey,
  );
  const oldest = keys.sort((a, b) => begunAt(store, a).localeCompare(begunAt(store, b)));
  for (const k of oldest.slice(0, Math.max(0, keys.length - SHEETS_MOST + 1))) store.removeItem(k);
}

/** Put a sheet by. False where the device cannot keep it. */
export function putSheet(store: Store, key: string, kept: Kept): boolean {
  try {
    store.setItem(key, JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
}
