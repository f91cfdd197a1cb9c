import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/trades-vane-pump.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.trades.vane-pump', en, {
  countedAsWanted: { heap: 'text' },
  shims: { lengthDigits: 'text', unit: 'text' },
});
