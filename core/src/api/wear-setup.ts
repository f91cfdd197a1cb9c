import { type InferType, number, object, string } from 'yup';
import { isDay } from './moments.ts';
import { machineFields } from './setup-parts.ts';
import './sentences.ts';

/** What the wear of a seal is read on. */
export const WEAR_GAUGES = ['pins', 'spacer'] as const;

/** A seal whose wear is watched against the baseline of its fitting. mm. */
export const wearSetupSchema = object({
  procedure: string()
    .oneOf(['seal-wear'] as const)
    .required(),
  ...machineFields,
  gauge: string().oneOf(WEAR_GAUGES).required(),
  /** The day it was fitted, and what was measured then: both stand on the seal's sheet. */
  fittedOn: string()
    .required('The day it was fitted is missing: it stands on the seal’s sheet.')
    .matches(/^\d{4}-\d{2}-\d{2}$/, 'Type the day as 2026-11-26.')
    .test('day', 'There is no such day.', (v) => !v || !/^\d{4}-\d{2}-\d{2}$/.test(v) || isDay(v)),
  baselineMm: number().min(-20).max(50).required(),
  /** At this projection the service is due; 0 where flush means so. */
  serviceMm: number().min(-20).max(50).required(),
})
  .noUnknown()
  .test('baseline', (s, context) =>
    s && !(s.baselineMm > s.serviceMm)
      ? context.createError({
          path: 'baselineMm',
          message: 'The baseline stands proud of where the service is due.',
        })
      : true,
  );
export type WearSetup = InferType<typeof wearSetupSchema>;
