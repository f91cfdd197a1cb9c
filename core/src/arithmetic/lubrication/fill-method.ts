import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** First fill of a housing: by speed, base to the shaft, or a share of the free space. By speed is our own choice. */
export const FIRST_FILL = defineMethod({
  id: 'fill',
  ask: M.firstFillHousing,
  why: M.bearingAlwaysFullSpeedOur,
  usual: 'by-speed',
  answers: [
    ['by-speed', M.speedFactor, PRACTICE],
    ['to-shaft', M.baseShaftsUnderside, PRACTICE],
    ['share', M.n2040SealedBearings80, PRACTICE],
  ],
});
export type FillMethod = MethodId<typeof FIRST_FILL>;
