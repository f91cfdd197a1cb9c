import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/steps.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.steps', en, {
  accepted: { count: 'count', deviations: 'text' },
  markedDone: { count: 'count' },
  doneOnTo: { count: 'count', title: 'text' },
  asRecordedHereSigned: { signed: 'text' },
  doesNotApply: { lacks: 'text', ask: 'text' },
  doesNotApply2: { lacks: 'text' },
  whyDoesNotApply2: { ask: 'text' },
});
