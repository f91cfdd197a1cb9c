import { defineMessages } from '../../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('steps.bearing', en, {
  notSetup: { what: 'text' },
  bearingReading: { n: 'count' },
  carrierBoltsTorque2: { after: 'text' },
  carrierBoltsWhicheverOrderHousing: { after: 'text' },
  filledQuantityAboveNoMore: { filled: 'text' },
  fixedBearing: { position: 'text', sheet: 'text' },
  fixedBearingNotYetJob: { position: 'text', title: 'text' },
  grows: { growth: 'length' },
  isOn: { position: 'text' },
  jobAnotherMachine: { machine: 'text' },
  measure: { place: 'text' },
  readBearingAgainMinutesAfter: { nextMinutes: 'text' },
  ringSeatTowardsFixedBearing: { towards: 'text', away: 'text' },
  sheet: { sheet: 'text' },
  snapRingMovedOtherGroove: { snapRing: ['fixed', 'float'] },
  steady: { value: 'text' },
  wrenchBoltBoltSheetsValue: { after: 'text' },
});
