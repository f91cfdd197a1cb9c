import { array, boolean, number, object, string } from 'yup';
import { DECISION_RULES, END_PLAY_SCHOOLS, FACE_SCHOOLS, RUNOUT_SCHOOLS } from '../sources/schools.ts';
import './sentences.ts';

const name = (label: string) =>
  string().trim().min(1, `${label} is missing.`).max(80).required(`${label} is missing.`);
const maker = (max: number) => number().moreThan(0).max(max);

/** Steps a lead hand may be asked to release. */
export const HOLDABLE_STEPS = ['driveup', 'lock', 'bolts', 'handturn', 'verdict', 'sign'] as const;

/** Values typed from the maker's sheet; they outrank every table. mm, N·m, µm of roughness, degrees. */
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
}).noUnknown();

/** House rules as a job took them over when it was opened, or as it was told otherwise. */
export const schoolsSchema = object({
  runout: string().oneOf(RUNOUT_SCHOOLS).required(),
  face: string().oneOf(FACE_SCHOOLS).required(),
  endPlay: string().oneOf(END_PLAY_SCHOOLS).required(),
  decision: string().oneOf(DECISION_RULES).required(),
}).noUnknown();

/** What every job says of its machine and shaft. */
export const machineFields = {
  machine: name('The machine'),
  position: name('The position'),
  partNumber: string().max(80),
  shaftSystem: string()
    .oneOf(['metric', 'inch'] as const)
    .required(),
  shaftMm: number().min(15).max(480).required(),
  seatMm: number().min(10).max(600).required(),
  stations: number().integer().min(2).max(6).required(),
  angles: number().integer().min(3).max(8).required(),
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

/** The maker's limits stand in order: a pair of field names, lower and upper. */
export const MAKER_PAIRS = [
  ['shaftLowerMm', 'shaftUpperMm'],
  ['benchLowerMm', 'benchUpperMm'],
  ['reductionMinMm', 'reductionMaxMm'],
] as const;
