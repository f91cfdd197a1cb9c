import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** The end of a cartridge seal. Screws first is our own choice: with the clips in, the seal cannot move while they bite. */
export const CARTRIDGE_END = defineMethod({
  id: 'tail',
  ask: 'End of a cartridge',
  why: 'With the clips in, the seal cannot move while its screws bite: our own choice.',
  usual: 'screws-first',
  answers: [
    ['screws-first', 'set screws, then clips off', PRACTICE],
    ['clips-first', 'clips off, then set screws', PRACTICE],
  ],
});
export type CartridgeEndMethod = MethodId<typeof CARTRIDGE_END>;

/** How the ends of a split seal’s O-rings meet. */
export const O_RING_ENDS = defineMethod({
  id: 'oRings',
  ask: 'O-ring ends of a split seal',
  why: 'Either is followed; too far in is as bad as proud.',
  usual: 'flush',
  answers: [
    ['flush', 'flush with the split', PRACTICE],
    ['proud', 'slightly proud', PRACTICE],
  ],
});
export type ORingMethod = MethodId<typeof O_RING_ENDS>;

/** What holds the spacer of a split holder. */
export const HOLDER_SPACER = defineMethod({
  id: 'spacer',
  ask: 'Spacer of a split holder',
  why: 'As the seal’s kit has it; held by hand it is asked which surface it touched.',
  usual: 'hand-held',
  answers: [
    ['hand-held', 'held by hand', PRACTICE],
    ['fastened', 'fastened to the holder', PRACTICE],
  ],
});
export type SpacerMethod = MethodId<typeof HOLDER_SPACER>;
