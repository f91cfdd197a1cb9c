import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/board.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.board', en, {
  all: { count: 'count' },
  allGauges: { count: 'count' },
  at: { wants: ['leadHand', 'stopped'], title: 'text' },
  by: { signedBy: 'text', signedAt: 'text' },
  firstPositionsShownAnotherWord: { count: 'count' },
  good: { calibrationDue: 'text' },
  jobs: { typed: 'text' },
  lastAllSigned: { count: 'count' },
  noneOpenJobsYours: { count: 'count' },
  openOverdueLeadHand: { count: 'count', mine: ['mine', 'none'], count2: 'count', count3: 'count' },
  outDateSince: { calibrationDue: 'text' },
  shownFromThereOlderOnes: { count: 'count', count2: 'count', ordinal: 'text' },
});
