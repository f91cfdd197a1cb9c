import type { JobState } from '../../engine/state.ts';
import { tradeOf } from '../../engine/trades.ts';

/**
 * Is this job that of a fixed bearing on a machine, mounted and locked? Where it stands and since when; else why it does not
 * count. What a float on the same shaft waits for.
 */
export function fixedBearingOn(
  job: JobState,
  machine: string,
): { position: string; lockedAt: string } | string {
  const { setup } = job;
  const { fixedAfter: step, role } = tradeOf(setup).slots;
  if (!step || role?.(setup) !== 'fixed') return 'That job mounts no fixed bearing.';
  if (job.cancelled) return 'That job was cancelled: it mounted nothing.';
  if (setup.machine !== machine) return `That job is on another machine, ${setup.machine}.`;
  const done = job.steps.find((s) => s.id === step);
  if (done?.status !== 'done' || !done.passed)
    return `The fixed bearing, ${setup.position}, is not on yet: its job stands at “${job.steps.find((s) => s.id === job.present)?.title ?? 'the start'}”.`;
  return { position: setup.position, lockedAt: done.passed.at };
}
