import { WHY_EVERY, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of taking a bearing off is there. */
export const why: Why = {
  ...WHY_EVERY,
  found: M.bearingTellsWhyDiedHow,
  residual: M.leftMeasuredClearanceGrownSince,
  loose: M.nutTurnedAgainstLoadStrips,
  nutback: M.sleeveHoldsTaperLetsGo,
  letgo: M.oilBetweenFacesCarriesBearing,
  pumpoff: M.oilLeftUnderPistonComes,
  parts: M.whoeverAsksWhyFailedNeeds,
};
