import { array, boolean, type InferType, number, object, string, type TestContext } from 'yup';
import { BOLT_GRADES } from '../bolting/grades.ts';
import { BOLT_LAYOUTS } from '../bolting/pattern.ts';
import { BOLT_SIZES } from '../bolting/threads.ts';
import { FRICTIONS } from '../bolting/torque.ts';
import { FILL_SCHOOLS, hasFreeSpace } from '../lubrication/first-fill.ts';
import { DRIVE_UP_SCHOOLS } from '../sources/schools.ts';
import './sentences.ts';

/** A set of bolts or screws tightened together; a torque from the maker's sheet outranks the computed one. N·m. */
export const boltSetSchema = object({
  size: string()
    .oneOf(BOLT_SIZES.map((b) => b.name))
    .required(),
  grade: string()
    .oneOf([...BOLT_GRADES])
    .required(),
  count: number().integer().min(2).max(32).required(),
  friction: string().oneOf(FRICTIONS).required(),
  layout: string().oneOf(BOLT_LAYOUTS),
  makerTorqueNm: number().min(0.001).max(5000),
})
  .noUnknown()
  .test(
    'even',
    'A rectangle or a split part has an even number of bolts.',
    (s) => !s || (s.layout ?? 'circle') === 'circle' || !(s.count % 2),
  );
export type BoltSet = InferType<typeof boltSetSchema>;

/** How a set of bolts stands where nobody said: in two rows where its number is even, else round a circle. */
export const layoutOf = (set: Pick<BoltSet, 'layout' | 'count'>): NonNullable<BoltSet['layout']> =>
  set.layout ?? (set.count % 2 === 0 ? 'rectangle' : 'circle');

/** Does the bearing leave room for its mass? A test for a setup with a bore and a grease part. */
export const massFits = (
  s:
    | { boreMm?: number; grease?: { outsideMm: number; widthMm: number; massKg: number } | undefined }
    | undefined,
  context: TestContext,
) =>
  s?.grease && s.boreMm !== undefined && !hasFreeSpace({ ...s.grease, boreMm: s.boreMm })
    ? context.createError({
        path: 'grease.massKg',
        message: 'So heavy a bearing does not go into its own size: check bore, outside, width and mass.',
      })
    : true;

/** How drive-up is judged, and with what nut. */
export const driveUpSchema = object({
  school: string().oneOf(DRIVE_UP_SCHOOLS).required(),
  /** Bench clearance and residual are felt beside nut angle or hydraulic travel: two methods on one bearing. */
  feelersToo: boolean(),
  /** A unit with a mount nut and a dismount nut. */
  twoNuts: boolean(),
  /** Which way the face under the indicator moves as the bearing goes up: away reads less, towards reads more. */
  indicator: string().oneOf(['away', 'towards'] as const),
}).noUnknown();

const angles = () => array(number().min(0).lessThan(360).required()).min(1).max(60);

/** What holds the nut; unequal hole patterns by their angles, degrees from the first. */
export const lockSchema = object({
  by: string()
    .oneOf(['washer', 'plate', 'clip'] as const)
    .required(),
  nutDeg: angles(),
  washerDeg: angles(),
}).noUnknown();

/** The shaft between the bearings' centres and how much warmer than its base it runs. mm, K. */
export const floatSchema = object({
  spanMm: number().min(0.001).max(30000).required(),
  shaftOverBaseK: number().min(-200).max(400).required(),
  marginMm: number().min(0).max(50),
}).noUnknown();

/** How the housing is closed. */
export const closingSchema = object({
  /** With room the cap goes on first, then the carriers; without, the seals go on the shaft and into the base before the cap. */
  order: string()
    .oneOf(['room', 'in-place'] as const)
    .required(),
  seals: string()
    .oneOf(['labyrinth', 'contact'] as const)
    .required(),
  /** Fixing rings beside the outer ring of a fixed bearing: how many and on which side. */
  rings: string().oneOf(['shoulder', 'free-side', 'both', 'none'] as const),
  /** A one-piece unit changed between fixed and float by moving its snap ring. */
  snapRing: string().oneOf(['as-was', 'to-fixed', 'to-float'] as const),
  /** The shaft ends in this housing: a cover instead of the outer seal. */
  endCover: boolean(),
}).noUnknown();

/** What the first fill is worked out from. mm, kg, rpm, cm³, g. */
export const greaseSchema = object({
  school: string().oneOf(FILL_SCHOOLS).required(),
  outsideMm: number().min(0.001).max(2000).required(),
  widthMm: number().min(0.001).max(1000).required(),
  massKg: number().min(0.001).max(20000).required(),
  speedRpm: number().min(0.001).max(50000).required(),
  housingCm3: number().min(0).max(1e6).required(),
  baseCm3: number().min(0).max(1e6),
  sealed: boolean(),
  greased: boolean(),
  gramsPerStroke: number().min(0.001).max(100),
}).noUnknown();

/** The first hours under power stay on the sheet. */
export const runInSchema = object({
  /** The sheet asks for another round of the bolts after the first warming. */
  retorque: boolean(),
  /** A pump for liquefied gas or a light end: brought up slowly with vapour. */
  lightProduct: boolean(),
}).noUnknown();

/** Parts a bearing job may carry beside its fitting. */
export const bearingParts = {
  float: floatSchema.optional().default(undefined),
  closing: closingSchema.optional().default(undefined),
  grease: greaseSchema.optional().default(undefined),
  baseBolts: boltSetSchema.optional().default(undefined),
  runIn: runInSchema.optional().default(undefined),
};
