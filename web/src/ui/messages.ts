import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/ui.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.ui', en, {
  torqueFromTo: { least: 'text', most: 'text' },
  at: { due: 'text' },
  comeLast: { count: 'count', title: 'text' },
  couldNotDrawnWhatEntered: { what: 'text' },
  days: { far: 'count' },
  fulcrant: { what: 'text' },
  fulcrant2: { title: 'text' },
  hMin: { whole: 'count', minutes: 'count' },
  inText: { minutes: 'count', padStart: 'text' },
  limit: { limit: 'text' },
  lowStopTargetHighStop: {
    label: 'text',
    value: 'text',
    words: 'text',
    lower: 'text',
    target: 'text',
    upper: 'text',
  },
  next: { due: 'text' },
  why: { title: 'text' },
  why3: { title: 'text' },
  markOf: { title: 'text', status: ['done', 'present', 'closed'], hold: 'text', again: 'text' },
});
