import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('gear-pump', en, {
  changeStack: { pieces: 'text' },
  each: { label: 'text' },
  endClearance2: { gaps: 'text' },
  gapsLooseStack: { times: 'count' },
  howMany: { label: 'text' },
  lockRingDrivenRoundUntil: { ringWay: 'text' },
  place: { gear: ['drive', 'idler'], n: 'count', mm: 'text' },
  stackLoose: { n: 'count' },
  stackUnderTorque: { n: 'count' },
  stacksMeasuredLooseTight: { count: 'count', count2: 'count' },
  straightedgePlace: { gear: ['driveGear', 'idler'], n: 'count' },
  to: { smallest: 'length', largest: 'length' },
});
