import { expect, it } from 'vitest';
import { summarise } from '../job/summary.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { fixedBearingOn } from '../steps/bearing/fixed-bearing.ts';
import { asta, hand, imke, refuses, round, toBolts } from '../testing/test-stand.ts';

const bram = { id: 'bram', name: 'Bram', role: 'fitter' } as const;

it('a job opened by mistake is cancelled by its opener, and nothing more is done to it', () => {
  const h = hand();
  refuses(() => h.by(bram).do('job.cancelled', { reason: 'not mine' }), /who opened it, or a lead hand/);
  h.by(asta).do('job.cancelled', { reason: 'wrong position' });
  refuses(() => h.answer('safe', 'isolated', 'yes'), /was cancelled: nothing more/);
  h.do('note.added', { text: 'opened anew on the tail end' });
  expect(summarise(h.state)).toMatchObject({
    act: { id: 'job.cancelled' },
    held: null,
    waitsForLead: false,
    dueAt: null,
  });
  expect(fitUpSheet(h.state, null).title.state).toBe('cancelled');
});

it('once something is read only a lead hand cancels it, and what was read stays', () => {
  const h = hand().safe().survey(round);
  refuses(() => h.do('job.cancelled', { reason: 'wrong shaft' }), /a lead hand cancels it/);
  h.by(imke).do('job.cancelled', { reason: 'wrong shaft' });
  expect(h.state.readings).toHaveLength(9);
  expect(h.state.cancelled).toMatchObject({ author: { id: 'imke' }, reason: 'wrong shaft' });
});

it('no float is set from a fixed bearing whose job was cancelled', () => {
  const h = toBolts();
  const { machine } = h.state.setup;
  expect(fixedBearingOn(h.state, machine)).toMatchObject({ position: h.state.setup.position });
  h.by(imke).do('job.cancelled', { reason: 'bearing went back to the store' });
  expect(fixedBearingOn(h.state, machine)).toMatchObject({ id: 'steps.bearing.jobCancelledMountedNothing' });
});
