import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/trades-seal-wear.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.trades.seal-wear', en, {
  afterDaysDue: { lengthDigits: 'text', days: 'count', lengthDigits2: 'text' },
  n95: { from: 'text', to: 'text' },
  robustLineDashedDue: { dueOn: 'text', dueBand: 'text' },
  serviceWholeLine: { lengthDigits: 'text', dueOn: 'text' },
});
