import { COMMON } from '../../message/common/messages.ts';
import { len } from '../../quantities/say.ts';
import { limitAnswers, type MethodLimit } from '../../sources/limits.ts';
import { defineMethod, type MethodId } from '../../sources/methods.ts';
import { M } from './messages.ts';

const um = (v: number) => v / 1000;

/** In proportion to the shaft run-out is allowed no more than this. Our own choice. */
const MOST_RUNOUT_MM = 0.08;

type RunoutLimit = MethodLimit & { school: 'proportional' | 'flat' | 'standards' };

/**
 * Run-out allowed at a seal, TIR. Proportional 1 µm per mm of diameter and flat 0.05 mm: common practice, no source;
 * 0.025 mm: process-pump standards, from memory.
 */
export const runoutLimits = (shaftMm: number): RunoutLimit[] => [
  {
    school: 'proportional',
    title:
      shaftMm > 80
        ? M.thousandthShaftMostOurOwn({ mostRunoutMm: len(MOST_RUNOUT_MM, 2) })
        : COMMON.thousandthShaft,
    limitMm: Math.min(um(shaftMm), MOST_RUNOUT_MM),
    source: 'practice',
  },
  { school: 'flat', title: COMMON.flat, limitMm: 0.05, source: 'practice' },
  { school: 'standards', title: M.processPumpStandards, limitMm: 0.025, source: 'pump-standards' },
];

/** Run-out by the diameter is our own choice, since it scales with the surface speed of the wobble. */
export const RUNOUT = defineMethod({
  id: 'runout',
  ask: M.runOutSealTir,
  why: M.proportionOurOwnChoiceScales,
  usual: 'proportional',
  answers: limitAnswers(runoutLimits(1)),
  ofJob: true,
});
export type RunoutMethod = MethodId<typeof RUNOUT>;

type EndPlayLimit = MethodLimit & { school: 'strict' | 'flat' };

/** End play allowed: 0.13 mm, or 0.25 mm by the flat method. Common practice, no source. */
export const endPlayLimits = (): EndPlayLimit[] => [
  { school: 'strict', title: M.sealPractice, limitMm: 0.13, source: 'practice' },
  { school: 'flat', title: M.flatSchool, limitMm: 0.25, source: 'practice' },
];

/** The stricter end play is our own choice. */
export const END_PLAY = defineMethod({
  id: 'endPlay',
  ask: COMMON.endPlay,
  why: M.stricterOurOwnChoiceSeals,
  usual: 'strict',
  answers: limitAnswers(endPlayLimits()),
  ofJob: true,
});
export type EndPlayMethod = MethodId<typeof END_PLAY>;
