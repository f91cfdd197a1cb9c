import { defineMessages } from '@fulcrant/core/messages';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('server.export', en, {
  contentHashSha256Json: { contentHash: 'text' },
  fromSheet: { number: 'text' },
  of: { page: 'count', of: 'count' },
  rev: { revision: 'count' },
  revision: { revision: 'count' },
  rules: { origin: ['keptAsSigned', 'signedBeforeSheetsWe'], when: 'text', rules: 'text' },
  timesPlantsClock: { day: 'text', zone: 'text' },
});
