import { loosened } from '../../engine/step.ts';
import type { StandsOn } from '../standing.ts';

/** The end every bearing on its sleeve or in halves shares: what is closed, lined up, turned and started stands on what holds it. */
export const CLOSING_STANDS_ON: StandsOn = {
  // The ring's place in its seat is set before grease and cap; moved, the housing is open.
  house: ['float', 'grease'],
  bolts: ['house', 'float'],
  carrieron: ['bolts', 'house', loosened('carrierbolts')],
  carrierbolts: ['bolts', 'house', 'carrieron'],
  carriers: ['bolts', 'carrierbolts', 'house'],
  ringscrews: ['carriers'],
  // The base loosened loses what was lined up on it; lined up anew it is tightened anew.
  softfoot: ['base'],
  housings: ['base', 'load'],
  coupling: ['base'],
  belts: ['base', 'housings', 'softfoot'],
  base: ['load'],
  // A housing whose base bolts were loose may have moved: in line again before they are tight.
  load: [loosened('base')],
  handturn: [
    'bolts',
    'carriers',
    'carrierbolts',
    'ringscrews',
    'load',
    'base',
    'housings',
    'softfoot',
    'belts',
  ],
  start: ['handturn', 'coupling'],
  runin: ['start'],
};
