import { array, boolean, type InferType, number, object, string } from 'yup';
import { CLEARANCE_CLASSES } from '../bearings/clearance-table.ts';
import { BOLT_GRADES } from '../bolting/grades.ts';
import { BOLT_SIZES } from '../bolting/threads.ts';
import './sentences.ts';

const name = (label: string) =>
  string().trim().min(1, `${label} is missing.`).max(80).required(`${label} is missing.`);
const maker = (max: number) => number().moreThan(0).max(max);

/** Steps a lead hand may be asked to release. */
export const HOLDABLE_STEPS = ['driveup', 'lock', 'bolts', 'handturn', 'sign'] as const;

/**
 * The geometry and the house rules one fitting job rests on. Lengths in mm, torques in N·m; `maker` values outrank
 * every table.
 */
export const setupSchema = object({
  machine: name('The machine'),
  position: name('The position'),
  role: string()
    .oneOf(['fixed', 'float'] as const)
    .required(),
  partNumber: string().max(80),
  shaftSystem: string()
    .oneOf(['metric', 'inch'] as const)
    .required(),
  shaftMm: number().min(15).max(480).required(),
  boreMm: number().moreThan(18).max(500).required(),
  taper: number<12 | 30>()
    .oneOf([12, 30] as const)
    .required(),
  clearanceClass: string().oneOf(CLEARANCE_CLASSES).required(),
  pitchMm: number().min(0.5).max(10).required(),
  nutSlots: number().integer().min(1).max(24).required(),
  washerTabs: number().integer().min(1).max(60).required(),
  hollowBoreMm: number().min(0).max(450),
  seatMm: number().min(10).max(600).required(),
  stations: number().integer().min(2).max(6).required(),
  angles: number().integer().min(3).max(8).required(),
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
  holdBefore: array(
    string()
      .oneOf([...HOLDABLE_STEPS])
      .required(),
  )
    .max(5)
    .required(),
  feltAt: string()
    .oneOf(['top', 'bottom'] as const)
    .required(),
  feel: string()
    .oneOf(['snug', 'goes'] as const)
    .required(),
  maker: object({
    shaftLowerMm: maker(500),
    shaftUpperMm: maker(500),
    benchLowerMm: maker(2),
    benchUpperMm: maker(2),
    reductionMinMm: maker(1),
    reductionMaxMm: maker(1),
    leastResidualMm: maker(1),
    torqueNm: maker(5000),
  })
    .noUnknown()
    .required(),
  demo: boolean(),
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
  .test(
    'maker-order',
    "In the maker's values a lower limit stands above its upper.",
    (s) =>
      !s?.maker ||
      [
        [s.maker.shaftLowerMm, s.maker.shaftUpperMm],
        [s.maker.benchLowerMm, s.maker.benchUpperMm],
        [s.maker.reductionMinMm, s.maker.reductionMaxMm],
      ].every(([lo, hi]) => lo === undefined || hi === undefined || lo < hi),
  );

export type Setup = InferType<typeof setupSchema>;

/** A usual position to start from: a normal-class bearing of 100 bore on a 90 shaft. Nothing of it is a limit. */
export const USUAL_SETUP: Omit<Setup, 'machine' | 'position'> = {
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
};
