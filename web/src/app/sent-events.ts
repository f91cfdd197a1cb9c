import type { JobEvent } from '@fulcrant/core';
import type { QueryClient } from '@tanstack/react-query';
import { onSent } from './queue.ts';
import { writeCached } from './store.ts';

export type StoredJob = { job: { id: string; number: string; state: string } | null; events: JobEvent[] };

/** Where the server has a job. */
export const jobPath = (id: string) => `/api/jobs/${id}`;

/** Lay sent events into the cached copy before they leave the queue, so that no reading blinks out in between. */
export function keepSentEvents(client: QueryClient): () => void {
  return onSent(async (jobId, sent) => {
    const before = client.getQueryData<StoredJob>(['job', jobId]) ?? { job: null, events: [] };
    const known = new Set(before.events.map((e) => e.id));
    const after = { ...before, events: [...before.events, ...sent.filter((e) => !known.has(e.id))] };
    client.setQueryData(['job', jobId], after);
    await writeCached(jobPath(jobId), after);
    void client.invalidateQueries({ queryKey: ['job', jobId] });
    void client.invalidateQueries({ queryKey: ['jobs'] });
  });
}
