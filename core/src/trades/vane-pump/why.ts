import { WHY_EVERY, WHY_REBUILD, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of a vane pump’s seal change is there; each side its own, told once. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_REBUILD,
  relief: M.pumpStaysPipesSoPipes,
  guardoff: M.guardKeptShaftFromNew,
  shimskept: M.shimsSetBearingsPlayEach,
  shimsback: M.nothingSetsPlayChangedSo,
  shimsoff: M.shimsSetBearingsPlayEach,
  thrustoff: M.washerNeedlesWasherRingLaid,
  headoff: M.jackedOwnHolesFewTurns,
  seat: M.seatPressedHandBecauseBlow,
  rotary: M.pinKeywayTopWhereThey,
  headon: M.twoRodsCarryHeadSo,
  headbolts: M.snugAllButTwoUnder2,
  thrust: M.guardOffOnceHeadTight,
  float: M.newHeadBearingOldShims,
  shimson: M.nothingSetsPlayChangedSo,
  cap: M.nippleStandsWhereGreaseCan,
  capbolts: M.crosswiseCapDrawnDownOne,
  turn: M.handWholeTurnsBeforeOther,
  grease: M.slowlyNippleReliefCleanNo,
  store: M.pumpLeftOpenRustsTakes,
};
