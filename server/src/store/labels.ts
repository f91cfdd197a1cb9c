import { randomInt } from 'node:crypto';

/** Letters and digits nobody takes for another. */
const LETTERS = 'ACDEFGHJKMNPQRTVWXY23456789';
/** A new label: six letters, one of half a milliard. */
export const newLabel = (): string =>
  Array.from({ length: 6 }, () => LETTERS[randomInt(LETTERS.length)]).join('');

/** Is this what stands on a label, typed or scanned, alone or in a link? @returns the label, or null */
export function labelIn(text: string): string | null {
  const m = /^(?:.*\/p\/)?([A-HJ-KM-NP-TV-Z2-9]{6})\/?$/i.exec(text.trim());
  return m?.[1]?.toUpperCase() ?? null;
}
