import type { JobEvent } from '@fulcrant/core/engine/events';
import { apply, reduce } from '@fulcrant/core/engine/judge';
import type { JobState } from '@fulcrant/core/engine/state';
import { take } from '@fulcrant/core/engine/take';

/** Events to a state; null while there is none. What waits on this device and could not be taken is left out, not torn on. */
export function stateFrom(stored: readonly JobEvent[], waiting: readonly JobEvent[] = []): JobState | null {
  return waiting.reduce<JobState | null>((state, e) => laid(state, e), reduce(stored));
}

function laid(state: JobState | null, e: JobEvent): JobState | null {
  const then = take(state, e);
  return 'refusal' in then ? state : then.state;
}

const same = (a: JobEvent | undefined, b: JobEvent): boolean =>
  a !== undefined && a.id === b.id && a.stored?.at === b.stored?.at;

/**
 * A folder of one job's events that goes on from what it folded last: where only events have come, only they are laid on. The same
 * events give the same state, so it may be asked at any time.
 */
export function folder(): (stored: readonly JobEvent[], waiting: readonly JobEvent[]) => JobState | null {
  let last: { stored: readonly JobEvent[]; state: JobState | null } = { stored: [], state: null };
  return (stored, waiting) => {
    const goesOn = last.stored.length > 0 && last.stored.every((e, i) => same(stored[i], e));
    const state: JobState | null = goesOn
      ? stored.slice(last.stored.length).reduce<JobState | null>((s, e) => apply(s, e), last.state)
      : reduce(stored);
    last = { stored, state };
    return waiting.reduce<JobState | null>((s, e) => laid(s, e), state);
  };
}
