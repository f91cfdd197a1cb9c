import { boolean, type InferType, number, object, string, ValidationError } from 'yup';
import { ELASTOMERS, FLUIDS } from '../seals/elastomers.ts';
import { O_RING_SCHOOLS, SPACER_SCHOOLS, TAIL_SCHOOLS } from '../sources/schools.ts';
import { conditionSchema } from './condition.ts';
import { inOrder, MAKER_ORDER, machineFields, shaftFields, wholeCondition } from './setup-parts.ts';
import './sentences.ts';

/** Families of seals, each with its own order of work. */
export const SEAL_FAMILIES = [
  'component',
  'cartridge',
  'cassette',
  'cartridge-split',
  'fully-split',
  'clamp-split',
  'purged',
] as const;
export type SealFamily = (typeof SEAL_FAMILIES)[number];

const torque = () => number().min(0.001).max(2000);

/** What a family cannot do without: torques come from the maker’s sheet alone, there is no default. */
export const SEAL_NEEDS: Record<SealFamily, ReadonlyArray<readonly [string, string]>> = {
  component: [
    ['freeLengthMm', 'The free length of the seal is missing.'],
    ['compressionMm', 'The working compression is missing.'],
    ['screwNm', 'The set screws’ torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The gland bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
  cartridge: [
    ['screwNm', 'The set screws’ torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The gland bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
  cassette: [
    ['screwNm', 'The set screws’ torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The gland bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
  'cartridge-split': [
    ['jointNm', 'The joint screws’ torque is missing: it comes from the maker’s sheet.'],
    ['screwNm', 'The set screws’ torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The gland bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
  'fully-split': [
    ['jointNm', 'The joint screws’ torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The gland bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
  'clamp-split': [
    ['screwNm', 'The drive screws’ torque is missing: it comes from the maker’s sheet.'],
    ['jointNm', 'The clamp ring’s torque is missing: it comes from the maker’s sheet.'],
    ['glandNm', 'The flange screws’ torque is missing: it comes from the maker’s sheet.'],
  ],
  purged: [
    ['processMpa', 'The process pressure is missing: the gas is set by it.'],
    ['glandNm', 'The flange bolts’ torque is missing: it comes from the maker’s sheet.'],
  ],
};

/** A seal fitted in a box. mm, MPa, N·m, °C. */
export const sealSetupSchema = object({
  procedure: string()
    .oneOf(['seal'] as const)
    .required(),
  ...machineFields,
  ...shaftFields,
  family: string().oneOf(SEAL_FAMILIES).required(),
  /** Component seal: its length, its compression, which side of the box face it turns on, growth of the shaft after setting. */
  freeLengthMm: number().min(0.001).max(1000),
  compressionMm: number().min(0.001).max(100),
  rotary: string().oneOf(['inside', 'outside'] as const),
  growthMm: number().min(-20).max(20),
  /** Gland, set screws, joint screws of a split part: how many, and the sheet’s torques. */
  glandBolts: number().integer().min(2).max(16).required(),
  glandNm: torque(),
  softGasket: boolean(),
  dogs: number().integer().min(0).max(16),
  cups: number().integer().min(0).max(16),
  screwNm: torque(),
  jointScrews: number().integer().min(2).max(16),
  jointNm: torque(),
  boxPressureMpa: number().min(0).max(100),
  hardenedScrews: boolean(),
  caseHardened: boolean(),
  /** Barrier or buffer ports to be turned to their place. */
  barrier: boolean(),
  rotation: string().oneOf(['clockwise', 'anticlockwise'] as const),
  seenFrom: string().oneOf(['drive-end', 'pump-end'] as const),
  processMpa: number().min(0).max(50),
  elastomer: string().oneOf(ELASTOMERS),
  fluid: string().oneOf(FLUIDS),
  temperatureC: number().min(-100).max(400),
  /** By the house’s schools; where nothing is said, as we usually begin. */
  oRings: string().oneOf(O_RING_SCHOOLS),
  tail: string().oneOf(TAIL_SCHOOLS),
  spacer: string().oneOf(SPACER_SCHOOLS),
  condition: conditionSchema.required(),
})
  .noUnknown()
  .test('family-needs', (s, context) => {
    // A clamp ring that is driven by pins alone has no drive screws to have a torque.
    const driven = s?.family !== 'clamp-split' || (s.dogs ?? 0) + (s.cups ?? 0) > 0;
    const needs = (s ? (SEAL_NEEDS[s.family] ?? []) : []).filter(([f]) => driven || f !== 'screwNm');
    const missing = needs.filter(([field]) => (s as Record<string, unknown>)[field] === undefined);
    if (missing.length === 0) return true;
    return new ValidationError(missing.map(([path, message]) => context.createError({ path, message })));
  })
  .test('screws', (s, context) =>
    s &&
    ['component', 'cartridge', 'cassette', 'cartridge-split'].includes(s.family) &&
    (s.dogs ?? 0) + (s.cups ?? 0) < 1
      ? context.createError({
          path: 'cups',
          message: 'How many set screws are there: dog points and cup points?',
        })
      : true,
  )
  .test('joint-even', (s, context) =>
    s?.jointScrews !== undefined && s.jointScrews % 2 === 1
      ? context.createError({
          path: 'jointScrews',
          message: 'A split part has as many joint screws on each side.',
        })
      : true,
  )
  .test('condition-whole', (s, context) => wholeCondition(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type SealSetup = InferType<typeof sealSetupSchema>;
