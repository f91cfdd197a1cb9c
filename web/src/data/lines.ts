import { queryOptions, useQuery } from '@tanstack/react-query';
import { readThrough, Unreachable } from './api.ts';
import type { Line } from './line.ts';
import { useQueue } from './queue.ts';
import type { Waiting } from './store.ts';

export type LinePage = { jobs: Line[]; next: string | null };

const readLines = (query: string): Promise<LinePage> => readThrough<LinePage>(`/api/jobs?${query}`);

/** How many jobs a page of open ones carries. */
const PAGE = 200;

/** Every open job: asked for page by page until there is no more. */
async function allOpen(): Promise<Line[]> {
  const lines: Line[] = [];
  for (let after: string | null = ''; after !== null; ) {
    const page: LinePage = await readLines(`state=open&limit=${PAGE}${after ? `&after=${after}` : ''}`);
    lines.push(...page.jobs);
    after = page.next;
  }
  return lines;
}

/** Only where something waits are its jobs folded here: the arithmetic of every trade is fetched for that alone. */
async function withWaiting(lines: Line[], waiting: readonly Waiting[]): Promise<Line[]> {
  const { linesWithWaiting } = await import('./waiting-lines.ts');
  return linesWithWaiting(
    lines,
    waiting.map((w) => w.event),
  );
}

/** The open jobs, with what of them waits on this device. */
export const openLines = (waiting: readonly Waiting[]) =>
  queryOptions({
    queryKey: ['jobs', 'open', waiting.map((w) => w.n).join()],
    // Asked for ahead of the page: not again when the page is there.
    staleTime: 1000,
    queryFn: async () => {
      const lines = await allOpen();
      return waiting.length === 0 ? lines : withWaiting(lines, waiting);
    },
  });

/** The open jobs, kept up to date. */
export function useOpenLines() {
  const { waiting } = useQueue();
  return useQuery({
    ...openLines(waiting),
    refetchInterval: 10_000,
    placeholderData: (before) => before,
  });
}

/** The last signed jobs, newest first; `next` leads on to older ones. */
export function useSignedLines(limit: number, after: string | null = null) {
  return useQuery({
    queryKey: ['jobs', 'signed', limit, after],
    queryFn: () => readLines(`state=signed&limit=${limit}${after ? `&after=${after}` : ''}`),
    refetchInterval: after ? false : 15_000,
    placeholderData: (before) => before,
  });
}

/** Whether every word of what was typed stands in a line's machine, position or number. */
export const lineHolds = (l: Line, typed: string): boolean => {
  const text = `${l.machine} ${l.position} ${typeof l.number === 'string' ? l.number : ''}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((w) => text.includes(w));
};

/** Jobs by what is typed: machine, position or number. Without the server, among the open ones this device knows. */
export function useFoundLines(typed: string, open: readonly Line[]) {
  return useQuery({
    queryKey: ['jobs', 'found', typed],
    enabled: typed !== '',
    queryFn: async (): Promise<LinePage> => {
      try {
        return await readLines(`limit=30&q=${encodeURIComponent(typed)}`);
      } catch (error) {
        if (!(error instanceof Unreachable)) throw error;
        return { jobs: open.filter((l) => lineHolds(l, typed)), next: null };
      }
    },
    placeholderData: (before) => before,
  });
}
