import { fieldsOf, valueIn } from './asked.ts';
import type { JobEventOf } from './events.ts';
import { saysOnlyWhatWasAsked } from './here.ts';
import { M } from './messages.ts';
import type { Setup } from './setup.ts';
import type { Facts, Hold, Stamp, StepReport } from './state.ts';
import { type ReportsOn, type Run, struckBy } from './strike.ts';
import { tradeOf } from './trades.ts';

/** What the steps come to: asked for only where a step opens again, or the setup changes. */
export type Judging = {
  /** The reports as they stand before the event, by step. */
  then(): Record<string, StepReport>;
  /** The reports of every step on given facts, whether it was reached or not. */
  on: ReportsOn;
  run: Run;
};

/** A hold as the setup plans it, not released. */
export const planned = (step: string, reason = M.holdPointWaitsLeadHand): Hold => ({
  step,
  planned: true,
  reason,
});

/** Fields that say whose and which the work is, and by what limits it is judged: no place to read, and no question, hangs on them. */
const LIMITS_AND_NAMES = /^(maker\.|schools|partNumber$|machine$|position$|holdBefore$)/;

/** Does a changed setup leave every place and bolt that was asked? */
function placesStay(before: Setup, after: Setup): boolean {
  const said = (setup: Setup, name: string) => JSON.stringify(valueIn(setup, name));
  const names = fieldsOf(tradeOf(after).schema).flatMap((f) => (f.upTo ? [f.name, f.upTo] : [f.name]));
  return names.every((name) => LIMITS_AND_NAMES.test(name) || said(before, name) === said(after, name));
}

/** A changed setup on the facts: what is no longer asked is struck; what was recorded before waits for a second look. */
export function setupChanged(f: Facts, e: JobEventOf<'setup.changed'>, s: Stamp, judging: Judging): Facts {
  const { setup, reason } = e.data;
  // What was asked at its step and is said there judges nothing that was recorded before.
  const says = saysOnlyWhatWasAsked(f.setup, setup);
  const recorded = [
    ...f.readings.filter((r) => !r.withdrawn),
    ...f.answers,
    ...f.ticks.filter((t) => !t.withdrawn),
  ];
  const changed: Facts = {
    ...f,
    setup,
    setupChanges: [
      ...f.setupChanges,
      {
        ...s,
        id: e.id,
        before: f.setup,
        after: setup,
        reason,
        readAt: says ? [] : [...new Set(recorded.map((r) => r.step))],
      },
    ],
  };
  const struck = says
    ? changed
    : struckBy(
        f,
        changed,
        { id: e.id, stamp: s, reason },
        { reportsOn: judging.on, run: judging.run, placesStay: placesStay(f.setup, setup) },
      );
  return { ...struck, holds: holdsBy(struck.holds, setup.holdBefore, s, reason) };
}

/** Holds as a changed setup plans them. One that leaves, by a lead hand, stays on the record as taken out with the change. */
function holdsBy(holds: readonly Hold[], wanted: readonly string[], s: Stamp, reason: string): Hold[] {
  const kept = holds.map((h) =>
    h.planned && !h.released && !wanted.includes(h.step)
      ? { ...h, planned: false, released: { ...s, note: M.takenOutChangeSetup({ reason }) } }
      : h,
  );
  const added = wanted.filter((step) => !kept.some((h) => h.planned && h.step === step));
  return [...kept, ...added.map((step) => planned(step))];
}
