import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('planning', en, {
  noSuchMoment: { what: 'text' },
  beforeWall: { saidMinutes: 'text' },
  comes: { name: 'text' },
  done: { saidMinutes: 'text', moved: ['later', 'sooner'], momentAt: 'text' },
  doneSameTime: { momentAt: 'text' },
  ends: { name: 'text', saidMinutes: 'text', by: ['later', 'sooner'] },
  hands: { hands: 'count' },
  leftOut: { name: 'text' },
  moreJobsMove: { count: 'count' },
  pastWall: { saidMinutes: 'text' },
  runs: { name: 'text' },
  tooLong: { what: 'text' },
  writeDayTime: { what: 'text' },
});
