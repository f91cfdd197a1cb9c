import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

export const FELT_BY = defineMethod({
  id: 'doorFeltBy',
  ask: 'How a door’s gap is felt',
  why: 'A blade is a blade; a coin is what everybody has.',
  usual: 'blade',
  answers: [
    ['blade', 'by a blade', PRACTICE],
    ['coin', 'by a coin', PRACTICE],
  ],
});
export type FeltBy = MethodId<typeof FELT_BY>;
