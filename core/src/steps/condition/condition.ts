import { array, type InferType, number, object, type Schema, string } from 'yup';
import type { COUPLING_METHODS } from '../../arithmetic/alignment/coupling.ts';
import { type SEATS, SPLIT_RACE_GRADES } from '../../arithmetic/shaft/seat-limits.ts';
import { type Asked, ask, choice, chosen, measured } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

/** What a condition survey may ask for, in the order of the work. Each is a step of the job under the same id. */
export const MEASURES = [
  'look',
  'shaft',
  'finish',
  'runout',
  'play',
  'face',
  'bore',
  'envelope',
  'softfoot',
  'housings',
  'coupling',
  'belts',
] as const;
export type Measure = (typeof MEASURES)[number];

export const MEASURE_TITLE: Record<Measure, Text> = {
  look: M.lookFeel,
  shaft: M.shaftDiameters,
  finish: COMMON.finish,
  runout: M.runOut,
  play: M.endRadialPlay,
  face: COMMON.boxFace,
  bore: COMMON.boxBore,
  envelope: M.sealEnvelope,
  softfoot: M.softFoot,
  housings: M.housingsLine,
  coupling: COMMON.coupling,
  belts: COMMON.belts,
};

const TURNS = M.turnsIndicator;
export const SEAL_SHEET = M.sealsSheet;
const FEET = M.feetHousings;

/** A size, mm, shown to a hundredth. */
const size = (group: Text, label: Text, more: Partial<Asked> = {}, max = 1000) =>
  number()
    .min(0.001)
    .max(max)
    .meta(ask(group, label, { decimals: 2, ...more }));
/** How many of something a measure has. */
const count = (group: Text, label: Text, least: number, most: number, ...measures: Measure[]) =>
  number()
    .integer()
    .min(least)
    .max(most)
    .meta(ask(group, label, { when: measured(...measures) }));
const coupled = (method: (typeof COUPLING_METHODS)[number]) => (form: Record<string, string>) =>
  (form['condition:couplingMethod'] || 'rim-and-face') === method;

const warm = (machine: 'driver' | 'driven') => ({
  decimals: 0,
  when: measured('coupling'),
  needed: (form: Record<string, string>) =>
    form[`condition:${machine}WarmerK`]
      ? M.heightShaftMissingGrowsWarmth({ machine: machine === 'driver' ? 'drivers' : 'driven' })
      : undefined,
});
const warmth = (label: Text) =>
  number()
    .min(-200)
    .max(400)
    .meta(ask(COMMON.coupling, label, { decided: true, when: measured('coupling') }));

/** The bore of the throttle a shaft runs in, mm. */
export const throttleBore = (more: Partial<Asked>) =>
  size(COMMON.shaft, M.boreThrottle, { decimals: 3, needed: M.boreThrottleMissing, ...more });
/** What a worn groove lies under. */
export const grooveUnder = choice(
  COMMON.shaft,
  M.overWornGrooveLies,
  { 'moving-o-ring': COMMON.oRingMoves, 'seal-drive': COMMON.sealsDrive, elsewhere: M.neither },
  { when: measured('shaft') },
);

/** The seat a shaft is judged as, asked only where it is not told by the work itself. */
const seatFields = {
  seat: choice(
    COMMON.shaft,
    COMMON.seat2,
    {
      'adapter-sleeve': M.adapterSleeve,
      'mechanical-seal': COMMON.mechanicalSeal,
      'packing-sleeve': M.packingSleeve,
      'split-race': M.splitRaceDirect,
      throttle: M.gasPurgedThrottle,
    } satisfies Record<(typeof SEATS)[number], Text>,
    { when: measured('shaft') },
  ),
  splitRaceGrade: choice(COMMON.shaft, COMMON.splitRaceWants, SPLIT_RACE_GRADES, {
    when: chosen('condition.seat', 'split-race'),
  }),
  throttleBoreMm: throttleBore({ when: chosen('condition.seat', 'throttle') }),
  grooveUnder,
};

const measureList = (measures: readonly Measure[] = MEASURES) =>
  array(string().oneOf(measures).required()).min(1).max(measures.length).required();

/** What is measured on a machine and the sizes those measures need. Lengths in mm. */
export const conditionSchema = object({
  measures: measureList(),
  ...seatFields,
  runoutStations: count(TURNS, M.runOutStations, 1, 6, 'runout'),
  turnBy: choice(
    TURNS,
    M.turnRead2,
    { swing: M.wholeSwing, angles: M.angleByAngle2 },
    { when: measured('runout', 'face') },
  ),
  runoutAngles: number()
    .integer()
    .min(4)
    .max(24)
    .meta(
      ask(TURNS, M.anglesTurn, {
        when: (form) =>
          measured('bore')(form) ||
          (measured('runout', 'face')(form) && form['condition:turnBy'] !== 'swing'),
      }),
    ),
  finishParameter: choice(COMMON.finish, COMMON.testerGives, ['Ra', 'Rq'] as const, {
    when: measured('finish'),
  }),
  /** Asked when the sweep is read, not before a job can be opened. */
  boxBoreMm: size(H.box, COMMON.boxBore, {
    when: measured('face', 'bore'),
    later: true,
    needed: (form) => (measured('face')(form) ? M.boxBoreMissingFaceJudged : M.boxBoreMissingSweepDrawn),
  }),
  faceRadiusMm: size(H.box, M.radiusFaceSweep, {
    when: measured('face'),
    later: true,
    needed: M.radiusFaceSweepMissing,
  }),
  sealBoreLowerMm: size(SEAL_SHEET, M.boxBoreLeast, { when: measured('envelope') }),
  sealBoreUpperMm: size(SEAL_SHEET, M.boxBoreMost, { when: measured('envelope') }),
  sealDepthMm: size(SEAL_SHEET, M.boxDepthLeast, { when: measured('envelope') }),
  sealReachMm: size(SEAL_SHEET, M.clearFirstObstruction, { when: measured('envelope') }),
  sealStudCircleMm: size(SEAL_SHEET, COMMON.studCircle, { when: measured('envelope') }),
  feet: count(FEET, M.feet, 3, 8, 'softfoot'),
  housings: count(FEET, M.housings, 2, 4, 'housings'),
  housingSpanMm: size(
    FEET,
    M.housingHousing,
    { when: measured('housings'), needed: M.distanceBetweenHousingsMissing },
    20000,
  ),
  housingWidthMm: size(
    FEET,
    M.nearFarPlaceOne,
    { when: measured('housings'), needed: M.widthMeasuredHousingMissing },
    2000,
  ),
  couplingMethod: choice(
    COMMON.coupling,
    COMMON.read,
    { reverse: M.twoDialsReverse, 'rim-and-face': M.rimFace } satisfies Record<
      (typeof COUPLING_METHODS)[number],
      Text
    >,
    { when: measured('coupling') },
  ),
  speedRpm: number()
    .min(0.001)
    .max(20000)
    .meta(
      ask(COMMON.coupling, COMMON.speedRpm, {
        when: measured('coupling'),
        needed: M.speedMissingCouplingJudged,
      }),
    ),
  faceDiameterMm: size(
    COMMON.coupling,
    COMMON.diameterSweptFace,
    {
      when: measured('coupling'),
      needed: (form) => (coupled('rim-and-face')(form) ? M.diameterSweptFaceMissing : undefined),
    },
    2000,
  ),
  dialDistanceMm: size(
    COMMON.coupling,
    COMMON.dialDialReverse,
    {
      when: measured('coupling'),
      needed: (form) => (coupled('reverse')(form) ? M.distanceBetweenDialsMissing : undefined),
    },
    3000,
  ),
  frontFeetMm: size(
    COMMON.coupling,
    COMMON.driversDialFrontFeet,
    { when: measured('coupling'), needed: M.distanceFrontFeetMissing },
    5000,
  ),
  feetSpanMm: size(
    COMMON.coupling,
    COMMON.frontBackFeet,
    { when: measured('coupling'), needed: M.distanceFrontBackFeetMissing },
    5000,
  ),
  /** How much warmer than cold each machine runs, and the shaft's height over its feet: the driver is then set to stand in line warm. */
  driverHeightMm: size(COMMON.coupling, M.driversShaftOverFeet, warm('driver'), 3000),
  driverWarmerK: warmth(M.driverRunsWarmerK),
  drivenHeightMm: size(COMMON.coupling, M.drivenShaftOverFeet, warm('driven'), 3000),
  drivenWarmerK: warmth(M.drivenMachineRunsWarmerK),
  belts: number()
    .integer()
    .min(1)
    .max(24)
    .meta(
      ask(COMMON.belts, M.howManyBelts, {
        when: measured('belts'),
        needed: M.howManyBeltsDriveHas,
      }),
    ),
  beltBy: choice(
    COMMON.belts,
    COMMON.measured2,
    { note: M.noteStruckSpan, force: M.forceBends },
    { when: measured('belts'), fallback: 'note' },
  ),
  beltSpanMm: size(
    COMMON.belts,
    M.freeSpanPulleyPulley,
    { decimals: 0, when: measured('belts'), needed: M.freeSpanBeltsMissing },
    10000,
  ),
  beltMassKgPerM: number()
    .min(0.001)
    .max(20)
    .meta(
      ask(COMMON.belts, M.oneBeltWeighsKgMetre, {
        decided: true,
        when: measured('belts'),
        needed: (form) =>
          measured('belts')(form) && (form['condition:beltBy'] || 'note') === 'note'
            ? M.whatBeltWeighsMissingNote
            : undefined,
      }),
    ),
  beltWantedN: number()
    .min(1)
    .max(1e6)
    .meta(
      ask(COMMON.belts, M.tensionOneStrandN, {
        decided: true,
        when: measured('belts'),
        needed: (form) =>
          measured('belts')(form) && !(form['condition:beltPowerKw'] && form['condition:beltSpeedMPerS'])
            ? M.tensionMissingFromBeltsSheet
            : undefined,
      }),
    ),
  beltPowerKw: number()
    .min(0.01)
    .max(10_000)
    .meta(ask(COMMON.belts, COMMON.powerKW, { decided: true, when: measured('belts') })),
  /** What the machine asks over its power, by the maker’s table. */
  beltServiceFactor: number()
    .min(1)
    .max(3)
    .meta(ask(COMMON.belts, M.beltServiceFactor, { decided: true, when: measured('belts') })),
  beltSpeedMPerS: number()
    .min(0.1)
    .max(60)
    .meta(ask(COMMON.belts, COMMON.beltSpeedMS, { decided: true, when: measured('belts') })),
  beltArcDeg: number()
    .min(60)
    .max(300)
    .meta(ask(COMMON.belts, M.arcSmallerPulleyDegrees, { decided: true, when: measured('belts') })),
}).noUnknown();
export type Condition = InferType<typeof conditionSchema>;

/**
 * The condition part of a trade's setup: which measures it offers. A trade whose own part is the seat does not ask what the
 * seat is for; one that is nothing but measures has them chosen in sight.
 */
export function conditionPart(
  measures: readonly Measure[],
  seat: 'asked' | 'given' = 'asked',
  { inSight = false } = {},
) {
  const flags = {
    group: H.whatMeasured,
    options: measures.map((m) => [m, MEASURE_TITLE[m]] as const),
    ...(inSight ? { inSight } : {}),
  };
  const list = measureList(measures).meta({ flags });
  return seat === 'asked'
    ? conditionSchema.shape({ measures: list })
    : conditionSchema.shape({ measures: list, ...silent(seatFields) });
}

/** The same fields, not asked for. */
const silent = <F extends Record<string, Schema>>(fields: F): F =>
  Object.fromEntries(
    Object.entries(fields).map(([name, field]) => [name, field.meta({ silent: true })]),
  ) as F;

type Sized = {
  [K in keyof Condition]-?: Condition[K] extends number | undefined ? K : never;
}[keyof Condition];

/**
 * A size a measure cannot do without. A setup that lacks it is refused, so no other number ever stands in for it.
 * @throws RangeError where it is missing all the same
 */
export function needed(c: Condition | undefined, field: Sized): number {
  const value = c?.[field];
  if (value !== undefined) return value;
  throw new MessageError(M.missing({ field }));
}
