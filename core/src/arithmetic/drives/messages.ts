import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('arithmetic.drives', en, {
  alikeWithin: { alike: 'count' },
  bC: { a: 'velocity', b: 'velocity', c: 'velocity' },
  bCMmSRms: {
    a: 'count',
    b: 'count',
    c: 'count',
    machine: ['large', 'medium'],
    support: ['rigid', 'flexible'],
  },
  belt: { i: 'count', said: 'text', verdict: ['tooSlackSlipsBurns', 'tooTightBearingsCarr', 'none'] },
  belt3: { i: 'count' },
  beltOneStrand: { at: 'count' },
  beltsDifferTightOnesDrive: { most: 'force' },
  beltsStillMeasured: { open: 'count', count: 'count' },
  bend: { wantedReading: 'force', deflection: 'length' },
  hasChangedMoreThanQuarter: { change: 'velocity' },
  hzNBendSpan: { wantedHz: 'text', wantedForceN: 'text', span: 'length' },
  n4KgMHz: { massKgPerM: 'count', span: 'length', reading: 'text', t: 'force' },
  oneStrandNNWanted: { said: 'text', wantedN: 'text', off: ['none', 'tooSlack', 'tooTightBearingsCarr'] },
  oneStrandNNothingWanted: { said: 'text' },
  turnHandMeasureAgain: { slack: ['moveMotorOut', 'letMotor'] },
  twoWaysDifferNNote: { byFrequencyN: 'text', byDeflectionN: 'text' },
  zone: { v: 'velocity', zone: 'text', meaning: 'text' },
  pumpZones: { a: 'count', b: 'count', c: 'count', critical: ['yes', 'no'] },
  spanTooShortForGauge: { doubt: 'count' },
});
