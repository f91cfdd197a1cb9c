import type { Outage } from '@fulcrant/core/outage';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef } from 'react';
import { type Faults, faultsOf } from '../data/asked.ts';
import { changeOutage, type OutageKnown } from '../data/outages.ts';
import { useLatest } from '../ui/use-latest.ts';

/**
 * Keep an outage changed: it stands on the screen at once and goes to the server in turn, each change upon the version the one before it
 * made, so that a hand may go on without waiting. One that is refused takes those behind it along: they were made upon it.
 */
export function useKeep(known: OutageKnown) {
  const client = useQueryClient();
  const latest = useLatest(known);
  const line = useRef<Promise<unknown>>(Promise.resolve());
  const waiting = useRef(0);
  /** The newest version that is known of which outage: by what was kept here, or by what the server told. */
  const newest = useRef({ id: known.told.id, version: known.told.version });
  const failed = useRef<Faults | null>(null);
  return useCallback(
    /** @param after the version it was made from, where that is not what stands */
    (next: Outage, after?: number): Promise<Faults | null> => {
      const { id, version } = latest.current.told;
      const queryKey = ['outage', id];
      if (waiting.current === 0) {
        // What was just kept is newer than what has been told since: the answer to it may still be on its way.
        const own = newest.current.id === id ? newest.current.version : 0;
        newest.current = { id, version: Math.max(own, version) };
        failed.current = null;
      }
      waiting.current += 1;
      void client.cancelQueries({ queryKey });
      client.setQueryData<OutageKnown>(queryKey, (k) => k && { ...k, told: { ...k.told, outage: next } });
      const turn = line.current.then(async () => {
        if (!failed.current) {
          try {
            const { told } = await changeOutage(id, after ?? newest.current.version, next);
            newest.current = { id, version: told.version };
          } catch (error) {
            failed.current = faultsOf(error);
          }
        }
        const told = failed.current;
        waiting.current -= 1;
        if (waiting.current === 0) await client.invalidateQueries({ queryKey });
        return told;
      });
      line.current = turn;
      return turn;
    },
    [client, latest],
  );
}
