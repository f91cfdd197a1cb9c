/** Days and times as a sheet writes them, in the plant's own zone: `2026-11-26 14:03`. An unknown zone is UTC. */
export function whenIn(zone: string): (at: string) => string {
  const format = formatIn(zone);
  return (at) => {
    const ms = Date.parse(at);
    return Number.isNaN(ms) ? at : format.format(ms).replace(', ', ' ');
  };
}

/** A time of a sheet after another one of it: its day only where it is another one. */
export const timeAfter = (from: string, to: string): string =>
  to.slice(0, 10) === from.slice(0, 10) ? to.slice(11) : to;

/** A day of the week and a time in a zone, as a shift says it: `Sat 28, 06:04`. An unknown zone is UTC. */
export function shiftTimeIn(zone: string): (at: string) => string {
  const parts = {
    weekday: 'short',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  } as const;
  const make = (timeZone: string) => new Intl.DateTimeFormat('en-GB', { ...parts, timeZone });
  let format: Intl.DateTimeFormat;
  try {
    format = make(zone);
  } catch {
    format = make('UTC');
  }
  return (at) => {
    const of = Object.fromEntries(format.formatToParts(Date.parse(at)).map((p) => [p.type, p.value]));
    return `${of.weekday} ${of.day}, ${of.hour}:${of.minute}`;
  };
}

function formatIn(zone: string): Intl.DateTimeFormat {
  const parts = {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  } as const;
  try {
    // Swedish writes dates as ISO 8601 does.
    return new Intl.DateTimeFormat('sv-SE', { ...parts, timeZone: zone });
  } catch {
    return new Intl.DateTimeFormat('sv-SE', { ...parts, timeZone: 'UTC' });
  }
}
