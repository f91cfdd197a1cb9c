import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('arithmetic.planning', en, {
  planNotNetwork: { id: 'text' },
  needsWriteNameWholeNumber: { id: 'text', n: 'text' },
  notThere: { id: 'text' },
  by: { end: 'count', by: 'text' },
  comesAfterWhichNotThere: { id: 'text' },
  doneAfterAboveBeforeWhich: { end: 'count', percent: 'text', end2: 'count', by: 'text' },
  doneAfterNoPlanShorter: { end: 'count', by: 'text' },
  hands: { count: 'count' },
  needs: { count: 'text', there: 'text' },
  needsThere: { n: 'count', p: 'text', count: 'count' },
  needsWhichNotThere: { p: 'text' },
  onlyHereCanDo: { there: 'count' },
  theseWaitEachOtherCircle: { circle: 'text' },
  throatOneMoreBringsEnd: { throat: 'text', throat2: 'count' },
  to: { start: 'count', finish: 'count' },
  waits: { id: 'text' },
});
