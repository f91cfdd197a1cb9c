/** Kinds of step two trades share, with the numbers their figures draw. */

export { type FixedNamed, fixedFirst, NAME_FIXED } from '../steps/bearing/fixed-first.ts';
export { type FloatRoomValues, floatRoom } from '../steps/bearing/float-room.ts';
export { greaseFill } from '../steps/bearing/grease-fill.ts';
export { runInLog } from '../steps/bearing/run-in-log.ts';
export { type BoltSpec, type BoltValues, openIn } from '../steps/bolt-passes.ts';
export { bolts } from '../steps/bolts.ts';
export { type BeltStepValues, beltKey, beltStep } from '../steps/condition/belts.ts';
export { type BoxBoreStepValues, boxBoreStep } from '../steps/condition/box-bore.ts';
export { type BoxFaceStepValues, boxFaceStep } from '../steps/condition/box-face.ts';
export { type CouplingStepValues, couplingStep } from '../steps/condition/coupling.ts';
export { diameters, type ShaftValues } from '../steps/condition/diameters.ts';
export { type EnvelopeStepValues, envelopeStep } from '../steps/condition/envelope.ts';
export { type FinishStepValues, finishStep } from '../steps/condition/finish.ts';
export { type HousingsStepValues, housingsStep } from '../steps/condition/housings.ts';
export { type PlayStepValues, playKey, playStep } from '../steps/condition/play.ts';
export { type RunoutStepValues, runoutStep } from '../steps/condition/runout.ts';
export { footKey, type SoftFootStepValues, softFootStep } from '../steps/condition/soft-foot.ts';
export { gate } from '../steps/gate.ts';
export { type GlandGapsValues, gaps } from '../steps/gland-gaps.ts';
export { type AssemblyValues, assemblies, type PartShape } from '../steps/rebuild/assembly.ts';
export { handTurns } from '../steps/rebuild/hand-turn.ts';
export { lipSeals } from '../steps/rebuild/lip-seals.ts';
export { type PartTagsValues, partTags, TAGS, type Tag } from '../steps/rebuild/part-tags.ts';
export { signature } from '../steps/signature.ts';
