import { type InferType, lazy, number, object, type Schema, string, type TestContext } from 'yup';
import { CLEARANCE_CLASSES } from '../bearings/clearance-table.ts';
import { BOLT_GRADES } from '../bolting/grades.ts';
import { BOLT_SIZES } from '../bolting/threads.ts';
import { type HouseRules, USUAL_HOUSE_RULES } from '../sources/schools.ts';
import { type Condition, conditionSchema, lacking } from './condition.ts';
import { MAKER_PAIRS, machineFields } from './setup-parts.ts';
import './sentences.ts';

export { HOLDABLE_STEPS } from './setup-parts.ts';

/** The kinds of job, by the id of their procedure. */
export const JOB_KINDS = ['sleeve-bearing.feelers', 'condition.survey'] as const;
export type JobKind = (typeof JOB_KINDS)[number];

type Maker = Partial<Record<(typeof MAKER_PAIRS)[number][number], number | undefined>>;
const inOrder = (maker: Maker | undefined): boolean =>
  !maker ||
  MAKER_PAIRS.every(([lo, hi]) => {
    const [a, b] = [maker[lo], maker[hi]];
    return a === undefined || b === undefined || a < b;
  });
const MAKER_ORDER = "In the maker's values a lower limit stands above its upper.";

/** What a measure lacks is said at its own field. */
const whole = (condition: Condition | undefined, context: TestContext) => {
  const first = lacking(condition);
  return first ? context.createError({ path: `condition.${first.field}`, message: first.message }) : true;
};

/**
 * The geometry and the house rules one bearing rests on. Lengths in mm, torques in N·m; `maker` values outrank every table.
 */
export const sleeveSetupSchema = object({
  procedure: string().oneOf(['sleeve-bearing.feelers'] as const),
  ...machineFields,
  role: string()
    .oneOf(['fixed', 'float'] as const)
    .required(),
  boreMm: number().moreThan(18).max(500).required(),
  taper: number<12 | 30>()
    .oneOf([12, 30] as const)
    .required(),
  clearanceClass: string().oneOf(CLEARANCE_CLASSES).required(),
  pitchMm: number().min(0.5).max(10).required(),
  nutSlots: number().integer().min(1).max(24).required(),
  washerTabs: number().integer().min(1).max(60).required(),
  hollowBoreMm: number().min(0).max(450),
  boltSize: string()
    .oneOf(BOLT_SIZES.map((b) => b.name))
    .required(),
  boltGrade: string()
    .oneOf([...BOLT_GRADES])
    .required(),
  boltCount: number().integer().min(2).max(32).required(),
  boltLayout: string()
    .oneOf(['circle', 'rectangle'] as const)
    .required(),
  friction: string()
    .oneOf(['dry', 'oiled', 'anti-seize'] as const)
    .required(),
  feltAt: string()
    .oneOf(['top', 'bottom'] as const)
    .required(),
  feel: string()
    .oneOf(['snug', 'goes'] as const)
    .required(),
  condition: conditionSchema.optional().default(undefined),
})
  .noUnknown()
  .test(
    'shaft-in-bore',
    'The shaft must be smaller than the bearing bore: the sleeve stands between them.',
    (s) => !s || !(s.shaftMm >= s.boreMm),
  )
  .test(
    'hollow',
    'The hollow shaft must be thicker than its bore.',
    (s) => !s || (s.hollowBoreMm ?? 0) < s.shaftMm,
  )
  .test(
    'rectangle',
    'A rectangle has an even number of cap bolts.',
    (s) => s?.boltLayout !== 'rectangle' || s.boltCount % 2 === 0,
  )
  .test('condition-whole', (s, context) => whole(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type SleeveSetup = InferType<typeof sleeveSetupSchema>;

/** A survey of a machine: no part is fitted, what is measured is `condition`. */
export const conditionSetupSchema = object({
  procedure: string()
    .oneOf(['condition.survey'] as const)
    .required(),
  ...machineFields,
  condition: conditionSchema.required(),
})
  .noUnknown()
  .test('condition-whole', (s, context) => whole(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type ConditionSetup = InferType<typeof conditionSetupSchema>;
export type Setup = SleeveSetup | ConditionSetup;

/** Any job's setup, judged by its own kind's shape. */
export const setupSchema = lazy((value: unknown) =>
  (value as { procedure?: unknown } | null)?.procedure === 'condition.survey'
    ? conditionSetupSchema.required()
    : sleeveSetupSchema.required(),
) as unknown as Schema<Setup>;

/** Which kind of job a setup is for. */
export const kindOf = (setup: Setup): JobKind => setup.procedure ?? 'sleeve-bearing.feelers';

/** The setup of a bearing job. @throws Error where the job is of another kind: a fault of ours, not the user's */
export function sleeveOf(job: { setup: Setup }): SleeveSetup {
  if (job.setup.procedure === 'condition.survey') throw new Error('This job fits no bearing.');
  return job.setup;
}

/** House rules in force for a job. */
export const schoolsOf = (setup: Setup): HouseRules => setup.schools ?? USUAL_HOUSE_RULES;

/** What a job measures before (or instead of) fitting; older jobs asked only for the diameters. */
export const conditionOf = (setup: Setup): Condition => setup.condition ?? { measures: ['shaft'] };

/** A usual position to start from: a normal-class bearing of 100 bore on a 90 shaft. Nothing of it is a limit. */
export const USUAL_SETUP: Omit<SleeveSetup, 'machine' | 'position'> = {
  role: 'fixed',
  shaftSystem: 'metric',
  shaftMm: 90,
  boreMm: 100,
  taper: 12,
  clearanceClass: 'CN',
  pitchMm: 2,
  nutSlots: 4,
  washerTabs: 17,
  seatMm: 68,
  stations: 3,
  angles: 3,
  boltSize: 'M16',
  boltGrade: '8.8',
  boltCount: 4,
  boltLayout: 'rectangle',
  friction: 'oiled',
  holdBefore: [],
  feltAt: 'top',
  feel: 'snug',
  maker: {},
  condition: { measures: ['look', 'shaft', 'runout'], runoutStations: 2, runoutAngles: 8 },
};

/** A usual pump to survey before a seal: a 60 shaft in a box of 100. Nothing of it is a limit. */
export const USUAL_CONDITION: Omit<ConditionSetup, 'machine' | 'position'> = {
  procedure: 'condition.survey',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 60,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  condition: {
    measures: ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore'],
    seat: 'mechanical-seal',
    runoutStations: 3,
    runoutAngles: 8,
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};
