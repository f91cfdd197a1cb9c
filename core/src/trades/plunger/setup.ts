import { type InferType, number, object, string } from 'yup';
import type { V_RING_LUBRICATIONS } from '../../arithmetic/packing/plunger.ts';
import { ask, choice } from '../../engine/asked.ts';
import { everyJob, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

/** A V-ring set on a plunger. */
export const plungerSetupSchema = object({
  procedure: string()
    .oneOf(['plunger'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: 'signature' }),
  lubrication: choice('Packing nut', 'Plunger is lubricated with', {
    oil: 'oil',
    grease: 'grease',
  } satisfies Record<(typeof V_RING_LUBRICATIONS)[number], string>).required(),
  /** Pitch of the packing nut’s thread. */
  nutPitchMm: number()
    .min(0.001)
    .max(10)
    .required()
    .meta(ask('Packing nut', 'Pitch of its thread', { decimals: 2 })),
  schools,
  maker: object({}).noUnknown().required(),
}).noUnknown();
export type PlungerSetup = InferType<typeof plungerSetupSchema>;

/** A usual plunger's packing nut. */
export const USUAL_PLUNGER: Omit<PlungerSetup, 'machine' | 'position'> = {
  procedure: 'plunger',
  holdBefore: [],
  maker: {},
  lubrication: 'oil',
  nutPitchMm: 3,
};
