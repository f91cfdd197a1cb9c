import type { Difficulty } from '@fulcrant/core/job';
import type {
  Action,
  Attempt,
  CompetenceAsked,
  Debrief,
  DebriefTold,
  PracticeTold,
  SetAsked,
  Shown,
} from '@fulcrant/practice';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';

/** Sets of the class, what was handed in, competences signed: one’s own, or all for who teaches. */
export const useBenches = () =>
  useQuery({
    queryKey: ['benches'],
    queryFn: () => readThrough<PracticeTold>('/api/practice/benches'),
    staleTime: 15_000,
  });

/** What was handed in, whole, with its debrief. */
export const useResult = (id: string) =>
  useQuery({
    queryKey: ['bench-result', id],
    queryFn: () =>
      readThrough<{ rig: string; attempt: Attempt; debrief: Debrief }>(`/api/practice/results/${id}`),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const setBench = (asked: SetAsked): Promise<{ id: string }> =>
  call('POST', '/api/practice/sets', asked);
export const signCompetence = (asked: CompetenceAsked): Promise<{ id: string }> =>
  call('POST', '/api/practice/competences', asked);
/** What a bench of a class shows after all that was done at it: its truth never comes here. */
export const shownAt = (set: string, actions: readonly Action[]): Promise<{ shown: Shown; nutDeg: number }> =>
  call('POST', `/api/practice/sets/${set}/shown`, { actions });
export const handIn = (
  of: { set: string } | { own: { rig: string; difficulty: Difficulty; seed: number } },
  attempt: Attempt,
): Promise<DebriefTold> => call('POST', '/api/practice/results', { ...of, ...attempt });
