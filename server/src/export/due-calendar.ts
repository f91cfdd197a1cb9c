import type { FitUpSheet, GreaseWatchValues, RunInStepValues } from '@fulcrant/core';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const stamp = (ms: number): DateArray => {
  const d = new Date(ms);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};
const HOUR_MS = 3_600_000;
/** Steps that keep times of their own, and what is due in them. */
const TIMED = [
  ['proof', 'Read the seal’s leakage and warmth'],
  ['breakin', 'Count the packing’s drops'],
  ['wear', 'Measure the seal’s wear'],
] as const;

/**
 * What falls due after a job, for the plant's calendar: the next reading of the first hours, of a seal's proof or wear, of a
 * break-in; the next regreasing.
 * @returns the calendar file's text; null where nothing is due
 */
export function dueCalendar(sheet: FitUpSheet): string | null {
  const values = <T>(id: string) => (sheet.steps.find((s) => s.id === id)?.values ?? null) as T | null;
  const { machine, position } = sheet.title;
  const signed = sheet.signature !== null;
  const due: Array<{ what: string; at: number; minutes: number }> = [];
  const runIn = values<RunInStepValues>('runin');
  if (runIn?.dueAt && !signed)
    due.push({ what: 'Read the bearing’s temperature', at: Date.parse(runIn.dueAt), minutes: 15 });
  for (const [id, what] of TIMED) {
    const dueAt = values<{ dueAt?: string | null }>(id)?.dueAt;
    if (dueAt && !signed) due.push({ what, at: Date.parse(dueAt), minutes: 15 });
  }
  const watch = values<GreaseWatchValues>('watch');
  if (watch?.intervalHours != null && watch.points.length > 0) {
    const from = Date.parse(watch.points.at(-1)?.at ?? '');
    due.push({ what: 'Regrease', at: from + watch.intervalHours * HOUR_MS, minutes: 30 });
  }
  if (due.length === 0) return null;
  const events: EventAttributes[] = due.map((d) => ({
    uid: `${sheet.jobId}-${d.what.slice(0, 4).toLowerCase()}@fulcrant`,
    title: `${d.what}: ${machine}, ${position}`,
    description: `From sheet ${sheet.number ?? ''}.`,
    start: stamp(d.at),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes: d.minutes },
    productId: 'fulcrant',
  }));
  const made = createEvents(events);
  if (made.error || made.value === undefined)
    throw made.error ?? new Error('The calendar could not be written.');
  return made.value;
}
