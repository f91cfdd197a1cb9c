import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('sheet', en, {
  leftOutAtDepth: { depth: ['essential', 'standard', 'thorough'] },
  at: { said: 'text', title: 'text' },
  attempt: { attempt: 'count' },
  corrected: { reason: 'text' },
  deviationAccepted2: { title: 'text', attempt: 'text' },
  entriesWere: { count: 'count' },
  first: { answerWord: 'text' },
  hold: { title: 'text' },
  loosened: { what: 'text' },
  madeWithoutNetworkDevicesOwn: { count: 'text', first: 'text' },
  measuring: { measuring: 'count' },
  measuringBefore: { i: 'count' },
  moved: { moved: 'count' },
  pass: { pass: 'count' },
  revisionOpened: { n: 'count' },
  roundOpenedAgain: { i: 'count' },
  setupChanged: { changed: 'text' },
  signedBefore: { signedBefore: 'text' },
  source: { title: 'text', rank: 'text' },
  struck: { title: 'text' },
  thenText: { answerWord: 'text' },
  timesSheetDoesNotReplace: { timeZone: 'text' },
  to: { first: 'text', last: 'text' },
  why: { reason: 'text' },
});
