import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { type DismountSetup, USUAL_DISMOUNT } from './setup.ts';

/** A plain sleeve taken off. */
export const dismount: DismountSetup = { ...USUAL_DISMOUNT, ...NAMED };
/** A two-nut unit taken off by pump; the abort pressure invented. */
export const dismountByPump: DismountSetup = {
  ...dismount,
  design: 'hydraulic',
  twoNuts: true,
  maker: { dismountAbortMpa: 50 },
};

const setups: Record<string, DismountSetup> = {
  'taken off': dismount,
  'taken off, found grown': { ...dismount, asLeftMm: 0.05 },
  'taken off, captive nut': { ...dismount, design: 'captive-nut' },
  'taken off by pump': dismountByPump,
};

const work: Example<DismountSetup>['work'] = {
  residual: (h) => h.read('residual', 'found/A', 0.06, 'feeler').read('residual', 'found/B', 0.06, 'feeler'),
  nutback: (h) => h.read('nutback', 'back/1', 800, 'protractor'),
  letgo: (h) => h.read('letgo', 'n1/peak', 32, 'pressure').read('letgo', 'n1/after', 0, 'pressure'),
};

/** Each of its variants, and how it is worked. */
export const example: Example<DismountSetup> = { setups, work };
