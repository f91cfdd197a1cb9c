import type { Person } from '@fulcrant/core/api';
import type { EventType } from '@fulcrant/core/job';

const KEY = 'fulcrant.unconfirmed';

/** Somebody who took over without the server: `as` is who, `heldBy` whose sign-in the server has at this device. */
type Unconfirmed = { as: string; heldBy: string | null };

function kept(): Unconfirmed | null {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') as Unconfirmed | null;
  } catch {
    return null;
  }
}

/**
 * May this be asked of the server now? While somebody is not confirmed the server still answers to the one before: only who is here is
 * settled with it, and entries go that are that one's own.
 */
export const mayAsk = (method: string, path: string): boolean =>
  method === 'GET' || kept() === null || FREE.test(path);
const FREE = /^\/api\/(session|first-visit|password|feed|record\/lacks|jobs\/[^/]+\/events)\b/;

/** Did this person take over by a PIN nobody could check? */
export const isUnconfirmed = (person: Person | null): boolean => person !== null && kept()?.as === person.id;

/** Whose entries may be sent from here: those of whom the server knows. */
export function senderHere(person: Person | null): string | null {
  const found = kept();
  if (!person || found?.as !== person.id) return person?.id ?? null;
  // Under a name the server holds already, what is new could not be told from what is not confirmed.
  return found.heldBy === found.as ? null : found.heldBy;
}

/** Somebody takes over without the server; whose sign-in it holds stays known. */
export function takeOver(as: Person, now: Person | null): void {
  localStorage.setItem(KEY, JSON.stringify({ as: as.id, heldBy: senderHere(now) } satisfies Unconfirmed));
}

/** The server has said who is here. */
export function confirmed(): void {
  localStorage.removeItem(KEY);
}

/** What only somebody the server knows may do: signatures, and what a lead hand answers for. */
const SIGNS: ReadonlySet<EventType> = new Set<EventType>([
  'sheet.signed',
  'sheet.reopened',
  'deviation.accepted',
  'step.released',
  'change.seen',
  'job.cancelled',
]);
export const needsConfirmed = (type: EventType): boolean => SIGNS.has(type);
