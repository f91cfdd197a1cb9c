import { array, boolean, type InferType, number, object, string } from 'yup';
import { THICKENERS } from '../../arithmetic/lubrication/compatibility.ts';
import { ROLLING_KINDS } from '../../arithmetic/lubrication/regreasing.ts';
import { ask, choice } from '../../engine/asked.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { everyJob, placeFields, schools } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import type { RegreasingMethod } from './methods.ts';
import '../../judgement/sentences.ts';

export const BEARING = COMMON.bearing;
const GREASE = COMMON.grease;

/** One bearing regreased. mm, rpm, g, °C. */
export const regreaseSetupSchema = object({
  procedure: string()
    .oneOf(['regreasing'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: array(string().oneOf(['sign']).required())
    .max(5)
    .required(),
  kind: choice(BEARING, COMMON.bearing2, ROLLING_KINDS).required(),
  boreMm: number()
    .min(5)
    .max(1000)
    .required()
    .meta(ask(BEARING, M.bore, { decimals: 0, ofPlace: true })),
  outsideMm: number()
    .min(0.001)
    .max(2000)
    .required()
    .meta(ask(BEARING, M.outside, { decimals: 0 })),
  widthMm: number()
    .min(0.001)
    .max(1000)
    .required()
    .meta(ask(BEARING, M.width, { decimals: 0 })),
  speedRpm: number()
    .min(0.1)
    .max(50000)
    .required()
    .meta(ask(BEARING, COMMON.speedRpm, { decided: true })),
  /** Temperature of the bearing in service, °C. */
  serviceC: number().min(-40).max(200).meta(ask(BEARING, M.runs)),
  dirtFactor: number().min(0.001).max(1).meta(ask(BEARING, COMMON.dirtFactor1Clean)),
  vertical: boolean().meta(ask(BEARING, COMMON.shaftVertical)),
  thickenerInside: choice(GREASE, COMMON.bearing3, [...THICKENERS, 'not known'] as const).required(),
  thickenerFresh: choice(GREASE, COMMON.gun, THICKENERS).required(),
  /** What one stroke of this gun gives, weighed once. */
  gramsPerStroke: number()
    .min(0.001)
    .max(100)
    .required()
    .meta(ask(GREASE, COMMON.oneStrokeGunG, { decided: true })),
  /** While it runs, slowly, until clean grease purges; or standing still until a relief opens. */
  how: choice(GREASE, M.greased, {
    running: M.whileRunsSlowly,
    still: M.standingStill,
  } satisfies Record<RegreasingMethod, Text>).required(),
  chamber: choice(GREASE, M.chamber, {
    open: M.openPurgesRelieves,
    closed: M.closedFewStrokesChecks,
  }).required(),
  schools,
  maker: object({}).noUnknown().required(),
})
  .noUnknown()
  .test('ring', (s, context) =>
    s && !(s.outsideMm > s.boreMm)
      ? context.createError({ path: 'outsideMm', message: COMMON.outsideMustLargerThanBore })
      : true,
  );

export type RegreaseSetup = InferType<typeof regreaseSetupSchema>;

/** A usual regreasing: a spherical roller bearing of 100 bore. Nothing of it is a limit. */
export const USUAL_REGREASE: Omit<RegreaseSetup, 'machine' | 'position'> = {
  procedure: 'regreasing',
  kind: 'spherical',
  boreMm: 100,
  outsideMm: 180,
  widthMm: 46,
  speedRpm: 980,
  gramsPerStroke: 1.2,
  how: 'running',
  chamber: 'open',
  thickenerInside: 'not known',
  thickenerFresh: 'lithium complex',
  holdBefore: [],
  maker: {},
};
