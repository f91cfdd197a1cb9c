import type { Amount, Arg, Text } from '../message/message.ts';

/**
 * Until messages carried ids, core wrote a quantity into a sentence as a mark such as `⟦L0.035|3⟧`. Events and debriefs stored then
 * still have them; this is the one place that knows how they were written.
 */
const MARK = /⟦([LDTRPCAFKVU])(-?[\d.e+-]+)(?:\|(\d)(?:,(\d))?)?⟧/g;

function amountOf(kind: string, n: number, digits?: string, inches?: string): Amount {
  switch (kind) {
    case 'U':
      return { unitOf: 'length' };
    case 'T':
      return { nm: n };
    case 'R':
      return { um: n };
    case 'P':
      return { mpa: n };
    case 'C':
      return { celsius: n };
    case 'K':
      return { kelvin: n };
    case 'A':
      return { mm2: n };
    case 'V':
      return { mmPerS: n };
    case 'F':
      return { newton: n };
    default:
      return {
        mm: n,
        digits: digits === undefined ? 3 : Number(digits),
        ...(inches === undefined ? {} : { inches: Number(inches) }),
        ...(kind === 'D' ? { bare: true as const } : {}),
      };
  }
}

/** A text as it was stored before: its marks as quantities again. A text without marks is itself. */
export function textOfBefore(stored: string): Text {
  if (!stored.includes('⟦')) return stored;
  const parts: Arg[] = [];
  let at = 0;
  for (const m of stored.matchAll(MARK)) {
    if (m.index > at) parts.push(stored.slice(at, m.index));
    parts.push(amountOf(m[1] ?? '', Number(m[2]), m[3], m[4]));
    at = m.index + m[0].length;
  }
  if (at < stored.length) parts.push(stored.slice(at));
  return { parts, between: '' };
}

/** `textOfBefore` through a whole value: every string in plain JSON. */
export function allOfBefore<T>(value: T): T {
  if (typeof value === 'string') return textOfBefore(value) as T;
  if (Array.isArray(value)) return value.map((v) => allOfBefore(v)) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, allOfBefore(v)])) as T;
  return value;
}
