import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/steps-rebuild.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.steps.rebuild', en, {
  renewAllAlwaysNew: { count: 'count' },
  alwaysNew: { renewed: 'text' },
});
