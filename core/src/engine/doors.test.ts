import { describe, expect, it } from 'vitest';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll, workStep } from '../testing/every-kind.ts';
import { handAt, imke } from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { Setup } from './setup.ts';
import { procedureFor } from './trades.ts';

/** Worked by the book until a step is the present one. */
function upTo(h: BearingHand, id: string): BearingHand {
  for (let i = 0; i < 60 && h.state.present !== id; i++) {
    const at = h.state.present ?? '';
    workStep(h);
    h.pass(at);
  }
  return h;
}
const kind = (name: string): Setup => EVERY_KIND[name] as Setup;
const status = (h: BearingHand) => Object.fromEntries(h.state.steps.map((s) => [s.id, s.status]));
const opened = (h: BearingHand) => h.state.steps.flatMap((s) => (s.reopened ? [s.id] : []));

describe('what was undone opens what stands on it', () => {
  it('the impeller moved after the start: isolation by name, the tail of the order, hand turn and a new proof', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'proof');
    h.read('proof', 'leak/0', 3, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    h.act('move-impeller', undefined, 'rubs its wear ring');
    // Handed over for the start: nobody goes near before it is isolated again.
    expect(h.state.present).toBe('safe');
    for (const id of [
      'impeller',
      'glandbolts',
      'gland-gaps',
      'screws',
      'clips',
      'handturn',
      'pipes',
      'ready',
      'proof',
    ])
      expect(opened(h), id).toContain(id);
    for (const id of ['shaft', 'parts', 'slide']) expect(opened(h), id).not.toContain(id);
    expect(() => h.pass('glandbolts')).toThrow(/Safety and parts check.*comes first/);
    upTo(h, 'proof');
    // The reading before is history: the proof begins again.
    expect(h.state.steps.find((s) => s.id === 'proof')?.report?.next?.key).toBe('leak/0');
    expect(h.state.readings.some((r) => r.step === 'proof')).toBe(false);
  });

  it('gland bolts loosened during the proof: gaps, screws, hand turn, pipes, start and proof, isolated first', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'proof');
    h.do('bolts.loosened', { step: 'glandbolts', reason: 'gasket weeps' });
    expect(h.state.present).toBe('safe');
    expect(opened(h)).toEqual(
      expect.arrayContaining(['safe', 'gland-gaps', 'screws', 'handturn', 'pipes', 'ready']),
    );
    expect(status(h).impeller).not.toBe('present');
    upTo(h, 'glandbolts');
    expect(h.state.steps.find((s) => s.id === 'glandbolts')?.status).toBe('present');
    workAll(h);
    const sheet = fitUpSheet(h.state, 'F-1');
    // Both rounds print: bolts of the first and of the second, questions too.
    expect(new Set(sheet.bolts.filter((b) => b.step === 'screws').map((b) => b.attempt))).toEqual(
      new Set([1, 2]),
    );
    expect(sheet.steps.find((s) => s.id === 'safe')?.rounds).toHaveLength(1);
    expect(JSON.stringify(english(sheet.document))).toContain('Gland bolts: loosened, gasket weeps');
  });

  it('before the start isolation still stands, and is not asked again', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'handturn');
    h.do('bolts.loosened', { step: 'glandbolts', reason: 'one was dry' });
    // The clips go back in before the gland bolts.
    expect(h.state.present).toBe('impeller');
    expect(opened(h)).not.toContain('safe');
  });

  it('a gap withdrawn, or felt anew, opens the hand turn after it', () => {
    for (const undo of ['withdraw', 'repeat'] as const) {
      const h = upTo(handAt(kind('component seal')), 'pipes');
      const gap = h.state.readings.find((r) => r.step === 'gland-gaps');
      if (undo === 'withdraw')
        h.do('reading.withdrawn', { reading: gap?.id ?? '', reason: 'blade was bent' });
      else h.do('measure.repeated', { step: 'gland-gaps', done: 'bolts moved' });
      expect(h.state.present, undo).toBe('gland-gaps');
      expect(opened(h), undo).toContain('handturn');
    }
  });

  it.each([
    ['component seal', 'screws', ['collar', 'close', 'glandbolts', 'gland-gaps', 'impeller', 'handturn']],
    ['cartridge seal', 'screws', ['clips', 'handturn']],
    ['cartridge seal, clips first', 'screws', ['handturn']],
    [
      'cartridge split seal',
      'rotaryjoint',
      ['splitgaps', 'screws', 'gland', 'angles', 'glandjoint', 'glandbolts'],
    ],
    ['fully split seal', 'rotaryjoint', ['splitgaps', 'faces', 'angles', 'gland', 'glandjoint', 'baseline']],
    ['clamped split seal', 'rotaryjoint', ['faces', 'drawin', 'glandbolts', 'fixtures', 'baseline']],
    ['purged seal', 'glandbolts', ['shims', 'handturn', 'gas']],
  ])(
    'a %s, its %s loosened after the start: what they held comes again, to a new proof and the signature',
    (name, undone, opens) => {
      const h = upTo(handAt(kind(name)), 'proof');
      h.do('bolts.loosened', { step: undone, reason: 'to look again' });
      expect(opened(h)).toEqual(expect.arrayContaining([...opens, 'safe', 'pipes', 'ready']));
      expect(h.state.present).toBe('safe');
      workAll(h);
      expect(h.state.signed).not.toBeNull();
    },
  );

  it('a hold point that was released stands again, and an acceptance of the first round does not cover the second', () => {
    const h = handAt({ ...kind('cartridge seal'), holdBefore: ['handturn'] } as Setup);
    for (let i = 0; i < 60 && h.state.present !== 'handturn'; i++) {
      const at = h.state.present ?? '';
      workStep(h);
      h.pass(at);
    }
    h.by(imke).do('step.released', { step: 'handturn' });
    h.by({ id: 'asta', name: 'Asta', role: 'fitter' });
    workStep(h);
    h.pass('handturn').do('bolts.loosened', { step: 'glandbolts', reason: 'one was dry' });
    for (let i = 0; i < 60 && h.state.present !== 'handturn'; i++) {
      const at = h.state.present ?? '';
      workStep(h);
      h.pass(at);
    }
    expect(() => h.answerAll('handturn')).toThrow(/held.*opened again/);
  });

  it.each(Object.entries(EVERY_KIND))(
    'in a job %s every step named as stood on is there, and no step stands on itself',
    (_n, setup) => {
      const { steps } = procedureFor(setup);
      const ids = steps.map((s) => s.id);
      for (const [i, s] of steps.entries())
        for (const on of s.standsOn ?? [])
          if (ids.includes(on)) expect(ids.indexOf(on), `${s.id} on ${on}`).toBeLessThan(i);
    },
  );
});
