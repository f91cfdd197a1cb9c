import { fieldsOf } from './asked.ts';
import type { JobEventOf } from './events.ts';
import { M } from './messages.ts';
import { find, type Refusal } from './refusal.ts';
import type { JobState } from './state.ts';
import { procedureFor, sameTrade, tradeOf } from './trades.ts';

/** A lead hand is asked to release a step of this job: a hold at one that is not there would be no hold. */
export function refuseOpening(e: JobEventOf<'job.opened'>): Refusal {
  const { setup } = e.data;
  const { steps } = procedureFor(setup);
  const away = setup.holdBefore.find((h) => !steps.some((s) => s.id === h));
  if (away === undefined) return null;
  const field = fieldsOf(tradeOf(setup).schema).find((f) => f.name === 'holdBefore');
  const called = field?.options?.find(([id]) => id === away)?.[1] ?? away;
  return M.jobHasNoStepLead({ called });
}

/** A job keeps its kind, and a hold, planned or put in, leaves only by a lead hand, whichever field would take its step away. */
export function refuseChange(state: JobState, e: JobEventOf<'setup.changed'>): Refusal {
  if (!sameTrade(e.data.setup, state.setup)) return M.jobKeepsKindOpenAnother;
  const kept = e.data.setup.holdBefore as readonly string[];
  const { steps } = procedureFor(e.data.setup);
  const lost = state.holds.find(
    (h) =>
      !h.released &&
      find(state, h.step) !== undefined &&
      ((h.planned && !kept.includes(h.step)) || !steps.some((s) => s.id === h.step)),
  );
  return lost && e.author.role !== 'lead'
    ? M.holdPointBeforeLeavesOnly({ title: find(state, lost.step)?.title ?? lost.step })
    : null;
}

/** A change is looked at by somebody who did not make it. */
export function refuseLook(state: JobState, e: JobEventOf<'change.seen'>): Refusal {
  const change = state.setupChanges.find((c) => c.id === e.data.change);
  if (!change) return M.thereNoSuchChangeSetup;
  if (change.seen) return M.hasLookedAlready({ name: change.seen.author.name });
  return change.author.id === e.author.id ? M.youMadeChangeSomebodyElse : null;
}
