import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('quantities', en, {
  couldWrite: { t: 'text', formatLength: 'text', formatLength2: 'text', replace: 'text' },
  eighths: { n: 'count' },
  notLengthWriteAs0: { text: 'text' },
  notNumberOnePointComma: { split: 'text' },
  notPressureUnitKnownHere: { m: 'text' },
  notTorqueUnitKnownHere: { m: 'text' },
  notUnitKnownHereUse: { word: 'text' },
  turn: { format: 'text', deg: 'text' },
  sixteenths: { n: 'count' },
});
