import {
  admit,
  type EventDataOf,
  type EventType,
  gather,
  type HouseRules,
  type Instrument,
  type JobEvent,
  type JobState,
  judge,
  type Person,
  type Setup,
} from '@fulcrant/core';
import { type QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { v7 } from 'uuid';
import { ApiFault, readThrough, Unreachable } from './api.ts';
import { enqueue, useQueue } from './queue.ts';
import { jobPath, type StoredJob } from './sent-events.ts';
import { useSession } from './session.tsx';

export function makeEvent<T extends EventType>(
  person: Person,
  jobId: string,
  type: T,
  data: EventDataOf<T>,
): JobEvent {
  return {
    id: v7(),
    jobId,
    at: new Date().toISOString(),
    author: { id: person.id, name: person.name, role: person.role },
    type,
    data,
  } as JobEvent;
}

/** Fold events to a state; null while there is none. */
export function stateFrom(events: readonly JobEvent[]): JobState | null {
  const facts = gather(events);
  return facts ? judge(facts) : null;
}

/**
 * A job as the server has it. Events are only ever added, so those already known here are kept where an answer that
 * set out earlier does not have them yet: no reading blinks out.
 */
async function readStored(client: QueryClient, id: string): Promise<StoredJob> {
  const known = () => client.getQueryData<StoredJob>(['job', id])?.events ?? [];
  try {
    const fresh = await readThrough<StoredJob>(jobPath(id));
    const there = new Set(fresh.events.map((e) => e.id));
    return { ...fresh, events: [...fresh.events, ...known().filter((e) => !there.has(e.id))] };
  } catch (error) {
    // Opened on this device and not sent yet: the queue has all there is.
    if (error instanceof ApiFault && error.status === 404) return { job: null, events: known() };
    throw error;
  }
}

/** Keep an event on the device; null when it is safe there. */
async function keep(event: JobEvent): Promise<string | null> {
  try {
    await enqueue(event);
    return null;
  } catch {
    return 'This device could not keep it: its storage is full or switched off. Nothing was stored.';
  }
}

/** Why a job is not there: without the server only what this device has opened before is. */
const said = (error: Error): string =>
  error instanceof Unreachable
    ? `${error.message} This job was never opened on this device, so no copy of it is here.`
    : error.message;

export type JobView = {
  state: JobState | null;
  events: readonly JobEvent[];
  number: string | null;
  loading: boolean;
  fault: string | null;
  /** Do something to the job: null when it is kept, the reason as a sentence when it is refused. */
  act<T extends EventType>(type: T, data: EventDataOf<T>): Promise<string | null>;
  /** Do several things in a row, each judged after those before it; why each was refused, or null where it is kept. */
  actAll<T extends EventType>(
    acts: ReadonlyArray<{ type: T; data: EventDataOf<T> }>,
  ): Promise<Array<string | null>>;
  /** The state if this happened now; the refusal where it may not. Nothing is kept. */
  suppose<T extends EventType>(type: T, data: EventDataOf<T>): { state: JobState } | { refusal: string };
  /** The state if several things happened now, those that may not left out. Nothing is kept. */
  supposeAll<T extends EventType>(acts: ReadonlyArray<{ type: T; data: EventDataOf<T> }>): JobState | null;
};

/** One job: what the server has, with what still waits on this device laid on top. */
export function useJob(id: string): JobView {
  const { person } = useSession();
  const queue = useQueue();
  const client = useQueryClient();
  const stored = useQuery({
    queryKey: ['job', id],
    queryFn: () => readStored(client, id),
    refetchInterval: 15_000,
  });
  const events = useMemo(() => {
    const base = stored.data?.events ?? [];
    const known = new Set(base.map((e) => e.id));
    return [...base, ...queue.waiting.map((w) => w.event).filter((e) => e.jobId === id && !known.has(e.id))];
  }, [stored.data, queue.waiting, id]);
  const state = useMemo(() => stateFrom(events), [events]);

  const suppose = useCallback<JobView['suppose']>(
    (type, data) => {
      if (!person) return { refusal: 'Sign in first.' };
      const event = makeEvent(person, id, type, data);
      const refusal = admit(state, event);
      if (refusal) return { refusal };
      const after = stateFrom([...events, event]);
      return after ? { state: after } : { refusal: 'This job is not opened yet.' };
    },
    [person, id, state, events],
  );
  const supposeAll = useCallback<JobView['supposeAll']>(
    (acts) => {
      if (!person) return null;
      const made = acts.map((a) => makeEvent(person, id, a.type, a.data));
      return stateFrom([...events, ...made.filter((e) => admit(state, e) === null)]);
    },
    [person, id, state, events],
  );
  const act = useCallback<JobView['act']>(
    async (type, data) => {
      if (!person) return 'Sign in first.';
      const event = makeEvent(person, id, type, data);
      const refusal = admit(state, event);
      if (refusal) return refusal;
      return keep(event);
    },
    [person, id, state],
  );
  const actAll = useCallback<JobView['actAll']>(
    async (acts) => {
      if (!person) return acts.map(() => 'Sign in first.');
      const said: Array<string | null> = [];
      let then = state;
      let all = events;
      for (const a of acts) {
        const event = makeEvent(person, id, a.type, a.data);
        const refusal = admit(then, event);
        said.push(refusal ?? (await keep(event)));
        if (said.at(-1) !== null) continue;
        all = [...all, event];
        then = stateFrom(all);
      }
      return said;
    },
    [person, id, state, events],
  );
  return {
    state,
    events,
    number: stored.data?.job?.number ?? null,
    loading: stored.isPending || !queue.ready,
    fault: stored.error && events.length === 0 ? said(stored.error) : null,
    act,
    actAll,
    suppose,
    supposeAll,
  };
}

export type StoredPosition = { id: string; site: string; machine: string; position: string; setup: Setup };

export function usePositions() {
  return useQuery({
    queryKey: ['positions'],
    queryFn: () => readThrough<{ positions: StoredPosition[] }>('/api/positions?limit=200'),
    staleTime: 30_000,
  });
}

export function useInstruments() {
  return useQuery({
    queryKey: ['instruments'],
    queryFn: () => readThrough<{ instruments: Instrument[] }>('/api/instruments'),
    staleTime: 60_000,
  });
}

/** The plant's house rules, and who set them last. */
export function useHouseRules() {
  return useQuery({
    queryKey: ['house-rules'],
    queryFn: () =>
      readThrough<{ rules: HouseRules; set: { by: string; at: string } | null }>('/api/house-rules'),
    staleTime: 30_000,
  });
}

/** Open a job on this device; it goes to the server with everything that follows. */
export function useOpenJob(): (setup: Setup, positionId: string) => Promise<string> {
  const { person } = useSession();
  const client = useQueryClient();
  return useCallback(
    async (setup, positionId) => {
      if (!person) throw new Error('Sign in first.');
      const jobId = v7();
      await enqueue(makeEvent(person, jobId, 'job.opened', { positionId, setup }));
      void client.invalidateQueries({ queryKey: ['jobs'] });
      return jobId;
    },
    [person, client],
  );
}
