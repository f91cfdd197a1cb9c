import { apply, type JobEvent, type JobState, reduce, take } from '@fulcrant/core/job';

/** Events to a state; null while there is none. What waits on this device and could not be taken is left out, not torn on. */
export function stateFrom(stored: readonly JobEvent[], waiting: readonly JobEvent[] = []): JobState | null {
  return waiting.reduce<JobState | null>((state, e) => laid(state, e), reduce(stored));
}

function laid(state: JobState | null, e: JobEvent): JobState | null {
  const then = take(state, e);
  return 'refusal' in then ? state : then.state;
}

/** A run of events and what they fold to. */
type Folded = { events: readonly JobEvent[]; state: JobState | null };
const NONE: Folded = { events: [], state: null };

const same = (a: JobEvent | undefined, b: JobEvent): boolean =>
  a !== undefined && a.id === b.id && a.stored?.at === b.stored?.at;
const begins = (all: readonly JobEvent[], with_: readonly JobEvent[]): boolean =>
  with_.every((e, i) => same(all[i], e));

/** Laid on from where an earlier fold stands, if these events begin with its own; from the beginning otherwise. */
function goOn(from: Folded, events: readonly JobEvent[]): Folded {
  if (from.events.length === 0 || !begins(events, from.events)) return { events, state: reduce(events) };
  return {
    events,
    state: events.slice(from.events.length).reduce<JobState | null>((s, e) => apply(s, e), from.state),
  };
}

/**
 * A folder of one job's events that goes on from what it folded last: where only events have come, only they are laid on. The same
 * events give the same state, the same object too, so it may be asked at any time, and an entry that leaves the queue for the server
 * changes nothing until the server's own time for it is known.
 */
export function folder(): (stored: readonly JobEvent[], waiting: readonly JobEvent[]) => JobState | null {
  // What the server has stamped never changes again; what was only sent is stamped a moment later.
  let stamped = NONE;
  let last = NONE;
  let refused = false;
  return (stored, waiting) => {
    const all = [...stored, ...waiting];
    const sure = stored.findIndex((e) => !e.stored);
    stamped = goOn(stamped, sure < 0 ? stored : stored.slice(0, sure));
    const goes = !refused && begins(all, last.events);
    const from = goes && last.events.length >= stored.length ? last : goOn(goes ? last : stamped, stored);
    refused = false;
    let state = from.state;
    for (const e of all.slice(from.events.length)) {
      const then = laid(state, e);
      if (then === state) refused = true;
      state = then;
    }
    last = { events: all, state };
    return state;
  };
}
