import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('metrology', en, {
  daysFromLastReading: { left: 'count', band: 'text', bends: ['bends', 'even'] },
  handNotKnownFinerGauge: { step: 'length' },
  handNotKnownReadOr: { more: 'text', where: 'text' },
  moreReadings: { more: 'count' },
  n95: { from: 'count', to: 'text' },
  noNumberReadingsGaugeSettles: { step: 'length' },
  tooEarlyDayTakesReadings: { leastReadings: 'count' },
  wouldSettleIfTheyAgree: { more: 'text', where: 'text' },
});
