import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../../words/en/steps-bolts.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.steps.bolts', en, {
  noWrenchReaches: { torque: 'text' },
  moved: { round: 'count' },
  allCheckedNoneMoved: { count: 'count' },
  allHandTight: { count: 'count' },
  allTightOnTo: { count: 'count', title: 'text' },
  noneMovedOnTo: { count: 'count', title: 'text' },
  allPassesTold: { count: 'count', torque: 'text' },
  allTight: { count: 'count' },
  tightenInThisOrder: { one: ['bolt', 'screw', 'nut'] },
});
