/** A moment that is in the calendar, in a year a machine here may be worked in. */
export function isMoment(text: string): boolean {
  const at = new Date(text);
  if (Number.isNaN(at.getTime()) || at.toISOString().slice(0, 19) !== text.slice(0, 19)) return false;
  return at.getUTCFullYear() >= 2000 && at.getUTCFullYear() < 2100;
}

/** A day that is in the calendar, as 2026-01-31. */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(text) && isMoment(`${text}T00:00:00Z`);
