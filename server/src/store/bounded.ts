import type { JobState } from '@fulcrant/core/job';
import { LRUCache } from 'lru-cache';

/** A job as it was folded last, believed only while its row still says the same. */
export type Folded = {
  state: JobState;
  serial: number;
  count: number;
  /** The link of its last event. */
  chain: string;
  /** Ids of its events and their place in the order, from 1. */
  seqs: Map<string, number>;
};

/** Events all kept jobs may have together. */
const EVENTS_MOST = 50_000;

/** The jobs worked on last, folded; bounded by their events. */
export class FoldedJobs {
  private readonly kept = new LRUCache<string, Folded>({
    maxSize: EVENTS_MOST,
    sizeCalculation: (f) => f.count + 20,
  });
  /** The end of each job's queue: one writer at a time, so that nobody builds on what another is changing. */
  private readonly queues = new Map<string, Promise<unknown>>();

  get(jobId: string): Folded | undefined {
    return this.kept.get(jobId);
  }
  keep(jobId: string, folded: Folded): void {
    this.kept.set(jobId, folded);
  }
  forget(jobId: string): void {
    this.kept.delete(jobId);
  }

  /** Do something to a job after all that was asked of it before. */
  async inTurn<T>(jobId: string, work: () => Promise<T>): Promise<T> {
    const before = this.queues.get(jobId) ?? Promise.resolve();
    const mine = before.then(work, work);
    const settled = mine.catch(() => undefined);
    this.queues.set(jobId, settled);
    try {
      return await mine;
    } finally {
      if (this.queues.get(jobId) === settled) this.queues.delete(jobId);
    }
  }
}
