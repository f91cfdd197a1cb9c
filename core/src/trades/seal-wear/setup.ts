import { type InferType, number, object, string } from 'yup';
import { ask, choice } from '../../engine/asked.ts';
import { isDay } from '../../judgement/moments.ts';
import { everyJob, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

export const BASELINE = 'Baseline, from the seal’s sheet';

/** A seal whose wear is watched against the baseline of its fitting. mm. */
export const wearSetupSchema = object({
  procedure: string()
    .oneOf(['seal-wear'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: 'signature' }),
  /** What its wear is read on. */
  gauge: choice(BASELINE, 'Read on', {
    pins: 'the locking pins',
    spacer: 'the setting spacer against the gland',
  }).required(),
  /** The day it was fitted, and what was measured then: both stand on the seal's sheet. */
  fittedOn: string()
    .required('The day it was fitted is missing: it stands on the seal’s sheet.')
    .matches(/^\d{4}-\d{2}-\d{2}$/, 'Type the day as 2026-11-26.')
    .test('day', 'There is no such day.', (v) => !v || !/^\d{4}-\d{2}-\d{2}$/.test(v) || isDay(v))
    .meta(ask(BASELINE, 'Fitted on, as 2026-11-26')),
  baselineMm: number()
    .min(-20)
    .max(50)
    .required()
    .meta(ask(BASELINE, 'Stood proud by', { decimals: 2 })),
  /** At this projection the service is due; 0 where flush means so. */
  serviceMm: number()
    .min(-20)
    .max(50)
    .required()
    .meta(ask(BASELINE, 'Service due at', { decimals: 2 })),
  schools,
  maker: object({}).noUnknown().required(),
})
  .noUnknown()
  .test('baseline', (s, context) =>
    s && !(s.baselineMm > s.serviceMm)
      ? context.createError({
          path: 'baselineMm',
          message:
            'The baseline stands proud of where the service is due. Where it began flush, the service is due at a minus figure.',
        })
      : true,
  );
export type WearSetup = InferType<typeof wearSetupSchema>;

/** A usual seal watched by its pins; day and baseline are its sheet's. */
export const USUAL_WEAR: Omit<WearSetup, 'machine' | 'position' | 'fittedOn' | 'baselineMm'> = {
  procedure: 'seal-wear',
  holdBefore: [],
  maker: {},
  gauge: 'pins',
  serviceMm: 0,
};
