import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('arithmetic.rebuild', en, {
  noStackThickerThanMm: { thickestMm: 'count' },
  aim: { least: 'length', most: 'length', aim: 'length' },
  endClearanceUnderTorqueGears: { range: 'text' },
  endClearanceUnderTorqueWithin: { range: 'text' },
  endFloatBetween: { float: 'length', least: 'length', most: 'length' },
  endFloatShims: {
    float: 'length',
    float2: ['tooSmall', 'tooLarge'],
    change: 'length',
    change2: ['more', 'less'],
  },
  endFloatWithinDialsDoubt: { float: 'length' },
  feelAgainFinerBladesChange: { way: 'text' },
  inwardOutwardOpen: { count: 'count', count2: 'count', open: 'count' },
  lipFacesMustFace: { l: 'text', fitted: ['inward', 'outward'], wants: ['inward', 'outward'] },
  lipSealsStillFittedTicked: { open: 'count', count: 'count' },
  looseLooseTightLoose: { fraction: 'text', uncertainty: 'text' },
  most: { small: 'length', f: 'count', stack: 'length', smallest: 'length', largest: 'length' },
  n95100: { uncertainty: 'text' },
  noHeapWhatHandComes: { wanted: 'length', tolerance: 'length' },
  noStackWhatHandDoes: { buy: 'text' },
  onePieceMoreWould: { buy: 'length' },
  oneShimMoreWouldDo: { buy: 'length' },
  overUnder: { least: 'length', most: 'length' },
  putLoose: { pieces: 'text', sum: 'length' },
  stackWanted2: { value: 'length' },
  thesePairsStackLosesUnder: { fraction: 'text' },
  to: { small: 'length', large: 'length' },
  to2: { least: 'length', most: 'length' },
  underTorqueOnlyLeftTightest: { smallest: 'length' },
  underTorqueOpenWidestPlace: { largest: 'length' },
  wantedFloat: { stack: 'length', way: ['text', 'text2'], float: 'length', least: 'length', most: 'length' },
});
