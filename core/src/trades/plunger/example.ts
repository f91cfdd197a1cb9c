import { V_RING_PARTS } from '../../arithmetic/packing/plunger.ts';
import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { type PlungerSetup, USUAL_PLUNGER } from './setup.ts';

/** A plunger lubricated with oil. */
export const plunger: PlungerSetup = { ...USUAL_PLUNGER, ...NAMED };

const setups: Record<string, PlungerSetup> = { plunger };

const work: Example<PlungerSetup>['work'] = {
  order: (h) => h.answer('order', 'order', 'yes', V_RING_PARTS.join(' ')),
  preload: (h) => h.read('preload', 'back', 270, 'protractor').read('preload', 'end', 20, 'protractor'),
};

/** Each of its variants, and how it is worked. */
export const example: Example<PlungerSetup> = { setups, work };
