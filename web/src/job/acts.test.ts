import { actsOn } from '@fulcrant/core/job';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { toLock } from '../../../core/src/testing/test-stand.ts';
import { actsOf } from './acts.ts';

/** A job that writes down what was asked of it. */
function noted() {
  const done: unknown[] = [];
  return {
    done,
    job: {
      act: (type: string, data: unknown) => {
        done.push([type, data]);
        return Promise.resolve(null);
      },
    },
  };
}

describe('the rarer acts', () => {
  const state = toLock().state;
  const step = state.steps.find((s) => s.id === state.present);
  const reading = state.readings.at(-1) ?? null;
  if (!step || !reading) throw new Error('Nothing is present.');
  it('each ask for a reason and become the event they say', async () => {
    const { done, job } = noted();
    const acts = actsOf(job, step, actsOn(state.setup)[0] ?? null, reading);
    await acts.withdraw.run('misread');
    await acts.hold.run('waits for the crane');
    await acts.undo.run('too far');
    await acts.note.run('a word');
    await acts.release.run('');
    // Nothing was done in between: what is read again counts together with what was read before.
    await acts.repeat.run('');
    await acts.running.run('Asta');
    expect(done).toEqual([
      ['reading.withdrawn', { reading: reading.id, reason: 'misread' }],
      ['step.held', { step: step.id, reason: 'waits for the crane' }],
      ['act.done', { act: 'dismount', reason: 'too far' }],
      ['note.added', { text: 'a word' }],
      ['step.released', { step: step.id }],
      ['measure.repeated', { step: step.id }],
      ['sheet.signed', { name: 'Asta', running: true }],
    ]);
    expect(english(Object.values(acts).filter((a) => a.optional))).toEqual(
      english([acts.repeat, acts.release, acts.running]),
    );
    for (const a of Object.values(acts)) expect(english(a.ask).length).toBeGreaterThan(5);
  });
  it('say what taking back is on this job, and withdraw nothing where nothing is in hand', async () => {
    const { done, job } = noted();
    const acts = actsOf(job, step, actsOn(state.setup)[0] ?? null, null);
    expect(acts.undo.does).toMatchObject({ id: 'sleeve-bearing.dismounted2' });
    await expect(acts.withdraw.run('x')).resolves.toBeNull();
    expect(done).toEqual([]);
  });
});
