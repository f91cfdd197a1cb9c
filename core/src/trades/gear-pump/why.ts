import { WHY_EVERY, WHY_REBUILD, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

const PLATE_BOLTS = M.twoGuidePinsKeepGaskets;
const TURN = M.gearsMeshTurnUnderHand;

/** Why each step of a gear pump’s rebuild is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_REBUILD,
  clean: M.endClearanceFewHundredthsFace,
  compress: M.gasketThinnerUnderBoltsThan,
  lips: M.lipKeepsWhatPressesInto,
  bench: M.smallHousingsDowelsChambersMade,
  front: M.gasketWearPlateGasketPlate,
  frontbolts: PLATE_BOLTS,
  gears: M.keywayThreadCutsLipPasses,
  clearance: M.nothingGearsSeizeWarmToo,
  rear: M.lastLookInsideSleevesBoth,
  rearbolts: PLATE_BOLTS,
  drains: M.plugForgottenFoundFloorSame,
  chambers: M.threeTimesSameWhichHow,
  turn1: TURN,
  drive: M.rubberGoesFirstFaceOutward,
  main: M.oneShieldOffGreaseOther,
  nut: M.drawnUpOnceNutSeats,
  nuttorque: M.shortTorqueRotorCreepsAlong,
  turn2: TURN,
  finish: M.openPortsTakeDirtUntil,
};
