import { type JobSummary, summarise } from '@fulcrant/core/forms';
import type { JobEvent } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { useQuery } from '@tanstack/react-query';
import { readThrough, Unreachable } from '../data/api.ts';
import { stateFrom } from '../data/fold.ts';
import { useQueue } from '../data/queue.ts';
import { copyOf } from '../data/sent-events.ts';
import { M } from './messages.ts';

/** A job as the board lists it. */
export type Line = JobSummary & {
  id: string;
  number: Text;
  state: 'open' | 'signed' | 'cancelled';
  updatedAt: string;
  signedAt?: string | null;
};
export type LinePage = { jobs: Line[]; next: string | null };

/** How many jobs a page of open ones carries. */
const PAGE = 200;

/** Every open job: asked for page by page until there is no more. */
async function allOpen(): Promise<Line[]> {
  const lines: Line[] = [];
  for (let after: string | null = ''; after !== null; ) {
    const page: LinePage = await readThrough<LinePage>(
      `/api/jobs?state=open&limit=${PAGE}${after ? `&after=${after}` : ''}`,
    );
    lines.push(...page.jobs);
    after = page.next;
  }
  return lines;
}

/** Jobs with entries still on this device, summed up here, so that the board never shows less than was recorded. */
async function withWaiting(lines: Line[], waiting: readonly JobEvent[]): Promise<Line[]> {
  const ids = [...new Set(waiting.map((e) => e.jobId))];
  const local = await Promise.all(
    ids.map(async (id): Promise<Line | null> => {
      const stored = await copyOf(id);
      const known = new Set(stored.map((e) => e.id));
      const here = waiting.filter((e) => e.jobId === id && !known.has(e.id));
      const state = stateFrom(stored, here);
      const before = lines.find((l) => l.id === id);
      return state
        ? {
            ...summarise(state),
            id,
            number: before?.number ?? M.notSent,
            state: state.cancelled ? 'cancelled' : state.signed ? 'signed' : 'open',
            updatedAt: here.at(-1)?.at ?? state.opened.at,
          }
        : null;
    }),
  );
  const changed = local.filter((l): l is Line => l !== null);
  return [...lines.filter((l) => !changed.some((c) => c.id === l.id)), ...changed].filter(
    (l) => l.state === 'open',
  );
}

/** The open jobs, those of this device with what waits on it. */
export function useOpenLines() {
  const { waiting } = useQueue();
  return useQuery({
    queryKey: ['jobs', 'open', waiting.map((w) => w.n).join()],
    queryFn: async () =>
      withWaiting(
        await allOpen(),
        waiting.map((w) => w.event),
      ),
    refetchInterval: 10_000,
    placeholderData: (before) => before,
  });
}

/** The last signed jobs, newest first; `next` leads on to older ones. */
export function useSignedLines(limit: number, after: string | null = null) {
  return useQuery({
    queryKey: ['jobs', 'signed', limit, after],
    queryFn: () =>
      readThrough<LinePage>(`/api/jobs?state=signed&limit=${limit}${after ? `&after=${after}` : ''}`),
    refetchInterval: after ? false : 15_000,
    placeholderData: (before) => before,
  });
}

const holds = (l: Line, typed: string): boolean => {
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
        return await readThrough<LinePage>(`/api/jobs?limit=30&q=${encodeURIComponent(typed)}`);
      } catch (error) {
        if (!(error instanceof Unreachable)) throw error;
        return { jobs: open.filter((l) => holds(l, typed)), next: null };
      }
    },
    placeholderData: (before) => before,
  });
}
