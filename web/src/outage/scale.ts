import { COMMON } from '@fulcrant/core/messages';
import type { Span } from '@fulcrant/core/outage';
import { M } from './messages.ts';

export const ZOOMS = [
  ['shift', M.shift],
  ['day', M.day],
  ['outage', COMMON.outage],
] as const;
export type Zoom = (typeof ZOOMS)[number][0];

/** Points a minute, so that so much of an outage fills a board so wide. */
export function scaleOf(zoom: Zoom, wide: number, minutes: number): number {
  const shown = { shift: 9 * 60, day: 26 * 60, outage: minutes * 1.04 }[zoom];
  return Math.max(0.02, wide / shown);
}

/** A step of minutes a drag or a key moves a piece by. */
export const STEP = 15;
/** Where a piece dropped at so many minutes is taken to be meant: on the quarter. */
export const onQuarter = (minutes: number): number => Math.round(minutes / STEP) * STEP;

/** Ticks of the tape: hours where there is room for them, else shifts of six, else days. */
export function tickEvery(perMinute: number): number {
  for (const step of [60, 180, 360, 720, 1440]) if (step * perMinute >= 44) return step;
  return 2880;
}

/** Is a moment within spans? */
export const inSpans = (spans: readonly Span[], at: number): boolean =>
  spans.some(([f, t]) => f <= at && at < t);
