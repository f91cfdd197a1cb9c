import { array, type InferType, number, object, string } from 'yup';
import { COUPLING_METHODS } from '../alignment/coupling.ts';
import { GROOVE_PLACES } from '../shaft/groove.ts';
import { SEATS, SPLIT_RACE_GRADES } from '../shaft/seat-limits.ts';
import './sentences.ts';

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
};

const size = (max = 1000) => number().min(0.001).max(max);

/** What is measured on this machine and the sizes those measures need. Lengths in mm. */
export const conditionSchema = object({
  measures: array(string().oneOf(MEASURES).required()).min(1).max(MEASURES.length).required(),
  seat: string().oneOf(SEATS),
  splitRaceGrade: string().oneOf(SPLIT_RACE_GRADES),
  throttleBoreMm: size(),
  grooveUnder: string().oneOf(GROOVE_PLACES),
  finishParameter: string().oneOf(['Ra', 'Rq'] as const),
  runoutStations: number().integer().min(1).max(6),
  runoutAngles: number().integer().min(4).max(24),
  boxBoreMm: size(),
  faceRadiusMm: size(),
  sealBoreLowerMm: size(),
  sealBoreUpperMm: size(),
  sealDepthMm: size(),
  sealReachMm: size(),
  sealStudCircleMm: size(),
  feet: number().integer().min(3).max(8),
  housings: number().integer().min(2).max(4),
  housingSpanMm: size(20000),
  housingWidthMm: size(2000),
  couplingMethod: string().oneOf(COUPLING_METHODS),
  speedRpm: number().min(0.001).max(20000),
  faceDiameterMm: size(2000),
  dialDistanceMm: size(3000),
  frontFeetMm: size(5000),
  feetSpanMm: size(5000),
}).noUnknown();
export type Condition = InferType<typeof conditionSchema>;

type Need = { when: (c: Condition) => boolean; field: keyof Condition; message: string };

const asks = (m: Measure) => (c: Condition) => c.measures.includes(m);
const coupled = (method: Condition['couplingMethod']) => (c: Condition) =>
  c.measures.includes('coupling') && (c.couplingMethod ?? 'rim-and-face') === method;

/** What a measure cannot be judged without. */
const NEEDS: readonly Need[] = [
  {
    when: (c) => c.seat === 'throttle',
    field: 'throttleBoreMm',
    message: 'Bore of the throttle is missing.',
  },
  { when: asks('face'), field: 'boxBoreMm', message: 'Box bore is missing: the face is judged by it.' },
  { when: asks('bore'), field: 'boxBoreMm', message: 'Box bore is missing: the sweep is drawn in it.' },
  { when: asks('face'), field: 'faceRadiusMm', message: 'Radius of the face sweep is missing.' },
  { when: asks('housings'), field: 'housingSpanMm', message: 'Distance between housings is missing.' },
  { when: asks('housings'), field: 'housingWidthMm', message: 'Width measured on a housing is missing.' },
  { when: asks('coupling'), field: 'speedRpm', message: 'Speed is missing: the coupling is judged by it.' },
  { when: asks('coupling'), field: 'frontFeetMm', message: 'Distance to the front feet is missing.' },
  { when: asks('coupling'), field: 'feetSpanMm', message: 'Distance front to back feet is missing.' },
  {
    when: coupled('rim-and-face'),
    field: 'faceDiameterMm',
    message: 'Diameter swept on the face is missing.',
  },
  { when: coupled('reverse'), field: 'dialDistanceMm', message: 'Distance between the dials is missing.' },
];

/** The first size a condition part lacks for what it asks, or null. */
export function lacking(c: Condition | undefined): { field: keyof Condition; message: string } | null {
  if (!Array.isArray(c?.measures)) return null;
  return NEEDS.find((n) => n.when(c) && c[n.field] === undefined) ?? null;
}

type Sized = {
  [K in keyof Condition]-?: Condition[K] extends number | undefined ? K : never;
}[keyof Condition];

/**
 * A size a measure cannot do without. A setup that lacks it is refused, so no other number ever stands in for it.
 * @throws RangeError where it is missing all the same
 */
export function needed(c: Condition | undefined, field: Sized): number {
  const value = c?.[field];
  if (value === undefined)
    throw new RangeError(NEEDS.find((n) => n.field === field)?.message ?? `${field} is missing.`);
  return value;
}
