import type { Text } from '../message/message.ts';
import { admit } from './admit.ts';
import type { JobEvent } from './events.ts';
import { apply } from './judge.ts';
import { M } from './messages.ts';
import type { JobState } from './state.ts';
import { unworkable } from './workable.ts';

/**
 * The job with one more event, or why it may not happen, as a sentence. Browser and server both go through here: what may not
 * happen, and what no step could be worked out with, is refused before it is kept.
 * @param state null for a job not yet opened
 */
export function take(state: JobState | null, e: JobEvent): { state: JobState } | { refusal: Text } {
  const refusal = admit(state, e);
  if (refusal !== null) return { refusal };
  const setup = e.type === 'job.opened' || e.type === 'setup.changed' ? e.data.setup : null;
  const cannot = setup ? unworkable(setup) : null;
  if (cannot !== null) return { refusal: cannot };
  const after = apply(state, e);
  if (!after) return { refusal: M.jobNotOpenedYet };
  const broken = after.steps.find(
    (s) => s.report?.failed && !state?.steps.find((b) => b.id === s.id)?.report?.failed,
  );
  return broken
    ? { refusal: M.couldNotWorkedOut({ title: broken.title, failed: broken.report?.failed }) }
    : { state: after };
}
