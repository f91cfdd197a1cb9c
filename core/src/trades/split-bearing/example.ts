import type { Example } from '../../engine/trade.ts';
import { NAMED, SHARED_WORK } from '../../steps/example.ts';
import { type SplitSetup, USUAL_SPLIT } from './setup.ts';

/** A split bearing on a shaft of 90. */
export const split: SplitSetup = {
  ...USUAL_SPLIT,
  ...NAMED,
  shaftMm: 90,
  boreMm: 90,
  condition: { measures: ['shaft'], seat: 'split-race', splitRaceGrade: 'h8' },
  angles: 3,
};
/** The same as a float, by the other schools. */
export const splitFloat: SplitSetup = {
  ...split,
  role: 'float',
  float: { spanMm: 2000, shaftOverBaseK: 25 },
  raceSchool: 'square-first',
  gaugeSchool: 'gauge-out',
};

const setups: Record<string, SplitSetup> = { 'split bearing': split, 'split bearing, float': splitFloat };

const work: Example<SplitSetup>['work'] = {
  ...SHARED_WORK,
  outer: (h) => h.answerAll('outer'),
  cartridge: (h) => h.answerAll('cartridge'),
  bolts: (h) => h.answerAll('bolts'),
  race: (h) => h.read('race', 'race/a', 0.3, 'feeler').read('race', 'race/b', 0.3, 'feeler'),
  clamps: (h) => h.follow('clamps', 'feeler', () => 0.3, 6).read('clamps', 'offset', 90, 'protractor'),
  axial: (h) => h.read('axial', 'side/towards', 2, 'caliper').read('axial', 'side/away', 2.2, 'caliper'),
  seat: (h) => h.tighten('seat', (r) => (r === 1 ? 40 : r === 2 ? 8 : 2)),
  seated: (h) => h.follow('seated', 'feeler', () => 0.29),
};

/** Each of its variants, and how it is worked. */
export const example: Example<SplitSetup> = { setups, work };
