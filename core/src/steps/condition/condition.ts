import { array, type InferType, number, object, type Schema, string } from 'yup';
import type { COUPLING_METHODS } from '../../arithmetic/alignment/coupling.ts';
import { type SEATS, SPLIT_RACE_GRADES } from '../../arithmetic/shaft/seat-limits.ts';
import { type Asked, ask, choice, chosen, fieldsOf, measured } from '../../engine/asked.ts';
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

export const MEASURE_TITLE: Record<Measure, string> = {
  look: 'Look and feel',
  shaft: 'Shaft diameters',
  finish: 'Finish',
  runout: 'Run-out',
  play: 'End and radial play',
  face: 'Box face',
  bore: 'Box bore',
  envelope: 'Seal envelope',
  softfoot: 'Soft foot',
  housings: 'Housings in line',
  coupling: 'Coupling',
  belts: 'Belts',
};

const TURNS = 'Turns of the indicator';
export const SEAL_SHEET = 'Seal’s sheet';
const FEET = 'Feet and housings';

/** A size, mm, shown to a hundredth. */
const size = (group: string, label: string, more: Partial<Asked> = {}, max = 1000) =>
  number()
    .min(0.001)
    .max(max)
    .meta(ask(group, label, { decimals: 2, ...more }));
/** How many of something a measure has. */
const count = (group: string, label: string, least: number, most: number, ...measures: Measure[]) =>
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
      ? `The height of the ${machine === 'driver' ? 'driver’s' : 'driven'} shaft is missing: it grows by its warmth over it.`
      : undefined,
});
const warmth = (label: string) =>
  number()
    .min(-200)
    .max(400)
    .meta(ask('Coupling', label, { decided: true, when: measured('coupling') }));

/** The seat a shaft is judged as, asked only where it is not told by the work itself. */
const seatFields = {
  seat: choice(
    'Shaft',
    'Seat is for',
    {
      'adapter-sleeve': 'an adapter sleeve',
      'mechanical-seal': 'a mechanical seal',
      'packing-sleeve': 'a packing sleeve',
      'split-race': 'a split race, direct',
      throttle: 'a gas-purged throttle',
    } satisfies Record<(typeof SEATS)[number], string>,
    { when: measured('shaft') },
  ),
  splitRaceGrade: choice('Shaft', 'Split race wants', SPLIT_RACE_GRADES, {
    when: chosen('condition.seat', 'split-race'),
  }),
  throttleBoreMm: size('Shaft', 'Bore of the throttle', {
    decimals: 3,
    when: chosen('condition.seat', 'throttle'),
    needed: 'Bore of the throttle is missing.',
  }),
  grooveUnder: choice(
    'Shaft',
    'Over a worn groove lies',
    { 'moving-o-ring': 'an O-ring that moves', 'seal-drive': 'the seal’s drive', elsewhere: 'neither' },
    { when: measured('shaft') },
  ),
};

const measureList = (measures: readonly Measure[] = MEASURES) =>
  array(string().oneOf(measures).required()).min(1).max(measures.length).required();

/** What is measured on a machine and the sizes those measures need. Lengths in mm. */
export const conditionSchema = object({
  measures: measureList(),
  ...seatFields,
  runoutStations: count(TURNS, 'Run-out at stations', 1, 6, 'runout'),
  runoutAngles: count(TURNS, 'Angles in a turn', 4, 24, 'runout', 'face', 'bore'),
  finishParameter: choice('Finish', 'The tester gives', ['Ra', 'Rq'] as const, { when: measured('finish') }),
  boxBoreMm: size('Box', 'Box bore', {
    when: measured('face', 'bore'),
    needed: (form) =>
      measured('face')(form)
        ? 'Box bore is missing: the face is judged by it.'
        : 'Box bore is missing: the sweep is drawn in it.',
  }),
  faceRadiusMm: size('Box', 'Radius of the face sweep', {
    when: measured('face'),
    needed: 'Radius of the face sweep is missing.',
  }),
  sealBoreLowerMm: size(SEAL_SHEET, 'Box bore, least', { when: measured('envelope') }),
  sealBoreUpperMm: size(SEAL_SHEET, 'Box bore, most', { when: measured('envelope') }),
  sealDepthMm: size(SEAL_SHEET, 'Box depth, least', { when: measured('envelope') }),
  sealReachMm: size(SEAL_SHEET, 'Clear to the first obstruction', { when: measured('envelope') }),
  sealStudCircleMm: size(SEAL_SHEET, 'Stud circle', { when: measured('envelope') }),
  feet: count(FEET, 'Feet', 3, 8, 'softfoot'),
  housings: count(FEET, 'Housings', 2, 4, 'housings'),
  housingSpanMm: size(
    FEET,
    'Housing to housing',
    { when: measured('housings'), needed: 'Distance between housings is missing.' },
    20000,
  ),
  housingWidthMm: size(
    FEET,
    'Near to far place on one',
    { when: measured('housings'), needed: 'Width measured on a housing is missing.' },
    2000,
  ),
  couplingMethod: choice(
    'Coupling',
    'Read by',
    { reverse: 'two dials, reverse', 'rim-and-face': 'rim and face' } satisfies Record<
      (typeof COUPLING_METHODS)[number],
      string
    >,
    { when: measured('coupling') },
  ),
  speedRpm: number()
    .min(0.001)
    .max(20000)
    .meta(
      ask('Coupling', 'Speed, rpm', {
        when: measured('coupling'),
        needed: 'Speed is missing: the coupling is judged by it.',
      }),
    ),
  faceDiameterMm: size(
    'Coupling',
    'Diameter swept on the face',
    {
      when: measured('coupling'),
      needed: (form) =>
        coupled('rim-and-face')(form) ? 'Diameter swept on the face is missing.' : undefined,
    },
    2000,
  ),
  dialDistanceMm: size(
    'Coupling',
    'Dial to dial (reverse)',
    {
      when: measured('coupling'),
      needed: (form) => (coupled('reverse')(form) ? 'Distance between the dials is missing.' : undefined),
    },
    3000,
  ),
  frontFeetMm: size(
    'Coupling',
    'Driver’s dial to front feet',
    { when: measured('coupling'), needed: 'Distance to the front feet is missing.' },
    5000,
  ),
  feetSpanMm: size(
    'Coupling',
    'Front to back feet',
    { when: measured('coupling'), needed: 'Distance front to back feet is missing.' },
    5000,
  ),
  /** How much warmer than cold each machine runs, and the shaft's height over its feet: the driver is then set to stand in line warm. */
  driverHeightMm: size('Coupling', 'Driver’s shaft over its feet', warm('driver'), 3000),
  driverWarmerK: warmth('Driver runs warmer by, K'),
  drivenHeightMm: size('Coupling', 'Driven shaft over its feet', warm('driven'), 3000),
  drivenWarmerK: warmth('Driven machine runs warmer by, K'),
  belts: number()
    .integer()
    .min(1)
    .max(24)
    .meta(
      ask('Belts', 'How many belts', {
        when: measured('belts'),
        needed: 'How many belts the drive has is missing.',
      }),
    ),
  beltBy: choice(
    'Belts',
    'Measured by',
    { note: 'the note of its struck span', force: 'the force that bends it' },
    { when: measured('belts'), fallback: 'note' },
  ),
  beltSpanMm: size(
    'Belts',
    'Free span, pulley to pulley',
    { decimals: 0, when: measured('belts'), needed: 'The free span of the belts is missing.' },
    10000,
  ),
  beltMassKgPerM: number()
    .min(0.001)
    .max(20)
    .meta(
      ask('Belts', 'One belt weighs, kg a metre', {
        decided: true,
        when: measured('belts'),
        needed: (form) =>
          measured('belts')(form) && (form['condition:beltBy'] || 'note') === 'note'
            ? 'What a belt weighs is missing: its note is judged by it.'
            : undefined,
      }),
    ),
  beltWantedN: number()
    .min(1)
    .max(1e6)
    .meta(
      ask('Belts', 'Tension of one strand, N', {
        decided: true,
        when: measured('belts'),
        needed: (form) =>
          measured('belts')(form) && !(form['condition:beltPowerKw'] && form['condition:beltSpeedMPerS'])
            ? 'The tension is missing: from the belt’s sheet, or power and belt speed to work it out from.'
            : undefined,
      }),
    ),
  beltPowerKw: number()
    .min(0.01)
    .max(10_000)
    .meta(ask('Belts', 'Power, kW', { decided: true, when: measured('belts') })),
  beltSpeedMPerS: number()
    .min(0.1)
    .max(60)
    .meta(ask('Belts', 'Belt speed, m/s', { decided: true, when: measured('belts') })),
  beltArcDeg: number()
    .min(60)
    .max(300)
    .meta(ask('Belts', 'Arc on the smaller pulley, degrees', { decided: true, when: measured('belts') })),
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
    group: 'What is measured',
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
  const asked = fieldsOf(conditionSchema).find((f) => f.name === field);
  throw new RangeError(
    typeof asked?.needed === 'string' ? asked.needed : `${asked?.label ?? field} is missing.`,
  );
}
