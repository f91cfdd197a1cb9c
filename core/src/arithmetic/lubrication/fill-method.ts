import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** First fill of a housing: by speed, base to the shaft, or a share of the free space. By speed is our own choice. */
export const FIRST_FILL = defineMethod({
  id: 'fill',
  ask: 'First fill of a housing',
  why: 'The bearing is always full; by speed is our own choice for the housing: churning is what heats.',
  usual: 'by-speed',
  answers: [
    ['by-speed', 'by speed factor', PRACTICE],
    ['to-shaft', 'base to the shaft’s underside', PRACTICE],
    ['share', '20 to 40 %, sealed bearings 80 %', PRACTICE],
  ],
});
export type FillMethod = MethodId<typeof FIRST_FILL>;
