import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('vane-pump', en, {
  cameOffTogether: { said: 'text', sumOf: 'length' },
  capBolts3: { side: 'text' },
  capOff: { side: 'text' },
  endFloat: { side: 'text' },
  guardOff: { side: 'text' },
  handTurn: { side: 'text' },
  headBolts3: { side: 'text' },
  headOff: { side: 'text' },
  nipple: { nipple: 'text' },
  notShimsCameOff: { different: 'text' },
  of: { d: 'count', t: 'length', d2: ['missing', 'tooMany'] },
  off: { sumOf: 'length', sumOf2: 'length' },
  otherHeadLeft: { leftBecause: 'text' },
  sameShimsBack: { side: 'text' },
  shimsFloat: { side: 'text' },
  shimsFloatComesOutWrong: { sumOf: 'length' },
  side: { n: 'count' },
  sparesHand: { label: 'text' },
  thrustPartsOff: { side: 'text' },
  weepHole: { weep: 'text' },
});
