import type { Person } from '@fulcrant/core/api';

const BY_PIN = 'fulcrant.by-pin';

/** Was this person's sign-in here by PIN? Then signing asks it again. */
export const signedInByPin = (person: Person | null): boolean =>
  person !== null && localStorage.getItem(BY_PIN) === person.id;

export function keepHow(person: string | null): void {
  if (person === null) localStorage.removeItem(BY_PIN);
  else localStorage.setItem(BY_PIN, person);
}
