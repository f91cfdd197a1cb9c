import { array, boolean, type InferType, number, object, string } from 'yup';
import type { CLEARANCE_CLASSES } from '../../arithmetic/bearings/clearance-table.ts';
import { isSleeveShaft, usualShaft } from '../../arithmetic/bearings/sleeve-shaft.ts';
import { stampAgainst } from '../../arithmetic/bearings/stamp.ts';
import { sleevePitch } from '../../arithmetic/bearings/travel.ts';
import { BOLT_GRADES } from '../../arithmetic/bolting/grades.ts';
import { ask, choice, chosen, type FormValues, formName, isWhole } from '../../engine/asked.ts';
import {
  type BoltSet,
  bearingParts,
  massFits,
  ROWS,
  SIZES,
  THREADS,
} from '../../steps/bearing/fitting-parts.ts';
import { conditionPart } from '../../steps/condition/condition.ts';
import { makerCondition, makerShaft, shaftFields, shaftSchools } from '../../steps/condition/setup-fields.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrderBut,
  MAKER_ORDER,
  placeFields,
} from '../../steps/setup-parts.ts';
import type { DriveUpMethod } from './methods.ts';
import '../../judgement/sentences.ts';

const CAP = 'Cap bolts';
/** Only a split block has a cap, and its bolts are then chosen by whoever has them in front of him. */
const capped = {
  when: (form: FormValues) =>
    form[formName('with.closing')] !== 'yes' ||
    [undefined, '', 'split'].includes(form[formName('closing.housing')]),
};
const chosenCap = (what: string) => ({
  ...capped,
  decided: true,
  later: true,
  needed: `${what} of the cap bolts is missing.`,
});

const SLEEVE_FILMS = { dry: 'dry', oiled: 'lightly oiled' } as const;

/** How drive-up is judged, and with what nut. */
const hydraulic = chosen('driveUp.school', 'hydraulic');
export const SLEEVE = 'Bearing and sleeve';
export const driveUpSchema = object({
  school: choice(
    SLEEVE,
    'Drive-up judged by',
    {
      feelers: 'feelers',
      'nut-angle': 'nut angle from zero',
      hydraulic: 'hydraulic nut',
    } satisfies Record<DriveUpMethod, string>,
    { fallback: 'feelers' },
  ).required(),
  /** Which way the face under the indicator moves as the bearing goes up: away reads less, towards reads more. */
  indicator: choice(
    SLEEVE,
    'At the indicator the face',
    { away: 'moves away', towards: 'comes towards' },
    { fallback: 'away', when: hydraulic },
  ),
  /** A unit with a mount nut and a dismount nut. */
  twoNuts: boolean().meta(ask(SLEEVE, 'A mount and a dismount nut', { when: hydraulic })),
  /** Bench clearance and residual are felt beside nut angle or hydraulic travel: two methods on one bearing. */
  feelersToo: boolean().meta(
    ask(SLEEVE, 'Feelers beside it', { when: chosen('driveUp.school', 'hydraulic', 'nut-angle') }),
  ),
}).noUnknown();

const uneven = chosen('lock.by', 'plate', 'clip');
const angles = (label: string) =>
  array(number().min(0).lessThan(360).required())
    .min(1)
    .max(60)
    .meta(ask(SLEEVE, label, { when: uneven }));

/** What holds the nut; unequal hole patterns by their angles, degrees from the first. */
export const lockSchema = object({
  by: choice(
    SLEEVE,
    'Locked by',
    { washer: 'tab washer', plate: 'lock plate', clip: 'lock clip' },
    { fallback: 'washer' },
  ).required(),
  nutDeg: angles('Uneven nut holes, degrees'),
  washerDeg: angles('Uneven lock, degrees'),
}).noUnknown();

/** What a school of drive-up cannot do without. */
const byAngle = (label: string, needed: string) =>
  fromSheet(1080, label, { when: chosen('driveUp.school', 'nut-angle'), needed });
const byNut = (max: number, label: string, needed: string) =>
  fromSheet(max, label, { when: hydraulic, needed });

/** One area is no conversion: where the other is given, this one is missing. */
const bothAreas = (other: string, message: string) => (form: FormValues) =>
  form[formName(other)] ? message : undefined;

const makerSchema = object({
  nutAngleMinDeg: byAngle(
    'Nut angle, least, °',
    'The maker’s least nut angle is missing: only the sheet gives it.',
  ),
  nutAngleMaxDeg: byAngle(
    'Nut angle, most, °',
    'The maker’s most nut angle is missing: only the sheet gives it.',
  ),
  startPressureMpa: byNut(200, 'Start pressure', 'The start pressure is missing.'),
  /** Both areas, or none: then the start pressure is this nut's own. */
  sheetAreaMm2: fromSheet(1e6, 'Piston area for it, mm²', {
    when: hydraulic,
    needed: bothAreas('maker.nutAreaMm2', 'The piston area the sheet’s pressure is for is missing.'),
  }),
  nutAreaMm2: fromSheet(1e6, 'Piston area, nut in hand, mm²', {
    when: hydraulic,
    needed: bothAreas('maker.sheetAreaMm2', 'The piston area of the nut in hand is missing.'),
  }),
  driveUpMinMm: byNut(30, 'Drive-up, least or the one value', 'The drive-up is missing.'),
  driveUpMaxMm: fromSheet(30, 'Drive-up, most', { when: hydraulic }),
  abortPressureMpa: fromSheet(300, 'Abort pressure', { when: hydraulic }),
  benchLowerMm: fromSheet(2, 'Bench clearance, least'),
  benchUpperMm: fromSheet(2, 'Bench clearance, most'),
  reductionMinMm: fromSheet(1, 'Reduction, least'),
  reductionMaxMm: fromSheet(1, 'Reduction, most'),
  leastResidualMm: fromSheet(1, 'Least residual'),
  ...makerShaft,
  torqueNm: fromSheet(5000, 'Cap-bolt torque'),
  ...makerCondition,
}).noUnknown();

/**
 * The geometry and the house rules one bearing rests on. Lengths in mm, torques in N·m; `maker` values outrank every table.
 */
export const sleeveSetupSchema = object({
  /** Older jobs say nothing, or name the one school there was. */
  procedure: string().oneOf(['sleeve-bearing', 'sleeve-bearing.feelers'] as const),
  ...placeFields,
  role: choice('Place', 'Bearing is', { fixed: 'fixed', float: 'float' }).required(),
  ...everyJob,
  boreMm: number()
    .moreThan(18)
    .max(500)
    .required()
    .meta(ask(SLEEVE, 'Bearing bore', { decimals: 1, ofPlace: true })),
  taper: number<12 | 30>()
    .oneOf([12, 30] as const)
    .required()
    .meta(
      ask(SLEEVE, 'Taper', {
        options: [
          ['12', '1:12'],
          ['30', '1:30'],
        ],
      }),
    ),
  clearanceClass: choice(SLEEVE, 'Clearance class', {
    C2: 'C2',
    CN: 'normal',
    C3: 'C3',
    C4: 'C4',
    C5: 'C5',
  } satisfies Record<(typeof CLEARANCE_CLASSES)[number], string>).required(),
  driveUp: driveUpSchema.optional().default(undefined),
  /** Read off the sleeve; left out, it is supposed by the bore until somebody has looked. */
  pitchMm: number()
    .min(0.5)
    .max(10)
    .meta(ask(SLEEVE, 'Sleeve thread pitch, as read: 2 or 8 tpi', { decimals: 2 })),
  /** Two surfaces, two answers: dry grips best, a film where the maker asks for it. */
  filmBore: choice(SLEEVE, 'Sleeve’s bore on the shaft', SLEEVE_FILMS, { fallback: 'dry' }),
  filmTaper: choice(SLEEVE, 'Sleeve’s taper in the bearing', SLEEVE_FILMS, { fallback: 'dry' }),
  nutSlots: number().integer().min(1).max(24).required().meta(ask(SLEEVE, 'Nut slots')),
  washerTabs: number().integer().min(1).max(60).required().meta(ask(SLEEVE, 'Washer tabs')),
  lock: lockSchema.optional().default(undefined),
  /** The nut's diameter at its rim: where it is known, the gap to the tab can be measured along the rim. */
  nutRimMm: number()
    .min(10)
    .max(1000)
    .meta(ask(SLEEVE, 'Nut’s diameter at the rim', { decimals: 1 })),
  feltAt: choice(SLEEVE, 'Gap is felt', {
    top: 'top (ring standing)',
    bottom: 'bottom (ring hanging)',
  }).required(),
  feel: choice(SLEEVE, 'A reading is', {
    snug: 'the snug blade, as felt',
    goes: 'the thickest blade that goes',
  }).required(),
  ...shaftFields,
  hollowBoreMm: number()
    .min(0)
    .max(450)
    .meta(ask('Shaft', 'Bore of a hollow shaft', { decimals: 1 })),
  /** Shaft warmer than the ring while it is driven up, and in service. K. */
  shaftOverRingK: number().min(-100).max(100).meta(ask('Shaft', 'Shaft warmer than ring now, K')),
  serviceOverRingK: number().min(-100).max(200).meta(ask('Shaft', 'Shaft warmer in service, K')),
  boltSize: choice(CAP, 'Size', SIZES, chosenCap('The size')),
  boltGrade: choice(CAP, 'Grade', [...BOLT_GRADES], chosenCap('The grade')),
  boltCount: number()
    .integer()
    .min(2)
    .max(32)
    .meta(ask(CAP, 'Bolts', chosenCap('The number'))),
  boltLayout: choice(CAP, 'Set out as', ROWS, { ...capped, fallback: 'rectangle' }),
  friction: choice(CAP, 'Threads', THREADS, { ...capped, fallback: 'oiled' }),
  holdBefore: holdBefore(
    { driveup: 'drive-up', lock: 'lock', bolts: 'cap bolts', handturn: 'hand turn', sign: 'signature' },
    CAP,
  ),
  condition: conditionPart(
    ['look', 'shaft', 'finish', 'runout', 'play', 'softfoot', 'housings', 'belts'],
    'given',
  )
    .optional()
    .default(undefined),
  ...bearingParts,
  schools: shaftSchools,
  maker: makerSchema.required(),
})
  .noUnknown()
  .test('shaft-in-bore', (s, context) =>
    s && s.shaftMm >= s.boreMm
      ? context.createError({
          path: 'shaftMm',
          message: 'The shaft must be smaller than the bearing bore: the sleeve stands between them.',
        })
      : true,
  )
  .test('sleeve-shaft', (s, context) =>
    s && s.boreMm > 18 && s.boreMm <= 500 && s.shaftMm < s.boreMm && !isSleeveShaft(s.shaftMm, s.boreMm)
      ? context.createError({
          path: 'shaftMm',
          message: `A sleeve of bore ${s.boreMm} mm usually sits on a shaft of about ${usualShaft(s.boreMm).toFixed(0)} mm: ${s.shaftMm} mm is another bearing’s.`,
        })
      : true,
  )
  .test('stamp', (s, context) => {
    const against = s?.partNumber ? stampAgainst(s.partNumber, s) : [];
    return against.length === 0
      ? true
      : context.createError({
          path: 'partNumber',
          message: `The stamp says ${against.join('; ')}. Read the ring again.`,
        });
  })
  .test(
    'hollow',
    'The hollow shaft must be thicker than its bore.',
    (s) => !s || (s.hollowBoreMm ?? 0) < s.shaftMm,
  )
  .test(
    'rectangle',
    'A rectangle has an even number of cap bolts.',
    (s) => s?.boltLayout !== 'rectangle' || (s.boltCount ?? 0) % 2 === 0,
  )
  .test('grease-ring', (s, context) =>
    s?.grease?.outsideMm !== undefined && !(s.grease.outsideMm > s.boreMm)
      ? context.createError({
          path: 'grease.outsideMm',
          message: 'The outside must be larger than the bore.',
        })
      : true,
  )
  .test('mass', (s, context) => massFits(s, context))
  .test('whole', isWhole)
  .test('maker-order', MAKER_ORDER, inOrderBut('driveUpMinMm'));

export type SleeveSetup = InferType<typeof sleeveSetupSchema>;
export type DriveUpSchool = NonNullable<SleeveSetup['driveUp']>['school'];

/** How drive-up is judged on this job; older jobs knew feelers only. */
export const schoolOf = (setup: Pick<SleeveSetup, 'driveUp'>): DriveUpSchool =>
  setup.driveUp?.school ?? 'feelers';

/** Pitch of the sleeve's thread, mm, and whether it is only supposed by the bore. */
export const pitchOf = (
  setup: Pick<SleeveSetup, 'pitchMm' | 'boreMm'>,
): { pitchMm: number; assumed: boolean } =>
  setup.pitchMm === undefined
    ? { pitchMm: sleevePitch(setup.boreMm), assumed: true }
    : { pitchMm: setup.pitchMm, assumed: false };

/** The cap bolts of a block that has a cap, as far as they were said. */
export function capBolts(s: SleeveSetup): BoltSet {
  return {
    size: s.boltSize,
    grade: s.boltGrade,
    count: s.boltCount,
    friction: s.friction ?? 'oiled',
    layout: s.boltLayout,
    makerTorqueNm: s.maker.torqueNm,
  };
}

/** Are bench and residual clearance felt on this job? */
export const isFelt = (setup: Pick<SleeveSetup, 'driveUp'>): boolean =>
  schoolOf(setup) === 'feelers' || setup.driveUp?.feelersToo === true;

/** A usual position to start from: a normal-class bearing of 100 bore on a 90 shaft. Nothing of it is a limit. */
export const USUAL_SETUP: Omit<SleeveSetup, 'machine' | 'position'> = {
  role: 'fixed',
  shaftSystem: 'metric',
  shaftMm: 90,
  boreMm: 100,
  taper: 12,
  clearanceClass: 'CN',
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
