import { type InferType, number, object, string } from 'yup';
import { ask, choice, isWhole } from '../../engine/asked.ts';
import { everyJob, fromSheet, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import type { FeltBy } from './methods.ts';

export const DOOR = 'Door';
export const doorSchema = object({
  procedure: string()
    .oneOf(['doorstop'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ gap: 'gap', sign: 'signature' }),
  gapMm: number()
    .min(0.1)
    .max(20)
    .required()
    .meta(ask(DOOR, 'Gap wanted', { decimals: 1 })),
  /** How the gap is judged: by the blade, or by a coin. */
  feltBy: choice(DOOR, 'Felt by', { blade: 'a blade', coin: 'a coin' } satisfies Record<FeltBy, string>, {
    fallback: 'blade',
  }),
  schools,
  maker: object({ mostMm: fromSheet(20, 'Gap, most') })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('whole', isWhole);
export type DoorSetup = InferType<typeof doorSchema>;
