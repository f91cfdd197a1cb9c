import { type JobEvent, reduce, type Setup } from '@fulcrant/core/job';
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

  it('gives the same object while an entry goes from the queue to the server, and another once it is stamped', () => {
    const fold = folder();
    const stamp = (all: readonly JobEvent[]) =>
      all.map((e) => ({ ...e, stored: { at: e.at } })) as JobEvent[];
    const before = stamp(events.slice(0, 9));
    const stood = fold(before, []);
    const waiting = fold(before, events.slice(9, 11));
    expect(waiting).not.toBe(stood);
    // One of two is sent, then the other; nothing on the sheet moves.
    expect(fold([...before, ...events.slice(9, 10)], events.slice(10, 11))).toBe(waiting);
    expect(fold([...before, ...events.slice(9, 11)], [])).toBe(waiting);
    const stamped = stamp(events.slice(0, 11));
    expect(fold(stamped, [])).toEqual(reduce(stamped));
    // Going on offline lays only what is new; a queue that lost an entry (set aside) is folded without it.
    const three = fold(stamped, events.slice(11, 14));
    expect(three).toEqual(reduce([...stamped, ...events.slice(11, 14)]));
    expect(fold(stamped, events.slice(11, 13))).toEqual(reduce([...stamped, ...events.slice(11, 13)]));
    expect(fold(stamped, [])).toEqual(reduce(stamped));
  });

  it('takes anew what was left out, once the server has it', () => {
    const fold = folder();
    const odd = {
      ...events[9],
      id: 'odd',
      type: 'reading.taken',
      data: { step: 'shaft' },
    } as unknown as JobEvent;
    const without = fold(events.slice(0, 9), [odd, ...events.slice(9, 11)]);
    expect(without).toEqual(reduce(events.slice(0, 11)));
    expect(fold([...events.slice(0, 9), ...events.slice(9, 11)], [odd])).toEqual(without);
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
