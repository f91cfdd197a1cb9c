import { array, boolean, number, object, string, type TestContext } from 'yup';
import { FILL_SCHOOLS } from '../lubrication/first-fill.ts';
import {
  DECISION_RULES,
  DRIVE_UP_SCHOOLS,
  END_PLAY_SCHOOLS,
  FACE_SCHOOLS,
  FILMS,
  GAUGE_SCHOOLS,
  LEAK_SCHOOLS,
  O_RING_SCHOOLS,
  RACE_SCHOOLS,
  REGREASE_SCHOOLS,
  RUNOUT_SCHOOLS,
  SPACER_SCHOOLS,
  TAIL_SCHOOLS,
} from '../sources/schools.ts';
import { type Condition, lacking } from './condition.ts';
import './sentences.ts';

const name = (label: string) =>
  string().trim().min(1, `${label} is missing.`).max(80).required(`${label} is missing.`);
const maker = (max: number) => number().min(0.0001).max(max);

/** Steps a lead hand may be asked to release. */
export const HOLDABLE_STEPS = [
  'driveup',
  'lock',
  'seat',
  'bolts',
  'screws',
  'breakin',
  'handturn',
  'verdict',
  'sign',
] as const;

/** Values typed from the maker's sheet; they outrank every table. mm, N·m, µm of roughness, degrees, MPa, mm². */
export const makerSchema = object({
  shaftLowerMm: maker(500),
  shaftUpperMm: maker(500),
  benchLowerMm: maker(2),
  benchUpperMm: maker(2),
  reductionMinMm: maker(1),
  reductionMaxMm: maker(1),
  leastResidualMm: maker(1),
  torqueNm: maker(5000),
  runoutMm: maker(5),
  finishUm: maker(50),
  endPlayMm: maker(5),
  radialPlayMm: maker(5),
  faceMm: maker(5),
  boreMm: maker(5),
  softFootMm: maker(2),
  abilityDeg: maker(5),
  offsetMm: maker(2),
  anglePer100Mm: maker(2),
  nutAngleMinDeg: maker(1080),
  nutAngleMaxDeg: maker(1080),
  startPressureMpa: maker(200),
  sheetAreaMm2: maker(1e6),
  nutAreaMm2: maker(1e6),
  driveUpMinMm: maker(30),
  driveUpMaxMm: maker(30),
  abortPressureMpa: maker(300),
  dismountAbortMpa: maker(300),
  closedBoreMm: maker(1000),
  compressionLowerMm: maker(100),
  compressionUpperMm: maker(100),
  glandSpreadMm: maker(5),
}).noUnknown();

/** House rules as a job took them over when it was opened, or as it was told otherwise. */
export const schoolsSchema = object({
  runout: string().oneOf(RUNOUT_SCHOOLS).required(),
  face: string().oneOf(FACE_SCHOOLS).required(),
  endPlay: string().oneOf(END_PLAY_SCHOOLS).required(),
  decision: string().oneOf(DECISION_RULES).required(),
  driveUp: string().oneOf(DRIVE_UP_SCHOOLS),
  fill: string().oneOf(FILL_SCHOOLS),
  race: string().oneOf(RACE_SCHOOLS),
  gauge: string().oneOf(GAUGE_SCHOOLS),
  film: string().oneOf(FILMS),
  regrease: string().oneOf(REGREASE_SCHOOLS),
  leak: string().oneOf(LEAK_SCHOOLS),
  oRings: string().oneOf(O_RING_SCHOOLS),
  tail: string().oneOf(TAIL_SCHOOLS),
  spacer: string().oneOf(SPACER_SCHOOLS),
}).noUnknown();

/** What every job says of its machine. */
export const machineFields = {
  machine: name('The machine'),
  position: name('The position'),
  partNumber: string().max(80),
  holdBefore: array(
    string()
      .oneOf([...HOLDABLE_STEPS])
      .required(),
  )
    .max(5)
    .required(),
  schools: schoolsSchema.optional().default(undefined),
  maker: makerSchema.required(),
  demo: boolean(),
};

/** What a job says of the shaft it measures. */
export const shaftFields = {
  shaftSystem: string()
    .oneOf(['metric', 'inch'] as const)
    .required(),
  shaftMm: number().min(15).max(480).required(),
  seatMm: number().min(10).max(600).required(),
  stations: number().integer().min(2).max(6).required(),
  angles: number().integer().min(3).max(8).required(),
};

/** The maker's limits stand in order: a pair of field names, lower and upper. */
export const MAKER_PAIRS = [
  ['shaftLowerMm', 'shaftUpperMm'],
  ['benchLowerMm', 'benchUpperMm'],
  ['reductionMinMm', 'reductionMaxMm'],
  ['nutAngleMinDeg', 'nutAngleMaxDeg'],
  ['driveUpMinMm', 'driveUpMaxMm'],
  ['compressionLowerMm', 'compressionUpperMm'],
] as const;

type Maker = Partial<Record<(typeof MAKER_PAIRS)[number][number], number | undefined>>;

/** Do the maker's pairs stand in order? */
export const inOrder = (maker: Maker | undefined): boolean =>
  !maker ||
  MAKER_PAIRS.every(([lo, hi]) => {
    const [a, b] = [maker[lo], maker[hi]];
    return a === undefined || b === undefined || a < b;
  });
export const MAKER_ORDER = "In the maker's values a lower limit stands above its upper.";

/** What a measure lacks is said at its own field. */
export const wholeCondition = (condition: Condition | undefined, context: TestContext) => {
  const first = lacking(condition);
  return first ? context.createError({ path: `condition.${first.field}`, message: first.message }) : true;
};
