import { boolean, type InferType, number, object, string } from 'yup';
import { THICKENERS } from '../lubrication/compatibility.ts';
import { ROLLING_KINDS } from '../lubrication/regreasing.ts';
import { REGREASE_SCHOOLS } from '../sources/schools.ts';
import { machineFields } from './setup-parts.ts';
import './sentences.ts';

/** One bearing regreased. mm, rpm, g, °C. */
export const regreaseSetupSchema = object({
  procedure: string()
    .oneOf(['regreasing'] as const)
    .required(),
  ...machineFields,
  kind: string().oneOf(ROLLING_KINDS).required(),
  boreMm: number().min(5).max(1000).required(),
  outsideMm: number().min(0.001).max(2000).required(),
  widthMm: number().min(0.001).max(1000).required(),
  speedRpm: number().min(0.1).max(50000).required(),
  /** Temperature of the bearing in service, °C. */
  serviceC: number().min(-40).max(200),
  vertical: boolean(),
  dirtFactor: number().min(0.001).max(1),
  /** What one stroke of this gun gives, weighed once. */
  gramsPerStroke: number().min(0.001).max(100).required(),
  /** While it runs, slowly, until clean grease purges; or standing still until a relief opens. */
  how: string().oneOf(REGREASE_SCHOOLS).required(),
  chamber: string()
    .oneOf(['open', 'closed'] as const)
    .required(),
  thickenerInside: string().oneOf(THICKENERS).required(),
  thickenerFresh: string().oneOf(THICKENERS).required(),
})
  .noUnknown()
  .test('ring', (s, context) =>
    s && !(s.outsideMm > s.boreMm)
      ? context.createError({ path: 'outsideMm', message: 'The outside must be larger than the bore.' })
      : true,
  );

export type RegreaseSetup = InferType<typeof regreaseSetupSchema>;
