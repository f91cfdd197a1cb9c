import { partsOf } from '../../arithmetic/packing/plunger.ts';
import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { type PlungerSetup, setOf, USUAL_PLUNGER } from './setup.ts';

/** A plunger lubricated with oil. */
export const plunger: PlungerSetup = { ...USUAL_PLUNGER, ...NAMED };

const setups: Record<string, PlungerSetup> = {
  plunger,
  'plunger, four rings': { ...plunger, pressureRings: 4, lantern: 'box', noHeader: true, noWiper: true },
};

const work: Example<PlungerSetup>['work'] = {
  sizes: (h) =>
    h
      .read('sizes', 'plunger/run', 80, 'micrometer')
      .read('sizes', 'plunger/end', 80.005, 'micrometer')
      .follow('sizes', 'micrometer', () => 100),
  proof: (h) => {
    for (const [i, wait] of [1, 15, 45].entries())
      h.wait(wait)
        .read('proof', `leak/${i}`, 2, 'counter')
        .read('proof', `temp/${i}`, 30 + i, 'thermometer');
  },
  order: (h, on) => h.answer('order', 'order', 'yes', partsOf(setOf(on)).join(' ')),
  preload: (h) => h.read('preload', 'back', 270, 'protractor').read('preload', 'end', 20, 'protractor'),
};

/** Each of its variants, and how it is worked. */
export const example: Example<PlungerSetup> = { setups, work };
