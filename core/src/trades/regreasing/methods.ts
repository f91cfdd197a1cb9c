import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';
import { M } from './messages.ts';

/** Greased while it runs, or standing still. Running is our own choice: grease spreads, and heat shows at once. */
export const REGREASING = defineMethod({
  id: 'regrease',
  ask: M.regreasing,
  why: M.runningWhereSafeGuardedGrease,
  usual: 'running',
  answers: [
    ['running', M.whileRunsSlowly, PRACTICE],
    ['still', M.standingStillUntilReliefOpens, PRACTICE],
  ],
});
export type RegreasingMethod = MethodId<typeof REGREASING>;
