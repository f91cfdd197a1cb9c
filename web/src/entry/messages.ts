import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/entry.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.entry', en, {
  device: { n: 'count', job: 'text', status: ['noConnection', 'signSend', 'sending'] },
  feedStoppedNothingTurnStored: { turned: 'text' },
  job: { here: 'count' },
  makersSheet: { quantity: 'text' },
  makersSheet2: { said: 'text', text: 'text' },
  makersValueTakenBack: { said: 'text' },
  meanFromFeed: { samples: 'count' },
  minute: { value: 'text' },
  nothingTyped: { label: 'text' },
  outDateSince: { calibrationDue: 'text' },
  reads: { b: 'text' },
  refusedEntryReason: { name: 'text', at: 'text', type: 'text', stringify: 'text', reason: 'text' },
  refusedServer: { count: 'count' },
  schoolFollowed: { said: 'text', said2: 'text' },
  serverSetBackHadFrom: { lost: 'count' },
  shaft: { value: 'text' },
  standBenchPractice: {
    pump: ['pumpNutIndicator', 'thermocouple', 'dropCounterUnder', 'dialMicrometerFeeler'],
  },
  turning360: { turned: 'text' },
  unitOfThisReading: { mark: 'text', other: 'text' },
  pinOf: { name: 'text' },
  typed: { place: 'text', raw: 'text' },
  whoseLimit: { said: 'text' },
  notAllOfTurnStored: { refused: 'text' },
});
