import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of a bearing on its adapter sleeve is there. */
export const why: Why = {
  nuts: M.whyBothNuts,
  carrieron: M.whyBeadFirst,
  ...WHY_EVERY,
  ...WHY_SHAFT,
  ...WHY_BEARING,
  bench: M.howTightWillSitKnown,
  target: M.drivenUpTooLittleSleeve,
  fit: M.taperBearingTravelsDozenTimes,
  zero: M.angleCountsOnlyFromWhere,
  driveup: M.eachMethodMeasuresSameGrip,
  release: M.nutLeftUnderPressureLooks,
  lock: M.nutDroveUpGoesForward,
};
