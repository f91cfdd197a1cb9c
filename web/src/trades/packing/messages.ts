import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/trades-packing.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.trades.packing', en, {
  aboutMoreTrend: { value: 'count' },
  bandDropsMinute: { targetLow: 'text', targetHigh: 'text' },
  dropsMinuteAfterFlatsCome: { dropsPerMin: 'count', flats: 'count', targetLow: 'text', targetHigh: 'text' },
  flatsSoFarFollower: { flats: 'count', travel: 'text', left: 'text' },
  mLMinute: { mlPerMin: 'text' },
});
