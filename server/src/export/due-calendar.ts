import type { FitUpSheet } from '@fulcrant/core/sheet/form';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const stamp = (ms: number): DateArray => {
  const d = new Date(ms);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};
/**
 * What falls due after a job, for the plant's calendar.
 * @returns the calendar file's text; null where nothing is due
 */
export function dueCalendar(sheet: FitUpSheet): string | null {
  const { machine, position } = sheet.title;
  const { due } = sheet;
  if (due.length === 0) return null;
  const events: EventAttributes[] = due.map((d) => ({
    uid: `${sheet.jobId}-${d.what.slice(0, 4).toLowerCase()}@fulcrant`,
    title: `${d.what}: ${machine}, ${position}`,
    description: `From sheet ${sheet.number ?? ''}.`,
    start: stamp(Date.parse(d.at)),
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
