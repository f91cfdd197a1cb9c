import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
/**
 * Why a step is there, one paragraph each, for whoever does it the first time. By step id; a trade puts together those it shares
 * with its own. Source: common practice.
 */
export type Why = Readonly<Record<string, Text>>;

/** How a job begins and how it ends. */
export const WHY_EVERY: Why = {
  safe: M.machinesHurtPeopleWhoThought,
  sign: M.yearFromNowSomebodyStands,
};

/** What a shaft and what is round it are measured for. */
export const WHY_SHAFT: Why = {
  look: M.burrCutsORingSlides,
  shaft: M.nothingBetterThanSeatStands,
  finish: M.roughShaftFileWhatSeals,
  runout: M.sealsFacesHaveFollowShaft,
  play: M.endPlayMovesFacesApart,
  face: M.glandStandsAsSquareAs,
  bore: M.boxOffShaftsMiddleLeaves,
  envelope: M.sealDoesNotGoFound,
  softfoot: M.footDoesNotBearPulled,
  housings: M.selfAligningBearingForgivesAngle,
  coupling: M.whatOutLineHereComes,
  belts: M.slackBeltSlipsBurnsThrows,
};

/** What every bearing shares, from its place on the shaft to its first hours. */
export const WHY_BEARING: Why = {
  inboard: M.whatSitsBetweenBearingShoulder,
  fixedfirst: M.oneBearingHoldsShaftOther,
  float: M.steelGrowsMoreThanHundredth,
  grease: M.rollersStartDryMarkedBefore,
  grease1: M.blockedChannelFoundNowFailed,
  house: M.halvesOneHousingWereBored,
  bolts: M.capDrawnDownOneSide,
  carriers: M.carriersFindTheirPlaceClosed,
  carrierbolts: M.drawnUpBeforeCapCarrier,
  ringscrews: M.sealRingNotTightTurns,
  load: M.shaftSlingHangsWhereSling,
  base: M.baseBoltsFixWhatLined,
  handturn: M.handFeelsWhatMotorWould,
  start: M.directionTriedWhileNothingCoupled,
  runin: M.bearingWarmsUpAsSpreads,
};

/** What both rebuilds of a pump share. */
export const WHY_REBUILD: Why = {
  tags: M.pumpGoesTogetherFromWhat,
  start: M.newFacesPumpFullGas,
};
