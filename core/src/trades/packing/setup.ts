import { array, type InferType, number, object, string } from 'yup';
import type { LeakMethod } from '../../arithmetic/packing/leak-method.ts';
import { ringsOf } from '../../arithmetic/packing/rings.ts';
import { ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { conditionPart } from '../../steps/condition/condition.ts';
import { makerCondition, makerShaft, shaftFields, shaftSchools } from '../../steps/condition/setup-fields.ts';
import {
  everyJob,
  fromSheet,
  HOUSE_RULES,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
} from '../../steps/setup-parts.ts';
import { driveField } from '../../steps/start-order.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

export const PACKING = COMMON.packing;

/** A length, mm, more than nothing. */
const size = (group: Text, label: Text, max: number, decimals: number, later = false) =>
  number()
    .min(0.001)
    .max(max)
    .meta(ask(group, label, { decimals, ...(later ? { later } : {}) }));

/** A stuffing box packed and broken in. mm, rpm. */
export const packingSetupSchema = object({
  procedure: string()
    .oneOf(['packing'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ breakin: M.breakIn, sign: COMMON.signature2 }),
  boxBoreMm: size(H.box, COMMON.boxBore, 600, 1).required(),
  boxDepthMm: size(H.box, COMMON.boxDepth, 1000, 1).required(),
  lanternMm: number()
    .min(0)
    .max(200)
    .meta(ask(H.box, M.lanternRingsWidth, { decimals: 2 })),
  portMm: size(H.box, M.flushPortsMiddleFromBottom, 1000, 2),
  allowancePercent: number().min(0).max(10).required().meta(ask(PACKING, COMMON.allowanceLength)),
  cut: choice(PACKING, COMMON.cut, { diagonal: M.diagonal45, butt: M.butt }).required(),
  staggerDeg: number<90 | 120>()
    .oneOf([90, 120] as const)
    .required()
    .meta(
      ask(PACKING, M.jointsApart, {
        options: [
          ['90', '90°'],
          ['120', '120°'],
        ],
      }),
    ),
  /** What the store keeps; the nearest of it is taken. Nothing said, the usual series. */
  stockMm: array(number().moreThan(0).max(60).required()).max(60).meta(ask(PACKING, M.sectionsStoreMm)),
  boxes: number().integer().min(1).max(500).meta(ask(PACKING, M.boxesPackOutage)),
  /** The follower’s studs: how many, their pitch, and how far it may go from finger-tight. */
  studs: number().integer().min(2).max(8).required().meta(ask(H.follower, M.studs)),
  /** Pitch and way are measured when the follower is on: asked at the break-in. */
  studPitchMm: size(H.follower, M.theirPitch, 10, 2, true),
  followerMm: size(H.follower, M.wayFromFingerTight, 200, 1, true),
  leakSchool: choice(HOUSE_RULES, COMMON.leakage, {
    'per-diameter': M.n812DropsMinuteEach({ value: len(25, 0) }),
    flat: M.oneFigure,
  } satisfies Record<LeakMethod, Text>).required(),
  flatDropsPerMin: number()
    .min(0.001)
    .max(1000)
    .meta(
      ask(HOUSE_RULES, M.dropsMinute, {
        when: chosen('leakSchool', 'flat'),
        needed: M.howManyDropsMinuteHouses,
      }),
    ),
  drive: driveField('untouched'),
  ...shaftFields,
  condition: conditionPart([
    'look',
    'shaft',
    'finish',
    'runout',
    'play',
    'softfoot',
    'coupling',
    'belts',
  ]).required(),
  schools: shaftSchools,
  maker: object({
    glandSpreadMm: fromSheet(5, M.spreadFollowersGaps),
    ...makerShaft,
    ...makerCondition,
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('room', (s, context) =>
    s && s.boxBoreMm - s.shaftMm < 4
      ? context.createError({
          path: 'boxBoreMm',
          message: M.betweenShaftBoxThereNo,
        })
      : true,
  )
  .test('depth', (s, context) => {
    if (!s || s.boxBoreMm - s.shaftMm < 4 || ringsOf(s) >= 1) return true;
    const lantern = s.lanternMm ?? 0;
    return context.createError(
      lantern > 0 && ringsOf({ ...s, lanternMm: 0 }) >= 1
        ? { path: 'lanternMm', message: M.besideSoLongLanternBox }
        : { path: 'boxDepthMm', message: M.boxNotDeepEnoughOne },
    );
  })
  .test('port', (s, context) =>
    s && (s.lanternMm ?? 0) > 0 && s.portMm === undefined
      ? context.createError({
          path: 'portMm',
          message: M.whereFlushPortsMiddleFrom,
        })
      : true,
  )
  .test('whole', isWhole)
  .test('maker-order', MAKER_ORDER, inOrder);
export type PackingSetup = InferType<typeof packingSetupSchema>;

/** A usual stuffing box on a sleeve of 60. Nothing of it is a limit. */
export const USUAL_PACKING: Omit<PackingSetup, 'machine' | 'position'> = {
  procedure: 'packing',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 80,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  boxBoreMm: 85,
  boxDepthMm: 90,
  lanternMm: 20,
  portMm: 42,
  allowancePercent: 2,
  cut: 'diagonal',
  staggerDeg: 90,
  boxes: 1,
  studs: 2,
  studPitchMm: 2,
  followerMm: 25,
  leakSchool: 'per-diameter',
  condition: {
    measures: ['look', 'shaft', 'runout'],
    seat: 'packing-sleeve',
    runoutStations: 2,
    turnBy: 'swing',
  },
};
