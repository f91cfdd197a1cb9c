/** Kinds of step two trades share, with the numbers their figures draw. */

export { type FixedNamed, fixedFirst, NAME_FIXED } from '../steps/bearing/fixed-first.ts';
export { floatRoom } from '../steps/bearing/float-room.ts';
export { greaseFill } from '../steps/bearing/grease-fill.ts';
export { runInLog } from '../steps/bearing/run-in-log.ts';
export { type BoltValues, eachIsJudged, openIn } from '../steps/bolt-passes.ts';
export { bolts } from '../steps/bolts.ts';
export { beltStep } from '../steps/condition/belts.ts';
export { boxBoreStep } from '../steps/condition/box-bore.ts';
export { boxFaceStep } from '../steps/condition/box-face.ts';
export { couplingStep } from '../steps/condition/coupling.ts';
export { diameters } from '../steps/condition/diameters.ts';
export { envelopeStep } from '../steps/condition/envelope.ts';
export { finishStep } from '../steps/condition/finish.ts';
export { housingsStep } from '../steps/condition/housings.ts';
export { playStep } from '../steps/condition/play.ts';
export { runoutStep } from '../steps/condition/runout.ts';
export { footKey, softFootStep } from '../steps/condition/soft-foot.ts';
export { gate } from '../steps/gate.ts';
export { gaps } from '../steps/gland-gaps.ts';
export { assemblies } from '../steps/rebuild/assembly.ts';
export { handTurns } from '../steps/rebuild/hand-turn.ts';
export { lipSeals } from '../steps/rebuild/lip-seals.ts';
export { type PartTagsValues, partTags, TAGS, type Tag } from '../steps/rebuild/part-tags.ts';
export { signature } from '../steps/signature.ts';
