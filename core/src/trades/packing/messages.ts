import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('packing', en, {
  belowLantern: { below: 'count' },
  boxScaleShaftAsStrip: { lanternPut: 'text' },
  cutLong: { cut: 'text', cut2: ['n45Diagonal', 'butt'] },
  eachBoxes: { boxes: 'text' },
  jointRing: { i: 'count' },
  jointRingFromTopClockwise: { n: 'count' },
  jointRingStandsOnlyFrom: { i: 'count', d: 'text' },
  jointsRing1Innermost: { stagger: 'count' },
  lanternsMiddlePutDrawnUp: { lanternPut: 'text', lanternDrawn: 'text', port: 'text' },
  mandrelThemOrderAll: { shaft: 'text', count: 'count', boxes: 'text', order: 'text' },
  n812DropsMinuteEach: { value: 'length' },
  neutralLineAllowance: { neutral: 'text', allowancePercent: 'count' },
  ringComesOutFirstJoint: { wrong: 'count' },
  ringComesOutJointToo: { wrong: 'count' },
  rings: { count: 'count', count2: 'count' },
  ringsJointsStaggered: { count: 'count' },
  seatEnterWhereJointStands: { lantern: ['lanternRingFirstThen', 'ring'], n: 'count' },
  sectionMm: { stock: 'count' },
  stuffingBoxSectionRings: { count: 'count', stock: 'text', below: 'text' },
});
