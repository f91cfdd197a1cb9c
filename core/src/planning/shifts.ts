import { TZDate } from '@date-fns/tz';
import { merged, without } from '../arithmetic/planning/calendar.ts';
import type { Span } from '../arithmetic/planning/network.ts';
import type { Outage } from './outage.ts';

const MINUTE = 60_000;
const DAY = 86_400_000;
/** Work goes on past the wall where it must: so many days are told, so that lateness is told in days, not as “never”. */
const AFTER_DAYS = 21;

/** Minutes from the start of an outage. */
export const minutesFrom = (outage: Pick<Outage, 'startsAt'>, at: string | number): number =>
  ((typeof at === 'number' ? at : Date.parse(at)) - Date.parse(outage.startsAt)) / MINUTE;
/** A moment so many minutes after its start, as events write times. */
export const momentAt = (outage: Pick<Outage, 'startsAt'>, minutes: number): string =>
  new Date(Date.parse(outage.startsAt) + minutes * MINUTE).toISOString();

/** A plan told from another beginning: the same moments. */
export function planFrom(plan: Outage['plan'], was: string, is: string): Outage['plan'] {
  const by = (Date.parse(was) - Date.parse(is)) / MINUTE;
  if (!plan || by === 0) return plan;
  return {
    ...plan,
    end: plan.end + by,
    bound: plan.bound + by,
    placed: plan.placed.map((p) => ({ ...p, start: p.start + by, finish: p.finish + by })),
  };
}

/** A wall clock’s moment in a zone: on the day the clock springs forward an hour that is not there is the next. */
function instant(zone: string, year: number, month: number, day: number, clock: string): number {
  const [h = 0, m = 0] = clock.split(':').map(Number);
  return new TZDate(year, month, day, h, m, zone).getTime();
}

/**
 * When a shift works, in minutes from the start of the outage, breaks cut out, from the first day of the window to three weeks past its
 * wall. Shifts that pass midnight belong to the day they begin on. By the plant’s own clock: on the day it is changed a night shift is an
 * hour shorter or longer.
 */
export function shiftSpans(
  outage: Pick<Outage, 'startsAt' | 'endsAt' | 'shifts'>,
  index: number,
  zone: string,
): Span[] {
  const shift = outage.shifts[index];
  if (!shift) return [];
  const spans: Span[] = [];
  const breaks: Span[] = [];
  const from = Date.parse(outage.startsAt);
  const days = Math.ceil((Date.parse(outage.endsAt) - from) / DAY) + AFTER_DAYS;
  const first = new TZDate(from, zone);
  for (let d = -1; d <= days; d++) {
    const day = new TZDate(first.getFullYear(), first.getMonth(), first.getDate() + d, 12, 0, zone);
    const [y, m, date] = [day.getFullYear(), day.getMonth(), day.getDate()];
    if (!shift.days.includes(day.getDay() === 0 ? 7 : day.getDay())) continue;
    const over = (clock: string) => (clock <= shift.from ? 1 : 0);
    const at = (clock: string, next: number) => minutesFrom(outage, instant(zone, y, m, date + next, clock));
    const begins = at(shift.from, 0);
    spans.push([begins, at(shift.to, over(shift.to))]);
    for (const b of shift.breaks)
      breaks.push([at(b.from, b.from < shift.from ? 1 : 0), at(b.to, b.to < shift.from ? 1 : 0)]);
  }
  return without(merged(spans), breaks).flatMap(([f, t]): Span[] => (t <= 0 ? [] : [[Math.max(0, f), t]]));
}
