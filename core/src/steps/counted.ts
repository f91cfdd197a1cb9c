import type { Reading } from '../engine/state.ts';

const MINUTE_MS = 60_000;
/** How far apart readings that keep times are due, minutes. Common practice, no source. */
export const EVERY_MIN = 15;

/** Readings of a row `prefix1`, `prefix2`, … in the order they were taken. */
export const rowOf = (taken: readonly Reading[], prefix: string): Reading[] =>
  taken.filter((r) => r.place.startsWith(prefix) && /^\d+$/.test(r.place.slice(prefix.length)));

/** The next number of a row: one past the highest that stands, so that a withdrawn one in between is never met again. */
export const nextCount = (taken: readonly Reading[], prefix: string): number =>
  1 + Math.max(0, ...rowOf(taken, prefix).map((r) => Number(r.place.slice(prefix.length))));

/** A temperature in its row, and how long after the start it was read. */
export type TimedReading = { minutes: number; temperatureC: number; at: string };

/**
 * The readings of a row with their times since `begunMs`. A stand-in thermometer's day is short: its readings count as taken
 * when they were due, a quarter of an hour apart from `firstMin` on.
 */
export const timedRow = (
  taken: readonly Reading[],
  prefix: string,
  begunMs: number,
  firstMin: number,
): TimedReading[] =>
  rowOf(taken, prefix).map((r, i) => ({
    minutes: r.instrument.standIn
      ? firstMin + EVERY_MIN * i
      : Math.round((10 * (Date.parse(r.at) - begunMs)) / MINUTE_MS) / 10,
    temperatureC: r.value,
    at: r.at,
  }));

/** A moment so many minutes after another, as events write times. */
export const minutesAfter = (ms: number, minutes: number): string =>
  new Date(ms + minutes * MINUTE_MS).toISOString();
