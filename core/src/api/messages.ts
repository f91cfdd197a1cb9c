import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('api', en, {
  has80LettersMost: { what: 'text' },
});
