import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, workStep } from '../testing/every-kind.ts';
import { handAt, imke } from '../testing/test-stand.ts';
import { inBoardOrder, wantsOf } from './board-order.ts';
import { summarise } from './summary.ts';

const NOW = Date.parse('2026-11-26T12:00:00Z');
const at = (minutes: number) => new Date(NOW + 60_000 * minutes).toISOString();
const line = (id: string, due: number | null, waitsForLead: boolean, last: number) => ({
  id,
  dueAt: due === null ? null : at(due),
  waitsForLead,
  lastAt: at(last),
});

describe('the order of the board', () => {
  it('is overdue, for a lead hand, what can go on, what waits; in each the longest untouched first', () => {
    const lines = [
      line('waits', 30, false, -5),
      line('on, lately', null, false, -1),
      line('on, long ago', null, false, -400),
      line('held', null, true, -20),
      line('overdue and held', -1, true, -2),
      line('overdue', -60, false, -90),
    ];
    expect(inBoardOrder(lines, NOW).map((l) => l.id)).toEqual([
      'overdue',
      'overdue and held',
      'held',
      'on, long ago',
      'on, lately',
      'waits',
    ]);
  });

  it('loses nothing, doubles nothing, and does not depend on the order it is given', () => {
    const any = fc.array(
      fc.tuple(
        fc.option(fc.integer({ min: -99, max: 99 })),
        fc.boolean(),
        fc.integer({ min: -9999, max: 0 }),
      ),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(any, (all) => {
        const lines = all.map(([due, lead, last], i) => line(String(i), due, lead, last - i / 1000));
        const one = inBoardOrder(lines, NOW);
        expect(inBoardOrder([...lines].reverse(), NOW).map((l) => l.lastAt)).toEqual(
          one.map((l) => l.lastAt),
        );
        expect(new Set(one.map((l) => l.id)).size).toBe(lines.length);
      }),
    );
  });

  it('knows from a job what it wants: a hold and a stop one may accept want a lead hand, a proof under way its time', () => {
    const held = handAt({ ...EVERY_KIND['by feelers'], holdBefore: ['driveup'] } as never);
    for (let i = 0; i < 10 && held.state.present !== 'driveup'; i++) {
      const id = held.state.present ?? '';
      workStep(held);
      held.pass(id);
    }
    const before = summarise(held.state);
    expect(wantsOf(before, NOW)).toBe('lead');
    held.by(imke).do('step.released', { step: 'driveup' });
    const after = summarise(held.state);
    expect(wantsOf(after, NOW)).toBe('hand');
    expect(after.hands).toEqual(['asta', 'imke']);
    expect(after.lastAt > before.lastAt).toBe(true);

    const proof = handAt(EVERY_KIND['cartridge seal'] as never);
    for (let i = 0; i < 40 && proof.state.present !== 'proof'; i++) {
      const id = proof.state.present ?? '';
      workStep(proof);
      proof.pass(id);
    }
    proof.read('proof', 'leak/0', 3, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    const { dueAt } = summarise(proof.state);
    const due = Date.parse(dueAt ?? '');
    expect(wantsOf(summarise(proof.state), due - 1)).toBe('time');
    expect(wantsOf(summarise(proof.state), due)).toBe('overdue');
  });
});
