import { array, boolean, type InferType, number, object, string } from 'yup';
import type { CLEARANCE_CLASSES } from '../../arithmetic/bearings/clearance-table.ts';
import { isSleeveShaft, usualBore, usualShaft } from '../../arithmetic/bearings/sleeve-shaft.ts';
import { stampAgainst } from '../../arithmetic/bearings/stamp.ts';
import { sleevePitch } from '../../arithmetic/bearings/travel.ts';
import { BOLT_GRADES } from '../../arithmetic/bolting/grades.ts';
import { ask, choice, chosen, type FormValues, formName, isWhole } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { listOf } from '../../message/message.ts';
import {
  type BoltSet,
  bearingParts,
  massFits,
  ROWS,
  SIZES,
  THREADS,
  torqueOrBolt,
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
import { M } from './messages.ts';
import type { DriveUpMethod } from './methods.ts';
import '../../judgement/sentences.ts';

const CAP = COMMON.capBolts;
/** Only a split block has a cap, and its bolts are then chosen by whoever has them in front of him. */
const capped = {
  when: (form: FormValues) =>
    form[formName('with.closing')] !== 'yes' ||
    [undefined, '', 'split'].includes(form[formName('closing.housing')]),
};
const capNeeds = torqueOrBolt({ torque: 'maker.torqueNm', size: 'boltSize', grade: 'boltGrade' });
const unsaidCap = { ...capped, decided: true, later: true } as const;

const SLEEVE_FILMS = { dry: 'dry', oiled: COMMON.lightlyOiled } as const;

/** The clearance is felt, by itself or beside another method: only then bore, class and blades matter. */
const felt = (form: FormValues) =>
  (form['driveUp:school'] || 'feelers') === 'feelers' || form['driveUp:feelersToo'] === 'yes';

/** How drive-up is judged, and with what nut. */
const hydraulic = chosen('driveUp.school', 'hydraulic');
export const SLEEVE = M.bearingSleeve;
export const driveUpSchema = object({
  school: choice(
    SLEEVE,
    M.driveUpJudged,
    {
      feelers: M.feelers,
      'nut-angle': M.nutAngleFromZero,
      hydraulic: M.hydraulicNut,
    } satisfies Record<DriveUpMethod, Text>,
    { fallback: 'feelers' },
  ).required(),
  /** Which way the face under the indicator moves as the bearing goes up: away reads less, towards reads more. */
  indicator: choice(
    SLEEVE,
    M.indicatorFace,
    { away: M.movesAway, towards: M.comesTowards },
    // Asked when the dial is set: a wrong way is found only under pressure.
    { decided: true, later: true, when: hydraulic },
  ),
  /** A unit with a mount nut and a dismount nut. */
  twoNuts: boolean().meta(ask(SLEEVE, M.mountDismountNut, { when: hydraulic })),
  /** Bench clearance and residual are felt beside nut angle or hydraulic travel: two methods on one bearing. */
  feelersToo: boolean().meta(
    ask(SLEEVE, M.feelersBeside, { when: chosen('driveUp.school', 'hydraulic', 'nut-angle') }),
  ),
}).noUnknown();

const uneven = chosen('lock.by', 'plate', 'clip');
/** Equal holes are counted; of unequal ones the angles are given. */
const counted = (form: FormValues) =>
  uneven(form) && !(form['lock:nutDeg'] ?? '').trim() && !(form['lock:washerDeg'] ?? '').trim();
const holes = (most: number, label: Text) =>
  number()
    .integer()
    .min(1)
    .max(most)
    .meta(ask(SLEEVE, label, { decided: true, when: counted, needed: M.countHoles }));
const angles = (label: Text) =>
  array(number().min(0).lessThan(360).required())
    .min(1)
    .max(60)
    .meta(ask(SLEEVE, label, { when: uneven }));

const byWasher = (form: FormValues) => !uneven(form);

/** What holds the nut; unequal hole patterns by their angles, degrees from the first. */
export const lockSchema = object({
  by: choice(
    SLEEVE,
    M.locked,
    { washer: M.tabWasher, plate: M.lockPlate, clip: M.lockClip },
    { fallback: 'washer' },
  ).required(),
  nutHoles: holes(60, M.equalNutHoles),
  lockHoles: holes(120, M.equalLockHoles),
  nutDeg: angles(M.unevenNutHolesDegrees),
  washerDeg: angles(M.unevenLockDegrees),
}).noUnknown();

/** What a school of drive-up cannot do without. */
const byAngle = (label: Text, needed: Text) =>
  fromSheet(1080, label, { when: chosen('driveUp.school', 'nut-angle'), turn: true, needed });
const byNut = (max: number, label: Text, needed: Text) => fromSheet(max, label, { when: hydraulic, needed });

/** One area is no conversion: where the other is given, this one is missing. */
const bothAreas = (other: string, message: Text) => (form: FormValues) =>
  form[formName(other)] ? message : undefined;

const makerSchema = object({
  nutAngleMinDeg: byAngle(M.nutAngleLeast, M.makersLeastNutAngleMissing),
  nutAngleMaxDeg: byAngle(M.nutAngleMost, M.makersMostNutAngleMissing),
  startPressureMpa: byNut(200, M.startPressure, M.startPressureMissing),
  /** Both areas, or none: then the start pressure is this nut's own. */
  sheetAreaMm2: fromSheet(1e6, M.pistonAreaMm, {
    when: hydraulic,
    needed: bothAreas('maker.nutAreaMm2', M.pistonAreaSheetsPressureMissing),
  }),
  nutAreaMm2: fromSheet(1e6, M.pistonAreaNutHandMm, {
    when: hydraulic,
    needed: bothAreas('maker.sheetAreaMm2', M.pistonAreaNutHandMissing),
  }),
  driveUpMinMm: byNut(30, M.driveUpLeastOneValue, M.driveUpMissing),
  driveUpMaxMm: fromSheet(30, M.driveUpMost, { when: hydraulic }),
  abortPressureMpa: fromSheet(300, M.abortPressure, { when: hydraulic }),
  benchLowerMm: fromSheet(2, M.benchClearanceLeast, { when: felt }),
  benchUpperMm: fromSheet(2, M.benchClearanceMost, { when: felt }),
  reductionMinMm: fromSheet(1, M.reductionLeast, { when: felt }),
  reductionMaxMm: fromSheet(1, M.reductionMost, { when: felt }),
  leastResidualMm: fromSheet(1, M.leastResidual, { when: felt }),
  ...makerShaft,
  torqueNm: fromSheet(5000, M.capBoltTorque, {
    ...unsaidCap,
    upTo: 'maker.torqueMostNm',
    hint: COMMON.orRange,
    needed: capNeeds.torque,
  }),
  torqueMostNm: number().min(0.001).max(5000).meta({ silent: true }),
  ...makerCondition,
}).noUnknown();

/**
 * The geometry and the house rules one bearing rests on. Lengths in mm, torques in N·m; `maker` values outrank every table.
 */
export const sleeveSetupSchema = object({
  /** Older jobs say nothing, or name the one school there was. */
  procedure: string().oneOf(['sleeve-bearing', 'sleeve-bearing.feelers'] as const),
  ...placeFields,
  role: choice(H.place, COMMON.bearing2, { fixed: COMMON.fixed, float: COMMON.float2 }).required(),
  ...everyJob,
  boreMm: number()
    .moreThan(18)
    .max(500)
    .required()
    .meta(ask(SLEEVE, COMMON.bearingBore, { decimals: 1, ofPlace: true, when: felt })),
  taper: number<12 | 30>()
    .oneOf([12, 30] as const)
    .required()
    .meta(
      ask(SLEEVE, M.taper, {
        decided: true,
        options: [
          ['12', '1:12'],
          ['30', '1:30'],
        ],
      }),
    ),
  clearanceClass: choice(
    SLEEVE,
    COMMON.clearanceClass,
    { C2: 'C2', CN: COMMON.normal, C3: 'C3', C4: 'C4', C5: 'C5' } satisfies Record<
      (typeof CLEARANCE_CLASSES)[number],
      Text
    >,
    { decided: true, when: felt },
  ).required(),
  driveUp: driveUpSchema.optional().default(undefined),
  /** Read off the sleeve; left out, it is supposed by the bore until somebody has looked. */
  pitchMm: number()
    .min(0.5)
    .max(10)
    .meta(ask(SLEEVE, M.sleeveThreadPitchAsRead, { decimals: 2 })),
  /** Two surfaces, two answers: dry grips best, a film where the maker asks for it. */
  filmBore: choice(SLEEVE, M.sleevesBoreShaft, SLEEVE_FILMS, { fallback: 'dry' }),
  filmTaper: choice(SLEEVE, M.sleevesTaperBearing, SLEEVE_FILMS, { fallback: 'dry' }),
  nutSlots: number()
    .integer()
    .min(1)
    .max(24)
    .required()
    .meta(ask(SLEEVE, M.nutSlots, { when: byWasher })),
  washerTabs: number()
    .integer()
    .min(1)
    .max(60)
    .required()
    .meta(ask(SLEEVE, M.washerTabs, { when: byWasher })),
  lock: lockSchema.optional().default(undefined),
  /** The nut's diameter at its rim: where it is known, the gap to the tab can be measured along the rim. */
  nutRimMm: number()
    .min(10)
    .max(1000)
    .meta(ask(SLEEVE, M.nutsDiameterRim, { decimals: 1 })),
  feltAt: choice(
    SLEEVE,
    M.gapFelt,
    { top: M.topRingStanding, bottom: M.bottomRingHanging },
    { when: felt },
  ).required(),
  feel: choice(
    SLEEVE,
    COMMON.reading,
    { snug: M.snugBladeAsFelt, goes: M.thickestBladeGoes },
    { when: felt },
  ).required(),
  ...shaftFields,
  hollowBoreMm: number()
    .min(0)
    .max(450)
    .meta(ask(COMMON.shaft, COMMON.boreHollowShaft, { decimals: 1 })),
  /** Shaft warmer than the ring while it is driven up, and in service. K. */
  shaftOverRingK: number().min(-100).max(100).meta(ask(COMMON.shaft, M.shaftWarmerThanRingNow)),
  serviceOverRingK: number().min(-100).max(200).meta(ask(COMMON.shaft, M.shaftWarmerServiceK)),
  boltSize: choice(CAP, COMMON.size, SIZES, {
    ...unsaidCap,
    hint: M.whereSheetGivesNone,
    needed: capNeeds.bolt,
  }),
  boltGrade: choice(CAP, COMMON.grade, [...BOLT_GRADES], {
    ...unsaidCap,
    hint: M.whereSheetGivesNone,
    needed: capNeeds.bolt,
  }),
  boltCount: number()
    .integer()
    .min(2)
    .max(32)
    .meta(ask(CAP, COMMON.bolts, { ...unsaidCap, needed: M.capBoltsMissing({ what: M.number }) })),
  boltLayout: choice(CAP, COMMON.setOutAs, ROWS, { ...capped, fallback: 'rectangle' }),
  friction: choice(CAP, COMMON.threads, THREADS, { ...capped, fallback: 'oiled' }),
  holdBefore: holdBefore(
    {
      driveup: M.driveUp2,
      lock: M.lock2,
      bolts: COMMON.capBolts2,
      handturn: COMMON.handTurn,
      sign: COMMON.signature2,
    },
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
          message: M.shaftMustSmallerThanBearing,
        })
      : true,
  )
  .test('sleeve-shaft', (s, context) =>
    s && s.boreMm > 18 && s.boreMm <= 500 && s.shaftMm < s.boreMm && !isSleeveShaft(s.shaftMm, s.boreMm)
      ? context.createError({
          path: 'shaftMm',
          message: M.sleeveBoreMmUsuallySits({
            bore: s.boreMm,
            usualShaft: usualShaft(s.boreMm).toFixed(0),
            shaft: s.shaftMm,
          }),
        })
      : true,
  )
  .test('stamp', (s, context) => {
    const against = s?.partNumber ? stampAgainst(s.partNumber, s) : [];
    return against.length === 0
      ? true
      : context.createError({
          path: 'partNumber',
          message: M.stampSaysReadRingAgain({ against: listOf(against, '; ') }),
        });
  })
  .test('hollow', M.hollowShaftMustThickerThan, (s) => !s || (s.hollowBoreMm ?? 0) < s.shaftMm)
  .test(
    'rectangle',
    M.rectangleHasEvenNumberCap,
    (s) => s?.boltLayout !== 'rectangle' || (s.boltCount ?? 0) % 2 === 0,
  )
  .test('grease-ring', (s, context) =>
    s?.grease?.outsideMm !== undefined && !(s.grease.outsideMm > s.boreMm)
      ? context.createError({
          path: 'grease.outsideMm',
          message: COMMON.outsideMustLargerThanBore,
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
    makerMostNm: s.maker.torqueMostNm,
  };
}

/** Are bench and residual clearance felt on this job? */
export const isFelt = (setup: Pick<SleeveSetup, 'driveUp'>): boolean =>
  schoolOf(setup) === 'feelers' || setup.driveUp?.feelersToo === true;

/** What follows from the rest of a setup and is not asked: the bore of a unit known by its shaft. */
export const completedSetup = (s: SleeveSetup): SleeveSetup => ({
  ...s,
  boreMm: s.boreMm ?? usualBore(s.shaftMm),
  clearanceClass: s.clearanceClass ?? 'CN',
  feltAt: s.feltAt ?? 'top',
  feel: s.feel ?? 'snug',
  nutSlots: s.nutSlots ?? s.lock?.nutHoles ?? 4,
  washerTabs: s.washerTabs ?? s.lock?.lockHoles ?? 17,
});

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
  condition: { measures: ['look', 'shaft', 'runout'], runoutStations: 2, turnBy: 'swing' },
};
