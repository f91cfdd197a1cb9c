import type { DueLine } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { textKey } from '@fulcrant/core/messages';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import { say } from '@fulcrant/core/units';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { M } from './messages.ts';

/** What falls due, as a part of an event’s own name: the same whatever it is called. */
const keyed = (what: Text): string => textKey(what).replace(/\W+/g, '-').toLowerCase();

const stamp = (ms: number): DateArray => {
  const d = new Date(ms);
  return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
};

function written(events: EventAttributes[], name?: Text): string {
  const made = createEvents(events, name ? { calName: say(name, 'mm'), productId: 'fulcrant' } : {});
  if (made.error || !made.value) throw made.error ?? new Error('The calendar could not be written.');
  return made.value;
}

/**
 * What falls due after a job, for the plant's calendar.
 * @returns the calendar file's text; null where nothing is due
 */
export function dueCalendar(sheet: FitUpSheet): string | null {
  const { machine, position } = sheet.title;
  const { due } = sheet;
  if (due.length === 0) return null;
  return written(
    due.map((d) => ({
      uid: `${sheet.jobId}-${keyed(d.what)}@fulcrant`,
      title: `${say(d.what, 'mm')}: ${machine}, ${position}`,
      description: say(M.fromSheet({ number: sheet.number ?? '' }), 'mm'),
      start: stamp(Date.parse(d.at)),
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: d.minutes },
      productId: 'fulcrant',
    })),
  );
}

/** A calendar with nothing in it: createEvents writes none. */
const empty = (name: Text): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:fulcrant',
    `X-WR-CALNAME:${say(name, 'mm')}`,
    'END:VCALENDAR',
    '',
  ].join('\r\n');

/** Everything that falls due, and more where there is more, as one calendar. A calibration is due on a day, a reading at a time. */
export function calendarOf(
  lines: readonly DueLine[],
  name: Text,
  more: readonly EventAttributes[] = [],
): string {
  if (lines.length + more.length === 0) return empty(name);
  const due = lines.map((d): EventAttributes => {
    const day = new Date(d.at);
    const shared = {
      uid: `${d.jobId ?? d.gaugeId}-${keyed(d.what)}@fulcrant`,
      title: d.position
        ? `${say(d.what, 'mm')}: ${d.machine}, ${d.position}`
        : `${say(d.what, 'mm')}: ${d.machine}`,
      ...(d.number ? { description: say(M.fromSheet({ number: d.number }), 'mm') } : {}),
      productId: 'fulcrant',
    };
    return d.gaugeId
      ? {
          ...shared,
          start: [day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()],
          duration: { days: 1 },
        }
      : {
          ...shared,
          start: stamp(day.getTime()),
          startInputType: 'utc',
          startOutputType: 'utc',
          duration: { minutes: d.minutes },
        };
  });
  return written([...due, ...more], name);
}
