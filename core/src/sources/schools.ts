import type { DecisionRule } from '../metrology/decision.ts';
import { len } from '../quantities/say.ts';
import type { SourceId } from './register.ts';

/** One school's answer to a question of limits, for one shaft or box. */
export type SchoolLimit = { school: string; title: string; limitMm: number; source: SourceId };

/** The limit that judges, and what the other schools would have said. */
export type LimitInForce = SchoolLimit & { others: SchoolLimit[] };

export const RUNOUT_SCHOOLS = ['proportional', 'flat', 'standards'] as const;
export const FACE_SCHOOLS = ['standards', 'proportional', 'flat'] as const;
export const END_PLAY_SCHOOLS = ['strict', 'flat'] as const;
/** How the outer race of a split bearing goes into its cartridge; when its clamp screws are drawn; the cartridge’s film. */
export const RACE_SCHOOLS = ['joints-first', 'square-first'] as const;
export const GAUGE_SCHOOLS = ['gauge-in', 'gauge-out'] as const;
export const FILMS = ['oil', 'anti-seize'] as const;
/** Leakage of packing: drops by the shaft’s diameter, or one flat figure. Joints of its rings stand so far apart. */
export const LEAK_SCHOOLS = ['per-diameter', 'flat'] as const;
/** O-ring ends of a split seal; tail of a cartridge; spacer of a split holder. */
export const O_RING_SCHOOLS = ['flush', 'proud'] as const;
export const TAIL_SCHOOLS = ['screws-first', 'clips-first'] as const;
export const SPACER_SCHOOLS = ['hand-held', 'fastened'] as const;
/** Regreased while it runs, slowly; or standing still. */
export const REGREASE_SCHOOLS = ['running', 'still'] as const;
/** First fill of a housing: by speed, base to the shaft, or a share of the free space. */
export const FILL_SCHOOLS = ['by-speed', 'to-shaft', 'share'] as const;
export type FillSchool = (typeof FILL_SCHOOLS)[number];
export const DRIVE_UP_SCHOOLS = ['feelers', 'nut-angle', 'hydraulic'] as const;
export const DECISION_RULES = ['k2', 'one-sided'] as const satisfies readonly DecisionRule[];

export type RunoutSchool = (typeof RUNOUT_SCHOOLS)[number];
export type FaceSchool = (typeof FACE_SCHOOLS)[number];
export type EndPlaySchool = (typeof END_PLAY_SCHOOLS)[number];

/** Which school a plant follows where practitioners disagree. A job takes them over when it is opened. */
export type HouseRules = {
  runout: RunoutSchool;
  face: FaceSchool;
  endPlay: EndPlaySchool;
  decision: DecisionRule;
  /** What a new job begins with where practitioners disagree on the work itself; older rules say nothing of it. */
  driveUp?: (typeof DRIVE_UP_SCHOOLS)[number] | undefined;
  fill?: FillSchool | undefined;
  race?: (typeof RACE_SCHOOLS)[number] | undefined;
  gauge?: (typeof GAUGE_SCHOOLS)[number] | undefined;
  film?: (typeof FILMS)[number] | undefined;
  regrease?: (typeof REGREASE_SCHOOLS)[number] | undefined;
  leak?: (typeof LEAK_SCHOOLS)[number] | undefined;
  oRings?: (typeof O_RING_SCHOOLS)[number] | undefined;
  tail?: (typeof TAIL_SCHOOLS)[number] | undefined;
  spacer?: (typeof SPACER_SCHOOLS)[number] | undefined;
};

/**
 * Our own choice where a plant has made none: run-out in proportion, since it scales with the surface speed of the
 * wobble; the standards' squareness for new work; the strict end play; k = 2.
 */
export const USUAL_HOUSE_RULES: HouseRules = {
  runout: 'proportional',
  face: 'standards',
  endPlay: 'strict',
  decision: 'k2',
};

/**
 * What we begin with in the work itself: feelers, because they measure the thing; fill by speed; joints first; the gauge left in,
 * so that the place cannot slip unseen; light oil; greased while it runs, since grease spreads and heat shows at once; leakage
 * by the shaft’s diameter, O-ring ends flush, set screws before the clips go, the spacer held by hand.
 */
export const USUAL_WORK = {
  driveUp: 'feelers',
  fill: 'by-speed',
  race: 'joints-first',
  gauge: 'gauge-in',
  film: 'oil',
  regrease: 'running',
  leak: 'per-diameter',
  oRings: 'flush',
  tail: 'screws-first',
  spacer: 'hand-held',
} as const satisfies Partial<HouseRules>;

/**
 * The limit in force among the schools: the maker's value outranks them all, then the chosen school; the others are kept
 * beside it. @throws RangeError where the chosen school is not among them
 */
export function limitInForce(
  schools: readonly SchoolLimit[],
  chosen: string,
  makerMm?: number | undefined,
): LimitInForce {
  if (makerMm !== undefined)
    return {
      school: 'maker',
      title: "maker's sheet",
      limitMm: makerMm,
      source: 'maker',
      others: [...schools],
    };
  const found = schools.find((s) => s.school === chosen);
  if (!found) throw new RangeError(`There is no school “${chosen}” here.`);
  return { ...found, others: schools.filter((s) => s !== found) };
}

const um = (v: number) => v / 1000;

/** In proportion to the shaft run-out is allowed no more than this. Our own choice. */
const MOST_RUNOUT_MM = 0.08;

/**
 * Run-out allowed at a seal, TIR. Proportional 1 µm per mm of diameter and flat 0.05 mm: common practice, no source;
 * 0.025 mm: process-pump standards, from memory.
 */
export const runoutSchools = (shaftMm: number): SchoolLimit[] => [
  {
    school: 'proportional',
    title:
      shaftMm > 80
        ? `a thousandth of the shaft, ${len(MOST_RUNOUT_MM, 2)} at the most (our own choice)`
        : 'a thousandth of the shaft',
    limitMm: Math.min(um(shaftMm), MOST_RUNOUT_MM),
    source: 'practice',
  },
  { school: 'flat', title: 'flat', limitMm: 0.05, source: 'practice' },
  { school: 'standards', title: 'process-pump standards', limitMm: 0.025, source: 'pump-standards' },
];

/**
 * Squareness of a box face, TIR of the sweep. 0.5 µm per mm of box bore: standards, from memory; 5 µm per mm of shaft and
 * flat 0.05 mm: common practice, no source.
 */
export const faceSchools = (shaftMm: number, boreMm: number): SchoolLimit[] => [
  {
    school: 'standards',
    title: '0.5 µm per mm of box bore',
    limitMm: um(0.5 * boreMm),
    source: 'pump-standards',
  },
  { school: 'proportional', title: '5 µm per mm of shaft', limitMm: um(5 * shaftMm), source: 'practice' },
  { school: 'flat', title: 'flat', limitMm: 0.05, source: 'practice' },
];

/** End play allowed: 0.13 mm, or 0.25 mm by the flat school. Common practice, no source. */
export const endPlaySchools = (): SchoolLimit[] => [
  { school: 'strict', title: 'seal practice', limitMm: 0.13, source: 'practice' },
  { school: 'flat', title: 'flat school', limitMm: 0.25, source: 'practice' },
];

/** A limit that is common practice and has no schools. */
export const byPractice = (limitMm: number, title = 'common practice'): SchoolLimit => ({
  school: 'practice',
  title,
  limitMm,
  source: 'practice',
});
