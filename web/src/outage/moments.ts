import { TZDate } from '@date-fns/tz';
import { whenIn } from '@fulcrant/core/sheet';

/** A moment as its zone writes it in a field. */
export const fieldOf = (at: string, zone: string): string => whenIn(zone)(at).replace(' ', 'T');

/** What stands in such a field, as events write times; null where it is no moment. */
export function momentOf(field: string, zone: string): string | null {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(field);
  if (!m) return null;
  const [y = 0, mo = 1, d = 1, h = 0, mi = 0] = m.slice(1).map(Number);
  return new Date(new TZDate(y, mo - 1, d, h, mi, zone).getTime()).toISOString();
}
