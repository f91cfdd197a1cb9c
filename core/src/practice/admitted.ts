import type { JobEvent } from '../engine/events.ts';
import type { Rig } from '../engine/rig.ts';
import type { JobState } from '../engine/state.ts';
import { take } from '../engine/take.ts';

/**
 * What is written at a bench is held to the same rules as a record: why some of it could not have been, as a sentence; null where all of it
 * could. A bench has its own setup, and is never signed.
 */
export function admitted(rig: Rig, events: readonly JobEvent[]): string | null {
  let state: JobState | null = null;
  for (const e of events) {
    if (e.type === 'sheet.signed') return 'Practice cannot be signed.';
    if (e.type === 'job.opened' && e.data.setup.position !== rig.setup.position)
      return 'That is the sheet of another bench.';
    const taken = take(state, e);
    if ('refusal' in taken) return taken.refusal;
    state = taken.state;
  }
  return null;
}
