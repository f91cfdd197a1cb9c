/** The calculators, and what their results are made of. */

export { couplingAlignment, type PlaneValues } from '../arithmetic/alignment/coupling.ts';
export { softFoot } from '../arithmetic/alignment/soft-foot.ts';
export { clearanceClass } from '../arithmetic/bearings/clearance-class.ts';
export { classBand } from '../arithmetic/bearings/clearance-table.ts';
export { driveUpForecast } from '../arithmetic/bearings/drive-up-forecast.ts';
export type { DriveUpTargetValues } from '../arithmetic/bearings/drive-up-target.ts';
export {
  type Alignment,
  type LockAlignmentValues,
  type Pattern,
  patternAngles,
} from '../arithmetic/bearings/lock-alignment.ts';
export { type AheadStop, lockMeets, lockPatterns } from '../arithmetic/bearings/lock-stops.ts';
export { bearingSection, GAP_SCALE, type Vec } from '../arithmetic/bearings/section.ts';
export { wrenchSetting } from '../arithmetic/bolting/wrench.ts';
export { boxBore } from '../arithmetic/box/bore.ts';
export { boxEnvelope } from '../arithmetic/box/envelope.ts';
export { boxFace } from '../arithmetic/box/face.ts';
export { beltSet } from '../arithmetic/drives/belt-set.ts';
export type { FirstFillValues } from '../arithmetic/lubrication/first-fill.ts';
export { RUN_IN_LIMITS } from '../arithmetic/lubrication/run-in.ts';
export { PART_NAME, type VRingPart } from '../arithmetic/packing/plunger.ts';
export type { PackingRingsValues } from '../arithmetic/packing/rings.ts';
export { packingTravel } from '../arithmetic/packing/travel.ts';
export { gasketStack } from '../arithmetic/rebuild/gaskets.ts';
export { LIP_WAYS, type LipValues, type LipWay } from '../arithmetic/rebuild/lips.ts';
export { endFloat } from '../arithmetic/rebuild/shims.ts';
export { CALCULATORS, listCalculators, runCalculator } from '../arithmetic/registry.ts';
export { MARK_NAME } from '../arithmetic/seals/angles.ts';
export type { FaceLoadValues } from '../arithmetic/seals/face-load.ts';
export { glandTilt } from '../arithmetic/seals/gland-tilt.ts';
export { compressionShift } from '../arithmetic/seals/setting.ts';
export { sealWear } from '../arithmetic/seals/wear.ts';
export { shaftBend } from '../arithmetic/shaft/bend.ts';
export { diameterSurvey } from '../arithmetic/shaft/diameter-survey.ts';
export { shaftFinish } from '../arithmetic/shaft/finish.ts';
export { shaftPlay } from '../arithmetic/shaft/play.ts';
export { runout } from '../arithmetic/shaft/runout.ts';
export { runoutGrowth } from '../arithmetic/shaft/runout-growth.ts';
export { roundedDown, turnDrawing } from '../arithmetic/shaft/turn-drawing.ts';
