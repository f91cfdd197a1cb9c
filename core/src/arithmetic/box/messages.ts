import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('arithmetic.box', en, {
  wholeSwing: { tir: 'length' },
  against: { value: 'length', q: 'text' },
  anglesRead: { count: 'count', wanted: 'count' },
  atAnd: { high: 'count', low: 'count' },
  atAnd2: { high: 'text', low: 'text' },
  backFirstAngleGaugeReads: { closing: 'length' },
  faceWarpedApartFromTilt: { amplitude: 'length' },
  highestLowest: { high: 'text', low: 'text', tir: 'length' },
  is: { name: 'text', value: 'length', margin: 'length', below: ['short', 'over'], under: 'text' },
  n1AmplitudeWallNearest: { amplitude: 'length', uncertainty: 'length', phase: 'text' },
  n22Per100Nearest: { amplitude: 'length', sweepRadius: 'length', tiltMmPer100: 'length', phase: 'text' },
  sBarInsideBoreS: { sag: 'length' },
  shaftFloatsWhereNotHeld: { play: 'length' },
  takesSealSpare: { name: 'text', value: 'length', margin: 'length' },
  tooCloseLimitCall: { name: 'text', value: 'length' },
});
