import '@fulcrant/core/every-trade';
import { summarise } from '@fulcrant/core/forms';
import type { JobEvent } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { stateFrom } from './fold.ts';
import type { Line } from './line.ts';
import { copyOf } from './sent-events.ts';

/** Jobs with entries still on this device, summed up here, so that the board never shows less than was recorded. */
export async function linesWithWaiting(lines: Line[], waiting: readonly JobEvent[]): Promise<Line[]> {
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
            number: before?.number ?? COMMON.notSentYet,
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
