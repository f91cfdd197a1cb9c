import type {
  AutopsyTold,
  DueLine,
  PartCard,
  PositionCard,
  RegisterLine,
  ShaftCardBody,
} from '@fulcrant/core/api';
import type { PastJob } from '@fulcrant/core/history';
import type { Setup } from '@fulcrant/core/job';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';

export type PositionTold = {
  card: PositionCard;
  past: PastJob[];
  /** The setup of the newest job of each kind of work. */
  setups: Record<string, Setup>;
  shafts: Array<ShaftCardBody & { version: number }>;
  autopsies: AutopsyTold[];
};

export const useRegister = (typed: string) =>
  useQuery({
    queryKey: ['register', typed],
    queryFn: () =>
      readThrough<{ positions: RegisterLine[]; more: boolean }>(
        `/api/register?q=${encodeURIComponent(typed)}`,
      ),
    staleTime: 30_000,
    placeholderData: (before) => before,
  });

/** A position with its years; nothing is asked while no id is given. */
export const usePosition = (id: string | null) =>
  useQuery({
    queryKey: ['position', id],
    queryFn: () => readThrough<PositionTold>(`/api/positions/${id}`),
    enabled: id !== null,
    staleTime: 10_000,
  });

export const useDue = () =>
  useQuery({
    queryKey: ['due'],
    queryFn: () => readThrough<{ due: DueLine[]; feedMadeAt: string | null }>('/api/due'),
    staleTime: 30_000,
  });

/** Every version of a part’s card, the newest first; none where there is no card. */
export const usePartCards = (designation: string) =>
  useQuery({
    queryKey: ['part', designation],
    queryFn: async (): Promise<PartCard[]> => {
      const all = await readThrough<{ parts: PartCard[] }>(`/api/parts?q=${encodeURIComponent(designation)}`);
      return all.parts;
    },
    enabled: designation.length >= 2,
    staleTime: 30_000,
  });

export const positionOfLabel = (label: string): Promise<PositionCard> =>
  call<PositionCard>('GET', `/api/labels/${encodeURIComponent(label)}`);
