/** Kinds of step of single trades, with the numbers their figures draw. */

export { asFound } from '../trades/dismounting/as-found.ts';
export { letGo } from '../trades/dismounting/let-go.ts';
export { nutBack } from '../trades/dismounting/nut-back.ts';
export { type DismountSetup, USUAL_DISMOUNT } from '../trades/dismounting/setup.ts';
export { endClearance } from '../trades/gear-pump/clearance.ts';
export { type SqueezeValues, squeeze, stackKey } from '../trades/gear-pump/compression.ts';
export { GEAR_PUMP_TAGGED, lipsOf } from '../trades/gear-pump/parts.ts';
export { type GearPumpSetup, USUAL_GEAR_PUMP } from '../trades/gear-pump/setup.ts';
export { type BreakInStepValues, breakIn } from '../trades/packing/breaking-in.ts';
export { cuttings, packingPlan } from '../trades/packing/plan.ts';
export { ringsLoop } from '../trades/packing/rings-in.ts';
export { type PackingSetup, USUAL_PACKING } from '../trades/packing/setup.ts';
export { type MeasuredRow, measured } from '../trades/plunger/measured.ts';
export { type PartsOrderValues, partsOrder } from '../trades/plunger/parts-order.ts';
export { plungerPreloadStep } from '../trades/plunger/preload.ts';
export { type PlungerSetup, USUAL_PLUNGER } from '../trades/plunger/setup.ts';
export { greaseMatch, greaseStrokes, greaseWatch } from '../trades/regreasing/greasing.ts';
export { type RegreaseSetup, USUAL_REGREASE } from '../trades/regreasing/setup.ts';
export { angles, portsStep } from '../trades/seal/angles.ts';
export { breakaway } from '../trades/seal/breakaway.ts';
export { type ProofValues, sealProof } from '../trades/seal/proof.ts';
export { compression, sealSettingStep } from '../trades/seal/setting.ts';
export { kept } from '../trades/seal/setting-kept.ts';
export { type SealSetup, USUAL_SEAL } from '../trades/seal/setup.ts';
export { baselines, gasStep, splitGaps, sweepMiddle, throttleStep } from '../trades/seal/small.ts';
export { USUAL_WEAR, type WearSetup } from '../trades/seal-wear/setup.ts';
export { type WearWatchValues, wearWatch } from '../trades/seal-wear/wear-watch.ts';
export { type BenchValues, benchClearance } from '../trades/sleeve-bearing/bench-clearance.ts';
export { type DriveUpStepValues, driveUp } from '../trades/sleeve-bearing/drive-up.ts';
export { type DriveUpAngleValues, driveUpAngle } from '../trades/sleeve-bearing/drive-up-angle.ts';
export {
  type DriveUpHydraulicValues,
  driveUpHydraulic,
} from '../trades/sleeve-bearing/drive-up-hydraulic.ts';
export { lock } from '../trades/sleeve-bearing/lock.ts';
export { lockBySchool } from '../trades/sleeve-bearing/lock-by-school.ts';
export { nutZero } from '../trades/sleeve-bearing/nut-zero.ts';
export { type SleeveSetup, USUAL_SETUP } from '../trades/sleeve-bearing/setup.ts';
export { target } from '../trades/sleeve-bearing/target.ts';
export { axialPlace } from '../trades/split-bearing/axial-place.ts';
export { races } from '../trades/split-bearing/race-gaps.ts';
export { type SplitSetup, USUAL_SPLIT } from '../trades/split-bearing/setup.ts';
export { type ConditionSetup, USUAL_CONDITION } from '../trades/survey/setup.ts';
export { type VerdictValues, verdict } from '../trades/survey/verdict.ts';
export { VANE_PUMP_TAGGED } from '../trades/vane-pump/parts.ts';
export { USUAL_VANE_PUMP, type VanePumpSetup } from '../trades/vane-pump/setup.ts';
export { type ShimCountValues, shimCounts, shimFloats, writeHeap } from '../trades/vane-pump/shims.ts';
