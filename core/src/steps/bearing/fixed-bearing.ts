import type { JobState } from '../../engine/state.ts';
import { tradeOf } from '../../engine/trades.ts';
import type { Text } from '../../message/message.ts';
import { M } from './messages.ts';

/**
 * Is this job that of a fixed bearing on a machine, mounted and locked? Where it stands and since when; else why it does not
 * count. What a float on the same shaft waits for.
 */
export function fixedBearingOn(
  job: JobState,
  machine: string,
): { position: string; lockedAt: string } | Text {
  const { setup } = job;
  const { fixedAfter: step, role } = tradeOf(setup).slots;
  if (!step || role?.(setup) !== 'fixed') return M.jobMountsNoFixedBearing;
  if (job.cancelled) return M.jobCancelledMountedNothing;
  if (setup.machine !== machine) return M.jobAnotherMachine({ machine: setup.machine });
  const done = job.steps.find((s) => s.id === step);
  if (done?.status !== 'done' || !done.passed)
    return M.fixedBearingNotYetJob({
      position: setup.position,
      title: job.steps.find((s) => s.id === job.present)?.title ?? M.start,
    });
  return { position: setup.position, lockedAt: done.passed.at };
}
