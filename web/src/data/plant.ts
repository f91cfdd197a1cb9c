import type { PersonLine, Plant, PlantGreeting, SessionLine } from '@fulcrant/core/api';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';

/** What anybody may know of the plant: asked before somebody is signed in. */
export const useGreeting = () =>
  useQuery({ queryKey: ['greeting'], queryFn: () => readThrough<PlantGreeting>('/api/greeting') });

export const usePlant = () =>
  useQuery({ queryKey: ['plant'], queryFn: () => readThrough<Plant>('/api/plant'), staleTime: 30_000 });

export const usePeople = () =>
  useQuery({
    queryKey: ['people'],
    queryFn: () => readThrough<{ people: PersonLine[] }>('/api/people'),
    staleTime: 30_000,
  });

/** The sessions of whoever is signed in: never from the device’s own copy. */
export const useSessions = () =>
  useQuery({
    queryKey: ['sessions'],
    queryFn: () => call<{ sessions: SessionLine[] }>('GET', '/api/account/sessions'),
  });

/** Is a code asked of whoever is signed in, beside the password? */
export const useSecond = () =>
  useQuery({
    queryKey: ['second'],
    queryFn: () => call<{ on: boolean }>('GET', '/api/account/second'),
  });

/** A secret for an authenticator: nothing holds until a code of it comes back. */
export type OfferedSecond = { secret: string; uri: string; picture: string };
