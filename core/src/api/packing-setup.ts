import { type InferType, number, object, string } from 'yup';
import { V_RING_LUBRICATIONS } from '../packing/plunger.ts';
import { ringsOf } from '../packing/rings.ts';
import { LEAK_SCHOOLS } from '../sources/schools.ts';
import { conditionSchema } from './condition.ts';
import { inOrder, MAKER_ORDER, machineFields, shaftFields, wholeCondition } from './setup-parts.ts';
import './sentences.ts';

/** A stuffing box packed and broken in. mm, rpm. */
export const packingSetupSchema = object({
  procedure: string()
    .oneOf(['packing'] as const)
    .required(),
  ...machineFields,
  ...shaftFields,
  boxBoreMm: number().min(0.001).max(600).required(),
  boxDepthMm: number().min(0.001).max(1000).required(),
  lanternMm: number().min(0).max(200),
  portMm: number().min(0.001).max(1000),
  allowancePercent: number().min(0).max(10).required(),
  cut: string()
    .oneOf(['butt', 'diagonal'] as const)
    .required(),
  staggerDeg: number<90 | 120>()
    .oneOf([90, 120] as const)
    .required(),
  boxes: number().integer().min(1).max(500),
  /** The follower’s studs: how many, their pitch, and how far it may go from finger-tight. */
  studs: number().integer().min(2).max(8).required(),
  studPitchMm: number().min(0.001).max(10).required(),
  followerMm: number().min(0.001).max(200).required(),
  leakSchool: string().oneOf(LEAK_SCHOOLS).required(),
  flatDropsPerMin: number().min(0.001).max(1000),
  condition: conditionSchema.required(),
})
  .noUnknown()
  .test('room', (s, context) =>
    s && s.boxBoreMm - s.shaftMm < 4
      ? context.createError({
          path: 'boxBoreMm',
          message: 'Between shaft and box there is no room for packing.',
        })
      : true,
  )
  .test('depth', (s, context) => {
    if (!s || s.boxBoreMm - s.shaftMm < 4 || ringsOf(s) >= 1) return true;
    const lantern = s.lanternMm ?? 0;
    return context.createError(
      lantern > 0 && ringsOf({ ...s, lanternMm: 0 }) >= 1
        ? { path: 'lanternMm', message: 'Beside so long a lantern the box has no room for one ring.' }
        : { path: 'boxDepthMm', message: 'The box is not deep enough for one ring of this section.' },
    );
  })
  .test('port', (s, context) =>
    s && (s.lanternMm ?? 0) > 0 && s.portMm === undefined
      ? context.createError({
          path: 'portMm',
          message: 'Where is the flush port’s middle, from the bottom of the box? The lantern goes under it.',
        })
      : true,
  )
  .test('flat-rate', (s, context) =>
    s?.leakSchool === 'flat' && s.flatDropsPerMin === undefined
      ? context.createError({
          path: 'flatDropsPerMin',
          message: 'How many drops a minute is the house’s figure?',
        })
      : true,
  )
  .test('condition-whole', (s, context) => wholeCondition(s?.condition, context))
  .test('maker-order', MAKER_ORDER, (s) => inOrder(s?.maker));
export type PackingSetup = InferType<typeof packingSetupSchema>;

/** A V-ring set on a plunger. */
export const plungerSetupSchema = object({
  procedure: string()
    .oneOf(['plunger'] as const)
    .required(),
  ...machineFields,
  lubrication: string().oneOf(V_RING_LUBRICATIONS).required(),
  /** Pitch of the packing nut’s thread. */
  nutPitchMm: number().min(0.001).max(10).required(),
}).noUnknown();
export type PlungerSetup = InferType<typeof plungerSetupSchema>;
