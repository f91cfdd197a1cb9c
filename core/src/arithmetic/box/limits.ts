import { COMMON } from '../../message/common/messages.ts';
import { limitAnswers, type MethodLimit } from '../../sources/limits.ts';
import { defineMethod, type MethodId } from '../../sources/methods.ts';
import { M } from './messages.ts';

const um = (v: number) => v / 1000;

type FaceLimit = MethodLimit & { school: 'standards' | 'proportional' | 'flat' };

/**
 * Squareness of a box face, TIR of the sweep. 0.5 µm per mm of box bore: standards, from memory; 5 µm per mm of shaft and
 * flat 0.05 mm: common practice, no source.
 */
export const faceLimits = (shaftMm: number, boreMm: number): FaceLimit[] => [
  {
    school: 'standards',
    title: M.n05MPerMm,
    limitMm: um(0.5 * boreMm),
    source: 'pump-standards',
  },
  { school: 'proportional', title: M.n5MPerMmShaft, limitMm: um(5 * shaftMm), source: 'practice' },
  { school: 'flat', title: COMMON.flat, limitMm: 0.05, source: 'practice' },
];

/** The standards' squareness is our own choice for new work. */
export const BOX_FACE = defineMethod({
  id: 'face',
  ask: M.squarenessBoxFaceTir,
  why: M.standardsNewWorkLooserOnes,
  usual: 'standards',
  answers: limitAnswers(faceLimits(1, 1)),
  ofJob: true,
});
export type FaceMethod = MethodId<typeof BOX_FACE>;
