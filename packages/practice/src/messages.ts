import { defineMessages } from '@fulcrant/core/messages';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('practice', en, {
  allReadingsAsGoodAs: { count: 'count' },
  boltsWereTickedWithoutPull: { ticks: 'count' },
  calledFitTruly: { truly: 'text' },
  inText: { replace: 'text' },
  inchHowManyMm: { f: 'text' },
  missed: { missed: 'text' },
  mm: { b: 'text' },
  mm2: { stamps: 'text', inches: 'text', mm: 'text' },
  n254: { sum: 'text' },
  n254Mm: { f: 'text', right: 'text' },
  orderWorkJob: { right: 'text' },
  pullsWrenchWereJerkedClicks: { jerked: 'count' },
  questionsWereAnsweredWithoutLooking: { blind: 'count', count: 'count' },
  shaftBetweenMmMeasuresMm: { lower: 'text', upper: 'text', value: 'text', expanded: 'text' },
  stoppedAnotherCauseTruly: { truly: 'text' },
  stoppedRightly: { truly: 'text' },
  stoppedRightlyButTruly: { count: 'text', truly: 'text' },
  theyStandWhatMeasuredSomething: { right: 'text' },
  undoneWhichTheseOpenAgain: { name: 'text', variant: 'text', title: 'text' },
  whatCanNoLongerDone: { name: 'text', title: 'text' },
  whatDoesRead: { unit: 'text' },
  whichComesFirst: { name: 'text', variant: 'text' },
  writeDown: { nothing: 'text', noted: 'text' },
  writtenTrulyGaugeCouldHave: { round: 'text', round2: 'text', round3: 'text' },
});
