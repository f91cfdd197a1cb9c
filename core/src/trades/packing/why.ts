import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of packing a box is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  handturn: WHY_BEARING.handturn ?? '',
  strip: M.oneOldRingLeftBottom,
  plan: M.sectionHalfWhatBoreShaft,
  cut: M.ringTooLongBulgesOne,
  rings: M.openedSidewaysLikeSpringWasher,
  follower: M.followerCockedPressesOneSide,
  start: M.newPackingMustRunWet,
  breakin: M.eachFlatMovesFollowerSixth,
};
