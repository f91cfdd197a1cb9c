import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('steps.rebuild', en, {
  doorCloses: { name: 'text' },
  fitTickWayLipFaces: { open: 'text' },
  hand: { now: 'text', filter: 'text' },
  look: { causes: 'text' },
  notUsedAgain: { name: 'text', renewed: 'text' },
  otherWay: { wants: ['inward', 'outward'], wrong: 'text' },
  partsStillTagged: { count: 'count', count2: 'count' },
  tag: { name: 'text' },
});
