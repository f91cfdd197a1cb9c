import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** Leakage of packing: drops by the shaft’s diameter, or one flat figure. By the diameter is our own choice. */
export const LEAKAGE = defineMethod({
  id: 'leak',
  ask: M.leakagePackingSteady,
  why: M.diameterOurOwnChoiceLarge,
  usual: 'per-diameter',
  answers: [
    ['per-diameter', M.n812DropsMinuteEach, PRACTICE],
    ['flat', M.oneFigureGivenJob, PRACTICE],
  ],
});
export type LeakMethod = MethodId<typeof LEAKAGE>;
