import { describe, expect, it } from 'vitest';
import { procedureFor } from '../../engine/trades.ts';
import { english } from '../../testing/english.ts';
import { upTo } from '../../testing/every-kind.ts';
import { but, handAt } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { plunger } from './example.ts';

describe('a plunger’s set', () => {
  const lay = (h: BearingHand, note: string) =>
    h.do('gate.answered', { step: 'order', item: 'order', answer: 'yes', note });

  it('is not put in out of order; either pressure ring may come first', () => {
    const h = upTo(handAt(plunger), 'order');
    lay(h, 'bottom-ring header adapter pressure-1 pressure-2 wiper');
    expect(() => h.pass('order')).toThrow(/Place 3 from the pressure end/);
    lay(h, 'bottom-ring header pressure-2 pressure-1 adapter wiper');
    h.pass('order');
  });

  it('the wiper faces the pressure with oil, away from it with grease', () => {
    const lip = (lubrication: 'oil' | 'grease') =>
      JSON.stringify(
        english(procedureFor(but(plunger, { lubrication })).steps.find((s) => s.id === 'in')?.items),
      );
    expect(lip('oil')).toContain('faces the pressure (oil)');
    expect(lip('grease')).toContain('faces away from the pressure (grease)');
  });

  it('the nut must come back within an eighth of a turn', () => {
    const h = upTo(handAt(plunger), 'preload');
    h.read('preload', 'back', 270, 'protractor').read('preload', 'end', -60, 'protractor');
    expect(() => h.pass('preload')).toThrow();
    h.do('measure.repeated', { step: 'preload', done: 'Turned on' });
    h.read('preload', 'back', 270, 'protractor').read('preload', 'end', 40, 'protractor');
    h.pass('preload');
  });
});
