import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('plunger', en, {
  thatIs: { travel: 'text' },
  markMm: { deg: 'count', deg2: ['short', 'past'], travel: 'text' },
  backedOffMm: { back: 'count', travel: 'text' },
  dropsMinute: { drops: 'count', proved: 'text' },
  earlyLook: { label: 'text' },
  leakCheck: { named: 'text' },
  leakageDropsMinute: { when: 'text' },
  packingNut: { when: 'text' },
  packingNutStop: { at: 'temperature', proved: 'text' },
  placeFromPressureEndWrong: { at: 'count', why: 'text' },
  pressure: { rings: 'count' },
  set: { listOf: 'text' },
  stillRead: { label: 'text' },
  to: { lower: 'text', upper: 'text' },
  wornWhereRuns: { value: 'length' },
});
