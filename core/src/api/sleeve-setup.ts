import { type InferType, number, object, string } from 'yup';
import { CLEARANCE_CLASSES } from '../bearings/clearance-table.ts';
import { BOLT_GRADES } from '../bolting/grades.ts';
import { BOLT_SIZES } from '../bolting/threads.ts';
import { FRICTIONS } from '../bolting/torque.ts';
import { conditionSchema } from './condition.ts';
import { bearingParts, driveUpSchema, lockSchema, massFits } from './fitting-parts.ts';
import { inOrder, MAKER_ORDER, machineFields, shaftFields, wholeCondition } from './setup-parts.ts';
import './sentences.ts';

/** What each school of drive-up takes from the maker's sheet, and how it is missed. */
export const SCHOOL_NEEDS = {
  feelers: [],
  'nut-angle': [
    ['nutAngleMinDeg', 'The maker’s least nut angle is missing: only the sheet gives it.'],
    ['nutAngleMaxDeg', 'The maker’s most nut angle is missing: only the sheet gives it.'],
  ],
  hydraulic: [
    ['startPressureMpa', 'The start pressure is missing.'],
    ['sheetAreaMm2', 'The piston area the sheet’s pressures are for is missing.'],
    ['nutAreaMm2', 'The piston area of the nut in hand is missing.'],
    ['driveUpMinMm', 'The least drive-up is missing.'],
    ['driveUpMaxMm', 'The most drive-up is missing.'],
    ['abortPressureMpa', 'The abort pressure is missing.'],
  ],
} as const;

/**
 * The geometry and the house rules one bearing rests on. Lengths in mm, torques in N·m; `maker` values outrank every table.
 */
export const sleeveSetupSchema = object({
  /** Older jobs say nothing, or name the one school there was. */
  procedure: string().oneOf(['sleeve-bearing', 'sleeve-bearing.feelers'] as const),
  ...machineFields,
  ...shaftFields,
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
  /** Shaft warmer than the ring while it is driven up, and in service. K. */
  shaftOverRingK: number().min(-100).max(100),
  serviceOverRingK: number().min(-100).max(200),
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
  friction: string().oneOf(FRICTIONS).required(),
  feltAt: string()
    .oneOf(['top', 'bottom'] as const)
    .required(),
  feel: string()
    .oneOf(['snug', 'goes'] as const)
    .required(),
  driveUp: driveUpSchema.optional().default(undefined),
  lock: lockSchema.optional().default(undefined),
  ...bearingParts,
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
  .test('school-needs', (s, context) => {
    const needs: ReadonlyArray<readonly [string, string]> =
      SCHOOL_NEEDS[s?.driveUp?.school ?? 'feelers'] ?? [];
    const missing = needs.find(
      ([field]) => (s?.maker as Record<string, unknown> | undefined)?.[field] === undefined,
    );
    return missing ? context.createError({ path: `maker.${missing[0]}`, message: missing[1] }) : true;
  })
  .test('grease-ring', (s, context) =>
    s?.grease && !(s.grease.outsideMm > s.boreMm)
      ? context.createError({
          path: 'grease.outsideMm',
          message: 'The outside must be larger than the bore.',
        })
      : true,
  )
  .test('mass', (s, context) => massFits(s, context))
  .test('condition-whole', (s, context) => wholeCondition(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type SleeveSetup = InferType<typeof sleeveSetupSchema>;
export type DriveUpSchool = NonNullable<SleeveSetup['driveUp']>['school'];

/** How drive-up is judged on this job; older jobs knew feelers only. */
export const schoolOf = (setup: Pick<SleeveSetup, 'driveUp'>): DriveUpSchool =>
  setup.driveUp?.school ?? 'feelers';

/** Are bench and residual clearance felt on this job? */
export const isFelt = (setup: Pick<SleeveSetup, 'driveUp'>): boolean =>
  schoolOf(setup) === 'feelers' || setup.driveUp?.feelersToo === true;
