import type { IncomingMessage, ServerResponse } from 'node:http';

type Listener<T> = (request: IncomingMessage, response: ServerResponse) => T;

/**
 * A listener that knows what it has not finished yet. A connection that is gone says nothing of the work it asked for: a server that
 * closes waits for that too, or a sheet that is just being laid down would be broken off.
 * @param answer what answers a request, settled when it has
 * @returns the listener, and `all`: settled when nothing is under way any more
 */
export function underWay(answer: Listener<Promise<unknown>>): {
  listener: Listener<void>;
  all(): Promise<void>;
} {
  const now = new Set<Promise<unknown>>();
  return {
    listener(request, response) {
      const work = answer(request, response).finally(() => now.delete(work));
      now.add(work);
    },
    async all() {
      while (now.size > 0) await Promise.allSettled(now);
    },
  };
}
