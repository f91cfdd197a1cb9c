import type { Text } from '../message/message.ts';
import type { JobEvent } from './events.ts';
import { M } from './messages.ts';
import type { JobState, StepState } from './state.ts';

const presentOf = (state: JobState): StepState | undefined => state.steps.find((s) => s.id === state.present);

/** The checks still to come where the sheet may be signed as running: the machine runs, and nothing else is open. */
export function checksLeft(state: JobState): NonNullable<NonNullable<StepState['report']>['toCome']> {
  const step = presentOf(state);
  const toCome = step?.report?.toCome ?? [];
  const onlyDue = step?.blocking.every((f) => f.verdict === 'incomplete' && f.params.due === true) ?? false;
  const held = step?.hold !== undefined && !step.hold.released;
  return onlyDue && !held && !state.signed && !state.cancelled ? [...toCome] : [];
}

/**
 * Is the sheet signed as running, and does nothing speak against it? A stop at its checks opens it again by itself: what was signed
 * stays as revision 1, and the work goes on.
 */
export const isRunning = (state: JobState): boolean =>
  state.running !== null &&
  !state.signed &&
  !(presentOf(state)?.blocking.some((f) => f.verdict === 'reject') ?? false);

/** What follows on a sheet that is signed as running: its checks, holds, looks and notes. */
export const FOLLOWS_RUNNING: ReadonlyArray<JobEvent['type']> = [
  'reading.taken',
  'reading.withdrawn',
  'gate.answered',
  'step.passed',
  'step.held',
  'step.released',
  'deviation.accepted',
  'change.seen',
  'photo.added',
  'note.added',
  'sheet.signed',
  'sheet.reopened',
];

/** Why an event does not belong to a sheet that is signed as running; null where it does, or where it is not so signed. */
export function refuseWhileRunning(state: JobState, e: JobEvent): Text | null {
  if (!isRunning(state)) return null;
  const away =
    e.type === 'reading.withdrawn' &&
    state.readings.find((r) => r.id === e.data.reading)?.step !== state.present;
  return FOLLOWS_RUNNING.includes(e.type) && !away ? null : M.sheetSignedAsRunningOnly;
}
