import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('survey', en, {
  and: { endPlay: 'text', orDash: 'text' },
  deviations: { count: 'count' },
  fitReceiveAcceptedName: { count: 'text' },
  fitWhatMeasuredNotMeasured: { unread: 'text' },
  notFitReceivePart: { names: 'text' },
  undecidedTooCloseCall: { names: 'text' },
});
