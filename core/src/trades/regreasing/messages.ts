import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('regreasing', en, {
  enteredAlreadyWithdrawEnterAgain: { label: 'text' },
  giveStrokesSlowlyEnterHow: { wanted: 'count' },
  hours: { intervalH: 'count' },
  noStrokeGivenYet: { wanted: 'count' },
  of: { given: 'count', strokes: 'count' },
  strokes: { given: 'count', wanted: 'count' },
  strokes2: { given: 'count', wanted: 'count' },
  strokesG: { gramsGiven: 'text', grams: 'text' },
  strokesGiven2: { given: 'count', strokes: 'count' },
  strokesMoreThanWorkedOut: { given: 'count', wanted: 'count' },
  thickener: { thickenerFresh: 'text' },
});
