import type { Person } from '@fulcrant/core/api';
import {
  type EventDataOf,
  type EventType,
  type JobEvent,
  type JobState,
  type Setup,
  take,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { MessageError, saidBy } from '@fulcrant/core/units';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { Unreachable } from './api.ts';
import { folder } from './fold.ts';
import { M } from './messages.ts';
import { enqueue, useWaiting } from './queue.ts';
import { readStored } from './sent-events.ts';
import { useSession } from './session.tsx';
import { needsConfirmed } from './unconfirmed.ts';

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

/** Keep an event on the device; null when it is safe there. */
async function keep(event: JobEvent): Promise<Text | null> {
  try {
    await enqueue(event);
    return null;
  } catch {
    return M.deviceCouldNotKeepStorage;
  }
}

/** Why a job is not there: without the server only what this device has opened before is. */
const said = (error: Error): Text =>
  error instanceof Unreachable ? M.jobNeverOpenedDeviceSo({ message: saidBy(error) }) : saidBy(error);

export type JobView = {
  state: JobState | null;
  number: string | null;
  /** At a practice bench: nothing that belongs to a record is offered. */
  practice?: true;
  loading: boolean;
  fault: Text | null;
  /** Do something to the job: null when it is kept, the reason as a sentence when it is refused. */
  act<T extends EventType>(type: T, data: EventDataOf<T>): Promise<Text | null>;
  /** Do several things in a row, each judged after those before it; why each was refused, or null where it is kept. */
  actAll<T extends EventType>(
    acts: ReadonlyArray<{ type: T; data: EventDataOf<T> }>,
  ): Promise<Array<Text | null>>;
  /** The state if this happened now; the refusal where it may not. Nothing is kept. */
  suppose<T extends EventType>(type: T, data: EventDataOf<T>): { state: JobState } | { refusal: Text };
  /** The state if several things happened now, those that may not left out. Nothing is kept. */
  supposeAll<T extends EventType>(acts: ReadonlyArray<{ type: T; data: EventDataOf<T> }>): JobState | null;
};

/** One job: what the server has, with what still waits on this device laid on top. */
export function useJob(id: string): JobView {
  const { person, unconfirmed } = useSession();
  const queued = useWaiting(id);
  const client = useQueryClient();
  const [fold] = useState(folder);
  const stored = useQuery({
    queryKey: ['job', id],
    queryFn: () => readStored(client, id),
    refetchInterval: 15_000,
  });
  const base = stored.data?.events;
  const waiting = useMemo(() => {
    const known = new Set(base?.map((e) => e.id));
    return (queued ?? []).filter((e) => !known.has(e.id));
  }, [base, queued]);
  const state = useMemo(() => fold(base ?? [], waiting), [fold, base, waiting]);

  const suppose = useCallback<JobView['suppose']>(
    (type, data) => {
      if (!person) return { refusal: COMMON.signFirst };
      if (unconfirmed && needsConfirmed(type)) return { refusal: M.notConfirmedSigns({ name: person.name }) };
      return take(state, makeEvent(person, id, type, data));
    },
    [person, unconfirmed, id, state],
  );
  const supposeAll = useCallback<JobView['supposeAll']>(
    (acts) => {
      if (!person) return null;
      return acts.reduce<JobState | null>((then, a) => {
        const taken = take(then, makeEvent(person, id, a.type, a.data));
        return 'refusal' in taken ? then : taken.state;
      }, state);
    },
    [person, id, state],
  );
  const given = useRef<{ upon: JobState | null; acts: string; said: Promise<Array<Text | null>> }>(null);
  const perform = useCallback<JobView['actAll']>(
    async (acts) => {
      if (!person) return acts.map(() => COMMON.signFirst);
      const said: Array<Text | null> = [];
      let then = state;
      for (const a of acts) {
        if (unconfirmed && needsConfirmed(a.type)) {
          said.push(M.notConfirmedSigns({ name: person.name }));
          continue;
        }
        const event = makeEvent(person, id, a.type, a.data);
        const taken = take(then, event);
        said.push('refusal' in taken ? taken.refusal : await keep(event));
        if (!('refusal' in taken) && said.at(-1) === null) then = taken.state;
      }
      return said;
    },
    [person, unconfirmed, id, state],
  );
  const actAll = useCallback<JobView['actAll']>(
    (acts) => {
      // A second tap lands before the first is drawn: the same act upon the same sheet is one act, not two.
      const written = JSON.stringify(acts);
      const before = given.current;
      if (before && before.upon === state && before.acts === written) return before.said;
      const said = perform(acts).then((all) => {
        if (all.some((s) => s !== null)) given.current = null;
        return all;
      });
      given.current = { upon: state, acts: written, said };
      return said;
    },
    [perform, state],
  );
  const act = useCallback<JobView['act']>(
    async (type, data) => (await actAll([{ type, data }]))[0] ?? null,
    [actAll],
  );
  const number = stored.data?.job?.number ?? null;
  const loading = stored.isPending || queued === null;
  const fault = stored.error && !state ? said(stored.error) : null;
  return useMemo(
    () => ({ state, number, loading, fault, act, actAll, suppose, supposeAll }),
    [state, number, loading, fault, act, actAll, suppose, supposeAll],
  );
}

/** Open a job on this device; it goes to the server with everything that follows. */
export function useOpenJob(): (setup: Setup, positionId: string) => Promise<string> {
  const { person, plant } = useSession();
  const client = useQueryClient();
  return useCallback(
    async (setup, positionId) => {
      if (!person) throw new MessageError(COMMON.signFirst);
      const jobId = v7();
      // In a demo plant every sheet says that it is one, whatever the position remembers.
      const { demo: _before, ...own } = setup;
      const event = makeEvent(person, jobId, 'job.opened', {
        positionId,
        setup: plant?.demo ? { ...own, demo: true } : own,
      });
      const taken = take(null, event);
      if ('refusal' in taken) throw new MessageError(taken.refusal);
      await enqueue(event);
      void client.invalidateQueries({ queryKey: ['jobs'] });
      return jobId;
    },
    [person, plant, client],
  );
}
