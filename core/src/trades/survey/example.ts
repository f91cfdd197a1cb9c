import type { Example } from '../../engine/trade.ts';
import { closeSeat, SHARED_WORK } from '../../steps/example.ts';
import { type ConditionSetup, USUAL_CONDITION } from './setup.ts';

/** A pump to survey: every measure of chapter two that a box and a coupling have. */
export const survey: ConditionSetup = {
  ...USUAL_CONDITION,
  condition: { ...USUAL_CONDITION.condition, turnBy: 'angles' },
  machine: 'Raw juice pump 4',
  position: 'Seal, drive side',
};

const setups: Record<string, ConditionSetup> = {
  surveyed: { ...survey, shaftMm: 90, condition: { ...survey.condition, measures: ['look', 'shaft'] } },
};

const work: Example<ConditionSetup>['work'] = { ...SHARED_WORK, shaft: closeSeat };

/** Each of its variants, and how it is worked. */
export const example: Example<ConditionSetup> = { setups, work };
