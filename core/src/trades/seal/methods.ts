import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** The end of a cartridge seal. Screws first is our own choice: with the clips in, the seal cannot move while they bite. */
export const CARTRIDGE_END = defineMethod({
  id: 'tail',
  ask: M.endCartridge,
  why: M.clipsSealCannotMoveWhile,
  usual: 'screws-first',
  answers: [
    ['screws-first', M.setScrewsThenClipsOff, PRACTICE],
    ['clips-first', M.clipsOffThenSetScrews, PRACTICE],
  ],
});
export type CartridgeEndMethod = MethodId<typeof CARTRIDGE_END>;

/** How the ends of a split seal’s O-rings meet. */
export const O_RING_ENDS = defineMethod({
  id: 'oRings',
  ask: M.oRingEndsSplitSeal,
  why: M.eitherFollowedTooFarAs,
  usual: 'flush',
  answers: [
    ['flush', M.flushSplit, PRACTICE],
    ['proud', M.slightlyProud, PRACTICE],
  ],
});
export type ORingMethod = MethodId<typeof O_RING_ENDS>;

/** What holds the spacer of a split holder. */
export const HOLDER_SPACER = defineMethod({
  id: 'spacer',
  ask: M.spacerSplitHolder,
  why: M.asSealsKitHasHeld,
  usual: 'hand-held',
  answers: [
    ['hand-held', M.heldHand, PRACTICE],
    ['fastened', M.fastenedHolder, PRACTICE],
  ],
});
export type SpacerMethod = MethodId<typeof HOLDER_SPACER>;
