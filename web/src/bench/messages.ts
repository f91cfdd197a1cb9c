import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/bench.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.bench', en, {
  frictionPowerW: { over: ['overSpeed', 'overPressure'], y: 'text' },
  value: { i: 'count' },
  addedToJob: { machine: 'name' },
  entered: { all: 'text' },
  noteOfSum: { title: 'text' },
  enteredOne: { label: 'text', value: 'name' },
});
