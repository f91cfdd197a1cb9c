import type { Outage, OutageTold } from '@fulcrant/core/outage';
import { useState } from 'react';
import { begunFrom, beside, type Draft, isChanged } from './draft.ts';

/** What was changed and not kept is there after a reload of this tab; one that cannot be read is none. */
function readKept(key: string): Draft | null {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? 'null') as Draft | null;
  } catch {
    return null;
  }
}

/** The outage being changed on this device, beside what stands; kept through a change of the part looked at and through a reload. */
export function useOutageDraft(told: OutageTold) {
  const key = `fulcrant.outage.${told.id}`;
  const [held, setHeld] = useState<Draft>(() => readKept(key) ?? begunFrom(told));
  const { draft, theirs } = beside(held, told);
  const hold = (next: Draft) => {
    setHeld(next);
    if (isChanged(next)) sessionStorage.setItem(key, JSON.stringify(next));
    else sessionStorage.removeItem(key);
  };
  return {
    draft: draft.now,
    /** The version it is kept after. */
    base: draft.base,
    changed: isChanged(draft),
    theirs,
    set: (change: Partial<Outage>) => hold({ ...draft, now: { ...draft.now, ...change } }),
    /** Theirs it is: what was changed here is let go. */
    takeTheirs: () => hold(begunFrom(told)),
    /** Mine over theirs: what they changed is seen, and changed back where it differs. */
    keepMine: () => hold({ ...draft, base: told.version, of: told.outage }),
    /** It is kept now as it stands here. */
    kept: (outage: Outage) => hold({ ...draft, of: outage, now: outage }),
  };
}
