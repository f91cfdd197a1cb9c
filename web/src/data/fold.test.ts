import type { JobEvent } from '@fulcrant/core/engine/events';
import { reduce } from '@fulcrant/core/engine/judge';
import type { Setup } from '@fulcrant/core/engine/setup';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, workAll } from '../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../core/src/testing/test-stand.ts';
import { folder, stateFrom } from './fold.ts';

const { events } = workAll(handAt(EVERY_KIND['by feelers'] as Setup));

describe('a job folded on the device', () => {
  it('goes on from what it folded last, and comes to the same as from the beginning', () => {
    const fold = folder();
    for (const n of [1, 5, 6, 20, events.length])
      expect(fold(events.slice(0, n), [])).toEqual(reduce(events.slice(0, n)));
    // Fewer, or others, than before: all of it anew.
    expect(fold(events.slice(0, 9), [])).toEqual(reduce(events.slice(0, 9)));
    const stored = events.slice(0, 9).map((e) => ({ ...e, stored: { at: e.at } })) as JobEvent[];
    expect(fold(stored, [])).toEqual(reduce(stored));
    expect(fold([], [])).toBeNull();
  });

  it('lays what waits on top, and leaves out what can no longer be taken instead of tearing', () => {
    const fold = folder();
    const poison = [
      { ...events[9], type: 'setup.changed', data: { setup: { procedure: 'constructor' }, reason: 'odd' } },
      { ...events[9], type: 'no.such', data: {} },
      { ...events[9], type: 'reading.taken', data: { step: 'shaft' } },
    ] as unknown as JobEvent[];
    const waiting = [...poison, ...events.slice(9, 12)];
    expect(fold(events.slice(0, 9), waiting)?.readings).toEqual(reduce(events.slice(0, 12))?.readings);
    expect(stateFrom(events.slice(0, 9), waiting)?.present).toBe(reduce(events.slice(0, 12))?.present);
  });
});
