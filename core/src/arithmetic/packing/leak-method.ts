import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** Leakage of packing: drops by the shaft’s diameter, or one flat figure. By the diameter is our own choice. */
export const LEAKAGE = defineMethod({
  id: 'leak',
  ask: 'Leakage of packing, steady',
  why: 'By the diameter is our own choice: a large shaft needs more to run cool.',
  usual: 'per-diameter',
  answers: [
    ['per-diameter', '8 to 12 drops a minute for each 25 mm', PRACTICE],
    ['flat', 'one figure, given with the job', PRACTICE],
  ],
});
export type LeakMethod = MethodId<typeof LEAKAGE>;
