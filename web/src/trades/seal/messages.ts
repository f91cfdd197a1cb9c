import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/trades-seal.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.trades.seal', en, {
  drops: { when: 'text', dropsPerMin: 'text', temperatureC: 'text' },
  leakageWholeLineGlandsWarmth: { dueAt: 'text' },
  nextDue: { dueAt: 'text' },
});
