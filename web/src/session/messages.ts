import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/session.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.session', en, {
  entriesWaitDeviceEachPersons: { count: 'count' },
  sSignHasRunOut: { name: 'text' },
  signed: { name: 'text', roleSaid: 'text' },
});
