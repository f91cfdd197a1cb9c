import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/figures.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.figures', en, {
  afterMinutesCaution: { temperatureC: 'text', minutes: 'count', cautionC: 'text' },
  between: { lower: 'text', upper: 'text' },
  dottedCautionDashed: { baseName: 'text', baseC: 'text', cautionC: 'text' },
  dropsMinute: { value: 'text' },
  least: { lower: 'text' },
  limitAbout: { on: 'text' },
  mend: { shown: 'text' },
  most: { upper: 'text' },
  n95100: { on: 'text', to: 'text' },
  on: { value: 'text', found: ['asFound', 'none'], at: 'text' },
  turn: { name: 'text' },
});
