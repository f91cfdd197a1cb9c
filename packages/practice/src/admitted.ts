import { type EventType, type JobEvent, type JobState, type Rig, take } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { M } from './messages.ts';

/** What is written at a bench. Nothing that makes a record of it, sends pictures, or lays the bench out otherwise. */
const WRITTEN: readonly EventType[] = [
  'job.opened',
  'gate.answered',
  'reading.taken',
  'reading.withdrawn',
  'measure.repeated',
  'bolt.tightened',
  'bolts.loosened',
  'act.done',
  'deviation.accepted',
  'step.passed',
  'note.added',
];

/** Why something is not done at a practice bench, as a sentence; null where it is. */
export function notAtABench(type: EventType): Text | null {
  if (WRITTEN.includes(type)) return null;
  return type === 'sheet.signed' ? M.practiceNeverSignedSayWhat : M.notDonePracticeBenchNo;
}

/**
 * What is written at a bench is held to the same rules as a record: why some of it could not have been, as a sentence; null where all of it
 * could. A bench has its own setup, as it was sent to the page, and keeps it.
 */
export function admitted(rig: Rig, events: readonly JobEvent[]): Text | null {
  let state: JobState | null = null;
  for (const e of events) {
    const odd = notAtABench(e.type);
    if (odd !== null) return odd;
    if (e.type === 'job.opened' && JSON.stringify(e.data.setup) !== JSON.stringify(rig.setup))
      return M.sheetAnotherBench;
    const taken = take(state, e);
    if ('refusal' in taken) return taken.refusal;
    state = taken.state;
  }
  return null;
}
