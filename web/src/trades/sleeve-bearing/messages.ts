import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/trades-sleeve-bearing.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.trades.sleeve-bearing', en, {
  abort: { abortPressure: 'text' },
  aboutEighths: { angle: 'text', nutEighthsAim: 'text' },
  band100Past: { hundred: 'text', hundred2: 'text' },
  best: { atLock: ['lock', 'stop'] },
  clearanceAgainstNutAngleReadings: { count: 'count' },
  forward: { worst: 'text' },
  makersSheet: { makerMin: 'count', makerMax: 'count' },
  mayTurnedBeforeNextFeeling: { hundred: 'text' },
  n90100: { low: 'text', high: 'text' },
  nut100EndBand: { angle: 'text', hundred: 'text' },
  on: { inBand: ['band', 'notBand'] },
  on2: { angle: 'text' },
  startNut: { startPressure: 'text', abortPressure: 'text' },
  to: { leftMin: 'text', leftMax: 'text' },
});
