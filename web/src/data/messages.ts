import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/data.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.data', en, {
  gaugeSendsNoNothingTaken: { raw: 'text', name: 'text' },
  notConfirmedSigns: { name: 'name' },
  jobNeverOpenedDeviceSo: { message: 'text' },
});
