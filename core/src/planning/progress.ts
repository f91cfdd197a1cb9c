import type { JobState, Stamp } from '../engine/state.ts';
import { procedureFor } from '../engine/trades.ts';
import type { Progress } from './outage.ts';

/**
 * How far a job has come, by step: by what stands in it now. What was opened again and not touched since is all to be done anew, whatever
 * was entered there before; a step closed only for now, by what was opened before it, stands as it was passed.
 */
export function progressOf(state: JobState): Progress {
  const out: Progress = {};
  const kinds = new Map(procedureFor(state.setup).steps.map((s) => [s.id, s]));
  const entries = [...state.readings, ...state.answers, ...state.ticks, ...state.passes];
  let latest: Stamp | null = null;
  for (const s of state.steps) {
    const again = kinds.get(s.id)?.again ?? false;
    const mine = entries.filter((x) => x.step === s.id);
    // After a dismounting what was read before it counts no more at the steps that begin afresh.
    const now = mine
      .filter((x) => !again || x.attempt === state.attempt)
      .sort((a, b) => a.at.localeCompare(b.at));
    const [first, last] = [now[0], now.at(-1)];
    const done = s.status === 'done' || s.kept === true;
    if (first && last) {
      out[s.id] = { first: first.at, last: last.at, done, by: last.author.name };
      if (!latest || latest.at < last.at) latest = last;
    } else if (done) {
      // Only read through: done with what stands before it.
      const by = latest ?? state.opened;
      out[s.id] = { first: by.at, last: by.at, done: true, by: by.author.name };
    } else if (mine.length > 0 || state.past.some((p) => p.step === s.id)) out[s.id] = 'again';
  }
  return out;
}
