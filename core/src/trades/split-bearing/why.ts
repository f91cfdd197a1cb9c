import { WHY_BEARING, WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of a split roller bearing is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  ...WHY_BEARING,
  pedestal: M.whichLowerHalfGoesDecides,
  outer: M.rollersCrossJointEveryTurn,
  race: M.raceGripsBeingDrawnRound,
  clamps: M.clampRingsJointOverRaces,
  axial: M.fixedCageRunsFreeBetween,
  seat: M.tighteningOneScrewLoosensOthers,
  seated: M.seatingChangesGapsFeltAgain,
  cage: M.joinedTurnedRaceBeforeAnything,
  cartridge: M.halfPortGoesTopGrease,
  lower: M.cartridgeAlignsItselfRoundSeat,
  bolts: M.justClosedShaftTurnedCartridge,
};
