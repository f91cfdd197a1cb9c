import type { Instrument } from '@fulcrant/core/instruments';
import type { Setup } from '@fulcrant/core/job';
import type { SiteRules } from '@fulcrant/core/judgement';
import { useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { readThrough, Unreachable } from './api.ts';
import { readCached } from './store.ts';

export type StoredPosition = {
  id: string;
  site: string;
  machine: string;
  position: string;
  label: string;
  setup: Setup | null;
};

type FoundPositions = { positions: StoredPosition[]; more: boolean };
const positionsPath = (typed: string) => `/api/positions?limit=20&q=${encodeURIComponent(typed)}`;
const holds = (p: StoredPosition, typed: string): boolean =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .every((w) => `${p.machine} ${p.position}`.toLowerCase().includes(w));

/** Positions by what was typed: every word somewhere in machine or place. `more` where the list is cut. */
export function usePositions(typed: string, { enabled = true } = {}) {
  return useQuery({
    enabled,
    queryKey: ['positions', typed],
    queryFn: async (): Promise<FoundPositions> => {
      try {
        return await readThrough<FoundPositions>(positionsPath(typed));
      } catch (error) {
        if (!(error instanceof Unreachable)) throw error;
        // Without the server: among those this device has been shown.
        const known = await readCached<FoundPositions>(positionsPath(''));
        if (!known) throw error;
        return { positions: known.positions.filter((p) => holds(p, typed)), more: known.more };
      }
    },
    staleTime: 30_000,
    // What was found before is narrowed at once: the list does not move under a finger when the answer comes.
    placeholderData: (before) =>
      before && { ...before, positions: before.positions.filter((p) => holds(p, typed)) },
  });
}

/** Gauges that lie at a practice bench: there no other is in hand. Null at a machine. */
export const GaugesHere = createContext<Instrument[] | null>(null);

export function useInstruments() {
  const here = useContext(GaugesHere);
  const register = useQuery({
    queryKey: ['instruments'],
    queryFn: () => readThrough<{ instruments: Instrument[]; outOfUse?: Instrument[] }>('/api/instruments'),
    staleTime: 60_000,
    enabled: here === null,
  });
  return here
    ? { data: { instruments: here, outOfUse: [] as Instrument[] }, isLoading: false, bench: true }
    : { data: register.data, isLoading: register.isLoading, bench: false };
}

/** The plant's house rules, and who set them last. */
export function useHouseRules({ enabled = true } = {}) {
  return useQuery({
    enabled,
    queryKey: ['house-rules'],
    queryFn: () =>
      readThrough<{ rules: SiteRules; set: { by: string; at: string } | null }>('/api/house-rules'),
    staleTime: 30_000,
  });
}
