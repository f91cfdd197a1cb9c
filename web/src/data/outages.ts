import type { ShaftCardBody } from '@fulcrant/core/api';
import type { Setup } from '@fulcrant/core/job';
import type { Duration, Outage, OutageLine, OutageTold, Progress } from '@fulcrant/core/outage';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';

export type OutageKnown = {
  told: OutageTold;
  setups: Record<string, Setup>;
  progress: Record<string, Progress>;
  /** Signed or cancelled. */
  ended: Record<string, boolean>;
  durations: Record<string, Record<string, Duration>>;
  shafts: ShaftCardBody[];
  /** Rows of the kit that lie ready, and who laid each out. */
  laid: Record<string, string>;
  zone: string;
  /** When the server told it. */
  at: string;
};

export const useOutages = () =>
  useQuery({
    queryKey: ['outages'],
    queryFn: async () => (await readThrough<{ outages: OutageLine[] }>('/api/outages')).outages,
    staleTime: 30_000,
  });

/** An outage and what is known of its jobs; asked again as the sheets go on. */
export const useOutage = (id: string) =>
  useQuery({
    queryKey: ['outage', id],
    queryFn: () => readThrough<OutageKnown>(`/api/outages/${id}`),
    refetchInterval: 20_000,
  });

export const newOutage = (outage: Outage): Promise<{ told: OutageTold }> =>
  call('POST', '/api/outages', outage);
/** Keep it as the version after the one it was made from. @throws ApiFault where somebody else was first */
export const changeOutage = (id: string, after: number, outage: Outage): Promise<{ told: OutageTold }> =>
  call('POST', `/api/outages/${id}`, { after, outage });
/** A row of the kit lies ready, or does no more. */
export const layOut = (id: string, row: string, laid: boolean): Promise<{ laid: Record<string, string> }> =>
  call('POST', `/api/outages/${id}/laid`, { row, laid });
