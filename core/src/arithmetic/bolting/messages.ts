import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('arithmetic.bolting', en, {
  notBoltSizeTabledHere: { size: 'text' },
  noSizeKnownHere: { size: 'text' },
  hasEvenNumberBoltsHalf: { layout: ['rectangle', 'splitPart'] },
  as4: { diameter: 'length', inch: ['n09743', 'n09382'], pitch: 'length', area: 'text' },
  drawUntilLonger: { target: 'length' },
  kNStretch: { targetN: 'text', target: 'length' },
  longerProofLoad: { stretch: 'length', doubt: 'length', share: 'text' },
  lowDownNotRelied: { setting: 'torque', percent: 'text' },
  moreThanTakes90Yield: { given: 'torque', size: 'text', grade: 'text', torque: 'torque' },
  n90Yield: { mu: 'text', preloadN: 'force', torque: 'torque' },
  scale: { shareOfScale: 'text' },
  set: { setting: 'torque', percent: 'text' },
  shankThreadSquareMillimetres: { shank: 'text', area: 'text' },
  snug: { name: 'text' },
  to: { scaleLow: 'torque', scaleHigh: 'torque' },
  torque: { name: 'text' },
  wellUnderUsual: { given: 'torque', short: 'torque', size: 'text', grade: 'text' },
  wrenchDoesNotReach: { setting: 'torque' },
});
