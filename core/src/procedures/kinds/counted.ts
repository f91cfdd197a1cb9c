import type { Reading } from '../../job/state.ts';

/** Readings of a row `prefix1`, `prefix2`, … in the order they were taken. */
export const rowOf = (taken: readonly Reading[], prefix: string): Reading[] =>
  taken.filter((r) => r.place.startsWith(prefix) && /^\d+$/.test(r.place.slice(prefix.length)));

/** The next number of a row: one past the highest that stands, so that a withdrawn one in between is never met again. */
export const nextCount = (taken: readonly Reading[], prefix: string): number =>
  1 + Math.max(0, ...rowOf(taken, prefix).map((r) => Number(r.place.slice(prefix.length))));
