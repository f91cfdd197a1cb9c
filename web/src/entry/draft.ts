/** Half-typed text of a place, kept on the device so that it outlives a reload; apart for each job. */
export const draftKey = (job: string, place: string): string => `fulcrant.draft.${job}.${place}`;

export const readDraft = (key: string): string => localStorage.getItem(key) ?? '';

/** Keep what is typed; an empty field keeps nothing. */
export function keepDraft(key: string, text: string): void {
  if (text === '') localStorage.removeItem(key);
  else localStorage.setItem(key, text);
}

/** The reading is kept: its draft goes, unless more was typed since. */
export function dropDraft(key: string, kept: string): void {
  if (localStorage.getItem(key) === kept) localStorage.removeItem(key);
}
