import type { JobSummary } from './summary.ts';

/** What a job on the board wants: its reading is overdue, a lead hand, any hand, or only time. */
export type Wants = 'overdue' | 'lead' | 'hand' | 'time';
const ORDER: readonly Wants[] = ['overdue', 'lead', 'hand', 'time'];

type Line = Pick<JobSummary, 'dueAt' | 'waitsForLead' | 'lastAt'>;

/** What a job wants at a moment, in ms since 1970. */
export function wantsOf(line: Line, now: number): Wants {
  const due = line.dueAt === null ? null : Date.parse(line.dueAt);
  if (due !== null && due <= now) return 'overdue';
  if (line.waitsForLead) return 'lead';
  return due === null ? 'hand' : 'time';
}

/**
 * Open jobs in the order a shift looks at them: overdue, waiting for a lead hand, what can go on, what only waits; within each the one
 * nobody has touched for longest first.
 */
export function inBoardOrder<T extends Line>(lines: readonly T[], now: number): T[] {
  const rank = (l: T) => ORDER.indexOf(wantsOf(l, now));
  // ISO times stand in their order as they are written; a language's own order is slow to fetch and says the same.
  const first = (a: T, b: T) => (a.lastAt < b.lastAt ? -1 : a.lastAt > b.lastAt ? 1 : 0);
  return [...lines].sort((a, b) => rank(a) - rank(b) || first(a, b));
}
