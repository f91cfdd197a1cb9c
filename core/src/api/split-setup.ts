import { type InferType, number, object, string } from 'yup';
import { FILMS, GAUGE_SCHOOLS, RACE_SCHOOLS } from '../sources/schools.ts';
import { conditionSchema } from './condition.ts';
import { bearingParts, boltSetSchema, massFits } from './fitting-parts.ts';
import { inOrder, MAKER_ORDER, machineFields, shaftFields, wholeCondition } from './setup-parts.ts';
import './sentences.ts';

/**
 * A split cylindrical roller bearing in its split cartridge and pedestal. Lengths in mm, torques in N·m.
 */
export const splitSetupSchema = object({
  procedure: string()
    .oneOf(['split-bearing'] as const)
    .required(),
  ...machineFields,
  ...shaftFields,
  role: string()
    .oneOf(['fixed', 'float'] as const)
    .required(),
  /** Bore of the inner race, for the first fill. */
  boreMm: number().moreThan(18).max(1000).required(),
  /** The rings' joints stand so far off the race's, or as they are marked. Degrees. */
  clampOffsetDeg: number().min(0).max(90),
  jointScrews: boltSetSchema.required(),
  clampScrews: boltSetSchema.required(),
  cartridgeBolts: boltSetSchema.required(),
  capBolts: boltSetSchema.required(),
  /** Outer race into its cartridge, clamp screws at the axial place, film on the cartridge: the schools. */
  raceSchool: string().oneOf(RACE_SCHOOLS).required(),
  gaugeSchool: string().oneOf(GAUGE_SCHOOLS).required(),
  film: string().oneOf(FILMS).required(),
  ...bearingParts,
  condition: conditionSchema.required(),
})
  .noUnknown()
  .test('bore', (s, context) =>
    s && Math.abs(s.boreMm - s.shaftMm) > 0.05 * s.shaftMm
      ? context.createError({
          path: 'boreMm',
          message: 'The race of a split bearing sits on the shaft itself: its bore is the shaft’s size.',
        })
      : true,
  )
  .test('clamp-even', (s, context) =>
    s && (s.clampScrews?.count ?? 0) % 2 === 1
      ? context.createError({
          path: 'clampScrews.count',
          message: 'A split race has as many clamp screws on each side.',
        })
      : true,
  )
  .test('mass', (s, context) => massFits(s, context))
  .test('condition-whole', (s, context) => wholeCondition(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));

export type SplitSetup = InferType<typeof splitSetupSchema>;
