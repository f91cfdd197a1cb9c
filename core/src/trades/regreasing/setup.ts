import { array, boolean, type InferType, number, object, string } from 'yup';
import { THICKENERS } from '../../arithmetic/lubrication/compatibility.ts';
import { ROLLING_KINDS } from '../../arithmetic/lubrication/regreasing.ts';
import { ask, choice } from '../../engine/asked.ts';
import { everyJob, placeFields, schools } from '../../steps/setup-parts.ts';
import type { RegreasingMethod } from './methods.ts';
import '../../judgement/sentences.ts';

export const BEARING = 'Bearing';
const GREASE = 'Grease';

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
  kind: choice(BEARING, 'Bearing is', ROLLING_KINDS).required(),
  boreMm: number()
    .min(5)
    .max(1000)
    .required()
    .meta(ask(BEARING, 'Bore', { decimals: 0, ofPlace: true })),
  outsideMm: number()
    .min(0.001)
    .max(2000)
    .required()
    .meta(ask(BEARING, 'Outside', { decimals: 0 })),
  widthMm: number()
    .min(0.001)
    .max(1000)
    .required()
    .meta(ask(BEARING, 'Width', { decimals: 0 })),
  speedRpm: number()
    .min(0.1)
    .max(50000)
    .required()
    .meta(ask(BEARING, 'Speed, rpm', { decided: true })),
  /** Temperature of the bearing in service, °C. */
  serviceC: number().min(-40).max(200).meta(ask(BEARING, 'Runs at')),
  dirtFactor: number().min(0.001).max(1).meta(ask(BEARING, 'Dirt factor, 1 is clean')),
  vertical: boolean().meta(ask(BEARING, 'Shaft is vertical')),
  thickenerInside: choice(GREASE, 'In the bearing', THICKENERS).required(),
  thickenerFresh: choice(GREASE, 'In the gun', THICKENERS).required(),
  /** What one stroke of this gun gives, weighed once. */
  gramsPerStroke: number()
    .min(0.001)
    .max(100)
    .required()
    .meta(ask(GREASE, 'One stroke of this gun, g', { decided: true })),
  /** While it runs, slowly, until clean grease purges; or standing still until a relief opens. */
  how: choice(GREASE, 'Greased', {
    running: 'while it runs, slowly',
    still: 'standing still',
  } satisfies Record<RegreasingMethod, string>).required(),
  chamber: choice(GREASE, 'Chamber', {
    open: 'open: purges or relieves',
    closed: 'closed: a few strokes for checks',
  }).required(),
  schools,
  maker: object({}).noUnknown().required(),
})
  .noUnknown()
  .test('ring', (s, context) =>
    s && !(s.outsideMm > s.boreMm)
      ? context.createError({ path: 'outsideMm', message: 'The outside must be larger than the bore.' })
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
  thickenerInside: 'lithium complex',
  thickenerFresh: 'lithium complex',
  holdBefore: [],
  maker: {},
};
