import type { JobEvent } from '@fulcrant/core/job';
import type { QueryClient } from '@tanstack/react-query';
import { ApiFault, callSince, Unreachable } from './api.ts';
import { onSent } from './queue.ts';
import { readCached, writeCached } from './store.ts';

/** A job as this device knows it: the server's events up to `seq` in its order, then what was sent since. */
export type StoredJob = {
  job: { id: string; number: string; state: string } | null;
  seq: number;
  events: JobEvent[];
  /** The mark under which the server gave it, to ask for news only. */
  mark: string | null;
};
const NOTHING: StoredJob = { job: null, seq: 0, events: [], mark: null };

/** Where the server has a job. */
export const jobPath = (id: string) => `/api/jobs/${id}`;

/** A copy on the device, of this form or of an earlier one. */
async function cachedJob(id: string): Promise<StoredJob | undefined> {
  const kept = await readCached<Partial<StoredJob>>(jobPath(id));
  return kept?.events ? { ...NOTHING, ...kept, seq: kept.mark ? (kept.seq ?? 0) : 0 } : undefined;
}

/** What the server has of a job beyond `known`, laid on it. Events are only ever added, so nothing known is asked for again. */
async function newsOf(id: string, known: StoredJob): Promise<StoredJob> {
  const news = await callSince<StoredJob>(`${jobPath(id)}?after=${known.seq}`, known.mark);
  if (!news) return known;
  const { job, seq, events } = news.answer;
  // Another database behind the same address, or an older one: all of it anew.
  if (known.seq > 0 && (seq < known.seq || events.length !== seq - known.seq)) return newsOf(id, NOTHING);
  return { job, seq, mark: news.mark, events: [...known.events.slice(0, known.seq), ...events] };
}

/** What the server gave, with what this device has sent and is not in it yet. */
function withSent(fresh: StoredJob, here: StoredJob | undefined): StoredJob {
  const there = new Set(fresh.events.map((e) => e.id));
  const sent = here?.events.filter((e) => !there.has(e.id)) ?? [];
  return sent.length > 0 ? { ...fresh, events: [...fresh.events, ...sent] } : fresh;
}

/**
 * A job as the server has it, or as this device knows it while the server is away. What was sent and is not in the answer yet, because it
 * set out earlier, is kept: no reading blinks out.
 */
export async function readStored(client: QueryClient, id: string): Promise<StoredJob> {
  const now = () => client.getQueryData<StoredJob>(['job', id]);
  const known = now() ?? (await cachedJob(id));
  try {
    const fresh = await newsOf(id, known ?? NOTHING);
    if (fresh !== known) await writeCached(jobPath(id), withSent(fresh, now() ?? known));
    // Looked at last of all: what was sent while the copy was written is not forgotten either.
    return withSent(fresh, now() ?? known);
  } catch (error) {
    // Opened on this device and not sent yet: the queue has all there is.
    if (error instanceof ApiFault && error.status === 404) return known ?? NOTHING;
    if (error instanceof Unreachable && known) return known;
    throw error;
  }
}

/** A job's copy on the device, for the board's line of what waits here. */
export const copyOf = async (id: string): Promise<JobEvent[]> => (await cachedJob(id))?.events ?? [];

/** Lay sent events into the cached copy before they leave the queue, so that no reading blinks out in between. */
export function keepSentEvents(client: QueryClient): () => void {
  return onSent(async (jobId, sent) => {
    const before = client.getQueryData<StoredJob>(['job', jobId]) ?? (await cachedJob(jobId)) ?? NOTHING;
    const known = new Set(before.events.map((e) => e.id));
    const after = { ...before, events: [...before.events, ...sent.filter((e) => !known.has(e.id))] };
    client.setQueryData(['job', jobId], after);
    await writeCached(jobPath(jobId), after);
    void client.invalidateQueries({ queryKey: ['job', jobId] });
    void client.invalidateQueries({ queryKey: ['jobs'] });
  });
}
