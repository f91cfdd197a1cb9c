import { len } from '@fulcrant/core/quantities/say';
import { sourceOf } from '@fulcrant/core/sources/register';
import {
  endPlaySchools,
  faceSchools,
  type HouseRules,
  runoutSchools,
  type SchoolLimit,
} from '@fulcrant/core/sources/schools';

export type Question = {
  rule: keyof HouseRules;
  ask: string;
  why: string;
  /** School, what it says (with quantity marks), and on whose word. */
  answers: ReadonlyArray<readonly [string, string, string]>;
};

/** A school's limit as it stands in core: in proportion by its own words, flat by its number. */
const answer = (s: SchoolLimit): readonly [string, string, string] => [
  s.school,
  s.school === 'proportional' || /per mm/.test(s.title) ? s.title : `${len(s.limitMm)}, whatever the size`,
  sourceOf(s.source).title,
];

const PRACTICE = 'common practice';

/** Where practitioners disagree: limits first, as core holds them, then how the work itself begins. */
export const QUESTIONS: readonly Question[] = [
  {
    rule: 'runout',
    ask: 'Run-out at a seal, TIR',
    why: 'In proportion is our own choice: it scales with the surface speed of the wobble.',
    answers: runoutSchools(1).map(answer),
  },
  {
    rule: 'face',
    ask: 'Squareness of a box face, TIR',
    why: 'The standards’ for new work; the looser ones stand beside it as outer limits in the field.',
    answers: faceSchools(1, 1).map(answer),
  },
  {
    rule: 'endPlay',
    ask: 'End play',
    why: 'The stricter is our own choice: a seal’s faces follow every push.',
    answers: endPlaySchools().map(answer),
  },
  {
    rule: 'decision',
    ask: 'When a reading may be called',
    why: 'Inside by more than the doubt is accept, outside by more than it is stop, between is too close to call.',
    answers: [
      ['k2', 'clear of the limit by the whole doubt (k = 2)', sourceOf('gum').title],
      [
        'one-sided',
        'by five sixths of it, where only one side matters (1.65 u)',
        sourceOf('iso-14253').title,
      ],
    ],
  },
  {
    rule: 'driveUp',
    ask: 'How drive-up is judged',
    why: 'Whichever the maker gives; where none is given, feelers: they measure the thing itself.',
    answers: [
      ['feelers', 'clearance by feelers', PRACTICE],
      ['nut-angle', 'nut angle from zero', 'maker’s sheet only'],
      ['hydraulic', 'hydraulic nut', 'maker’s sheet only'],
    ],
  },
  {
    rule: 'fill',
    ask: 'First fill of a housing',
    why: 'The bearing is always full; by speed is our own choice for the housing: churning is what heats.',
    answers: [
      ['by-speed', 'by speed factor', PRACTICE],
      ['to-shaft', 'base to the shaft’s underside', PRACTICE],
      ['share', '20 to 40 %, sealed bearings 80 %', PRACTICE],
    ],
  },
  {
    rule: 'regrease',
    ask: 'Regreasing',
    why: 'Running where it is safe and guarded: grease spreads, and heat shows at once.',
    answers: [
      ['running', 'while it runs, slowly', PRACTICE],
      ['still', 'standing still, until the relief opens', PRACTICE],
    ],
  },
  {
    rule: 'race',
    ask: 'Outer race into a split cartridge',
    why: 'The maker’s; where none is given, joints first.',
    answers: [
      ['joints-first', 'joints tight, eased, radial, joints', PRACTICE],
      ['square-first', 'square on the shoulder, then radial', PRACTICE],
    ],
  },
  {
    rule: 'gauge',
    ask: 'Clamp screws of a split race, at its axial place',
    why: 'With the gauge in the place cannot slip unseen; else it is checked again.',
    answers: [
      ['gauge-in', 'with cage and cartridge in as gauge', PRACTICE],
      ['gauge-out', 'after taking them out', PRACTICE],
    ],
  },
  {
    rule: 'film',
    ask: 'Outside of a self-aligning cartridge',
    why: 'Light oil unless the maker says anti-seize.',
    answers: [
      ['oil', 'light oil', PRACTICE],
      ['anti-seize', 'anti-seize', 'maker’s instructions'],
    ],
  },
  {
    rule: 'tail',
    ask: 'End of a cartridge',
    why: 'With the clips in, the seal cannot move while its screws bite: our own choice.',
    answers: [
      ['screws-first', 'set screws, then clips off', PRACTICE],
      ['clips-first', 'clips off, then set screws', PRACTICE],
    ],
  },
  {
    rule: 'oRings',
    ask: 'O-ring ends of a split seal',
    why: 'Either is followed; too far in is as bad as proud.',
    answers: [
      ['flush', 'flush with the split', PRACTICE],
      ['proud', 'slightly proud', PRACTICE],
    ],
  },
  {
    rule: 'spacer',
    ask: 'Spacer of a split holder',
    why: 'As the seal’s kit has it; held by hand it is asked which surface it touched.',
    answers: [
      ['hand-held', 'held by hand', PRACTICE],
      ['fastened', 'fastened to the holder', PRACTICE],
    ],
  },
  {
    rule: 'leak',
    ask: 'Leakage of packing, steady',
    why: 'By the diameter is our own choice: a large shaft needs more to run cool.',
    answers: [
      ['per-diameter', '8 to 12 drops a minute for each 25 mm', PRACTICE],
      ['flat', 'one figure, given with the job', PRACTICE],
    ],
  },
];
