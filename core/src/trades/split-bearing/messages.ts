import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('split-bearing', en, {
  ringJointsApart: { clampOffset: 'count' },
  and: { gap: 'length', gap2: 'length' },
  cageRunsFreeBetweenRibs: { a: 'length', b: 'length' },
  clampRingGapesAlike: { which: ['second', 'first'] },
  clampRingHasNoGap: { which: ['second', 'first'] },
  clampRingSScrewsNot: { which: ['second', 'first'] },
  lipsInwardJointsOffRaces: { clampOffset: 'count' },
  raceAlongShaftOneSide: { towards: 'text', away: 'text' },
  ringsJointsStandFromRaces: { deg: 'count' },
  ringsJointsStandFromRaces2: { deg: 'count', wanted: 'count' },
  rollersStandMiddleEdges: { a: 'length', b: 'length' },
  rollersStandOffMiddleWhether: { offset: 'length' },
  shaftGrows: { growth: 'length' },
});
