import { defineMessages } from '@fulcrant/core/messages';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('server.http', en, {
  deviceYouHaveSignedBefore: { wait: 'text' },
  forText: { who: 'text' },
  hasLookedOverAlready: { by: 'text' },
  lastLeadHandMakeSomebody: { name: 'text' },
  mayNotDo: { role: ['lead', 'fitter', 'viewer', 'instructor'] },
  minutes: { minutes: 'count' },
  portsSome: { standInPorts: 'text' },
  retired: { name: 'text' },
  sendBodyAs: { takes: 'text' },
  tooManyWrongTriesWait: { minutes: 'text' },
  whatFallsDue: { site: 'text' },
});
