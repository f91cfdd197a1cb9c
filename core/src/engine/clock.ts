import type { Text } from '../message/message.ts';
import type { JobEvent } from './events.ts';
import { M } from './messages.ts';
import type { ClockMark } from './state.ts';

/** Clocks that differ by more than this do not agree, and an entry that waited longer was made without network. Our own choice. */
const AGREE_MS = 120_000;

/**
 * The time an entry counts by. A device's word is taken where its clock agreed with the server's when it sent the entry. An
 * entry sent at once by a clock that is off counts from when the server had it: a fast clock ends no wait. One that waited
 * on the device keeps the device's time, marked, and is never later than the server had it.
 * @param e an event; not yet on the server, it has no `stored` and its own time counts
 * @returns the time, ISO 8601 in UTC, and what is to be said of it where it is not the device's plain word
 */
export function timeOf(e: Pick<JobEvent, 'at' | 'stored'>): { at: string; clock?: ClockMark } {
  if (!e.stored) return { at: e.at };
  const device = Date.parse(e.at);
  const stored = Date.parse(e.stored.at);
  const sent = e.stored.sentAt === undefined ? Math.max(device, stored) : Date.parse(e.stored.sentAt);
  const ahead = sent - stored;
  const offline = (e.stored.sentAt === undefined ? stored : sent) - device > AGREE_MS;
  const off = Math.abs(ahead) > AGREE_MS;
  if (!offline && !off) return { at: e.at };
  return {
    at: offline && device <= stored ? e.at : e.stored.at,
    clock: {
      kind: off ? 'off' : 'offline',
      deviceAt: e.at,
      storedAt: e.stored.at,
      aheadS: Math.round(ahead / 1000),
    },
  };
}

/** A span in the largest unit that says it: “26 hours”, “3 minutes”. */
const span = (s: number): string => {
  const [n, unit] =
    s >= 172_800 ? [s / 86_400, 'day'] : s >= 7200 ? [s / 3600, 'hour'] : [Math.max(1, s / 60), 'minute'];
  const whole = Math.round(n);
  return `${whole} ${unit}${whole === 1 ? '' : 's'}`;
};

/** What is said of a clock on the sheet; `when` writes a moment for people. */
export function sayClock(mark: ClockMark, when: (at: string) => string): Text {
  if (mark.kind === 'earlier') return M.readThenEntered({ when: when(mark.storedAt) });
  if (mark.kind === 'offline') return M.madeWithoutNetworkStored({ when: when(mark.storedAt) });
  return M.devicesClockSaidStored({
    span: span(Math.abs(mark.aheadS)),
    aheadS: mark.aheadS > 0 ? 'ahead' : 'behind',
    when: when(mark.deviceAt),
    when2: when(mark.storedAt),
  });
}
