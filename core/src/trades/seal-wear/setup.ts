import { type InferType, number, object, string } from 'yup';
import { ask, choice } from '../../engine/asked.ts';
import { isDay } from '../../judgement/moments.ts';
import { COMMON } from '../../message/common/messages.ts';
import { everyJob, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

export const BASELINE = M.baselineFromSealsSheet;

/** A seal whose wear is watched against the baseline of its fitting. mm. */
export const wearSetupSchema = object({
  procedure: string()
    .oneOf(['seal-wear'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: COMMON.signature2 }),
  /** What its wear is read on. */
  gauge: choice(BASELINE, M.read, {
    pins: M.lockingPins,
    spacer: COMMON.settingSpacerAgainstGland,
  }).required(),
  /** The day it was fitted, and what was measured then: both stand on the seal's sheet. */
  fittedOn: string()
    .required(M.dayFittedMissingStandsSeals)
    .matches(/^\d{4}-\d{2}-\d{2}$/, { message: M.typeDayAs202611 })
    .test('day', COMMON.thereNoSuchDay, (v) => !v || !/^\d{4}-\d{2}-\d{2}$/.test(v) || isDay(v))
    .meta(ask(BASELINE, M.fittedAs20261126)),
  baselineMm: number()
    .min(-20)
    .max(50)
    .required()
    .meta(ask(BASELINE, M.stoodProud, { decimals: 2 })),
  /** At this projection the service is due; 0 where flush means so. */
  serviceMm: number()
    .min(-20)
    .max(50)
    .required()
    .meta(ask(BASELINE, M.serviceDue, { decimals: 2 })),
  schools,
  maker: object({}).noUnknown().required(),
})
  .noUnknown()
  .test('baseline', (s, context) =>
    s && !(s.baselineMm > s.serviceMm)
      ? context.createError({
          path: 'baselineMm',
          message: M.baselineStandsProudWhereService,
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
