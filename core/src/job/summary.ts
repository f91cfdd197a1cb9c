import { isRunning } from '../engine/running.ts';
import type { Due } from '../engine/slots.ts';
import { stampsOf } from '../engine/stamps.ts';
import type { JobState, Stamp, StepStatus } from '../engine/state.ts';
import { procedureFor, tradeOf } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { listOf } from '../message/message.ts';
import { fallsDue } from '../sheet/due.ts';
import { M } from './messages.ts';

/** The form of a job's line; a stored line of another form is made anew. */
export const SUMMARY_VERSION = 5;

export type RailMark = {
  id: string;
  title: Text;
  status: StepStatus;
  hold: 'holding' | 'ahead' | 'released' | null;
  loop: boolean;
  /** Passed already, and closed only by what was opened again before it. */
  kept?: true;
  /** Why it was opened again, where it was and is not passed since. */
  reopened?: Text;
};

/** A job in one line: what the shift board shows. */
export type JobSummary = {
  machine: string;
  position: string;
  /** The trade, and of a bearing job which bearing. */
  kind: string;
  role: 'fixed' | 'float' | null;
  rail: RailMark[];
  present: string | null;
  /** The next act, in words. */
  act: Text;
  /** What holds the job now, and why; null when it can go on. */
  held: Text | null;
  /** Gravest verdict at the present step. */
  verdict: JobState['steps'][number]['verdict'];
  attempt: number;
  readings: number;
  signedBy: string | null;
  /** When the next reading of the present step is due; null where it keeps no times. */
  dueAt: string | null;
  /** What falls due on it, signed or not. */
  falls: Due[];
  /** Only a lead hand can move it on: a hold, or a stop that may be accepted. */
  waitsForLead: boolean;
  /** When something was last done to it. */
  lastAt: string;
  /** Who has worked on it, by id. */
  hands: string[];
};

/** When the last of them was done; times are written so that they stand in order as texts. */
function lastOf(acts: readonly Stamp[], first: string): string {
  let last = first;
  for (const { at } of acts) if (at > last) last = at;
  return last;
}

/** The line of a job for the board, from its state. */
export function summarise(state: JobState): JobSummary {
  const trade = tradeOf(state.setup);
  const loops = procedureFor(state.setup).steps.filter((x) => x.loop);
  const present = state.steps.find((s) => s.id === state.present) ?? null;
  const pinned = present?.hold && !present.hold.released ? present.hold : null;
  const stop = present?.blocking.find((f) => f.verdict === 'reject') ?? null;
  const asked = present?.blocking.find(
    (f) => f.acceptable && (f.verdict === 'reject' || f.verdict === 'too-close'),
  );
  const acts = stampsOf(state);
  return {
    machine: state.setup.machine,
    position: state.setup.position,
    kind: trade.id,
    role: trade.slots.role?.(state.setup) ?? null,
    rail: state.steps.map((s) => ({
      id: s.id,
      title: s.title,
      status: s.status,
      hold: !s.hold ? null : s.hold.released ? 'released' : s.id === state.present ? 'holding' : 'ahead',
      loop: loops.some((x) => x.id === s.id),
      ...(s.kept ? { kept: s.kept } : {}),
      ...(s.reopened ? { reopened: s.reopened.because } : {}),
    })),
    present: state.present,
    act: state.cancelled
      ? M.cancelled({ name: state.cancelled.author.name, reason: state.cancelled.reason })
      : state.signed
        ? COMMON.signed2({ name: state.signed.name })
        : listOf([...(isRunning(state) ? [M.runningChecksCome] : []), present?.report?.act ?? ''], ''),
    held: state.cancelled ? null : pinned ? pinned.reason : stop ? stop.reason : null,
    verdict: state.signed || state.cancelled ? 'accept' : (present?.verdict ?? 'accept'),
    attempt: state.attempt,
    readings: state.readings.length,
    signedBy: state.signed?.name ?? null,
    dueAt: state.signed || state.cancelled ? null : (present?.report?.dueAt ?? null),
    falls: state.cancelled ? [] : fallsDue(state),
    waitsForLead: !state.signed && !state.cancelled && (pinned !== null || asked !== undefined),
    lastAt: lastOf(acts, state.opened.at),
    hands: [...new Set(acts.map((s) => s.author.id))],
  };
}
