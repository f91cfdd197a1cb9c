import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** Greased while it runs, or standing still. Running is our own choice: grease spreads, and heat shows at once. */
export const REGREASING = defineMethod({
  id: 'regrease',
  ask: 'Regreasing',
  why: 'Running where it is safe and guarded: grease spreads, and heat shows at once.',
  usual: 'running',
  answers: [
    ['running', 'while it runs, slowly', PRACTICE],
    ['still', 'standing still, until the relief opens', PRACTICE],
  ],
});
export type RegreasingMethod = MethodId<typeof REGREASING>;
