import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('instruments', en, {
  doesNotReach: { name: 'text', low: 'text', high: 'text' },
  gaugeSendsUnitNotKnown: { m: 'text' },
  gaugeSentWhichNoNumber: { raw: 'text' },
  gaugeSentWhichNoValue: { raw: 'text' },
});
