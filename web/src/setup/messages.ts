import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/setup.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.setup', en, {
  asUsually2: { value: 'text' },
  askedStepNeeds: { laterSaid: 'text' },
  boxesOpen: { count: 'count' },
  cardVersion: { version: 'count', looked: 'text' },
  fieldsWantLook: { faulty: 'count' },
  fromStampDottedUntilLooked: { fromStamp: 'text' },
  lookedOver: { by: 'text' },
  makersValues: { setup: 'text' },
  newPositionCanNamedBelow: { message: 'text' },
  values: { fromStamp: 'count' },
});
