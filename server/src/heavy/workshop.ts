import { availableParallelism } from 'node:os';
import { Tinypool } from 'tinypool';
import { type Answered, type Asked, TASKS, type Task } from './tasks.ts';

/** All benches are taken and enough wait: ask again in a moment. */
export class Crowded extends Error {}

/** Where what takes long is done, so that who asks for little need not wait for who asks for much. */
export type Workshop = {
  /** @throws Crowded where too many wait already */
  do<T extends Task>(task: T, input: Asked<T>): Promise<Answered<T>>;
  close(): Promise<void>;
};

const here = async <T extends Task>(task: T, input: Asked<T>): Promise<Answered<T>> =>
  (TASKS[task] as (input: Asked<T>) => Answered<T>)(input);

/** Everything on the spot: for programs that answer nobody meanwhile. */
export const ON_THE_SPOT: Workshop = { do: here, close: async () => undefined };

/** Fewer events than these are folded on the spot: it takes less than sending them. About 0.1 ms each. */
const FOLDED_HERE = 120;
const small = (task: Task, input: unknown): boolean =>
  task === 'fold' && (input as Asked<'fold'>).bodies.length < FOLDED_HERE;

/** So many wait for a thread before others are sent away. */
const WAITING_MOST = 48;
/** A thread nobody needs ends after this long. */
const IDLE_MS = 60_000;

/**
 * Threads for what takes long. Sums without a job, which anybody may ask for, have a thread of their own: they cannot keep sheets waiting.
 * @param worker the built file of the threads
 */
export function threads(worker: URL): Workshop {
  const pool = (least: number, most: number) =>
    new Tinypool({
      filename: worker.href,
      minThreads: least,
      maxThreads: most,
      idleTimeout: IDLE_MS,
      maxQueue: WAITING_MOST,
    });
  // One stands ready: the first sheet of the morning does not wait for a thread to read the trade in.
  const sheets = pool(1, Math.max(1, availableParallelism() - 1));
  const sums = pool(0, 1);
  return {
    async do(task, input) {
      if (small(task, input)) return here(task, input);
      try {
        return await (task === 'calculate' ? sums : sheets).run({ task, input });
      } catch (error) {
        if (/Task queue is at limit/.test(String((error as Error).message))) throw new Crowded();
        throw new Error(`“${task}” failed in its thread: ${(error as Error).message}`, { cause: error });
      }
    },
    close: async () => void (await Promise.all([sheets.destroy(), sums.destroy()])),
  };
}
