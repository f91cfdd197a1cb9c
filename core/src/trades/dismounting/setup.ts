import { boolean, type InferType, object, string } from 'yup';
import { ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { everyJob, fromSheet, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

/** A bearing taken off, by the design of its sleeve. */
export const dismountSetupSchema = object({
  procedure: string()
    .oneOf(['dismounting'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ sign: 'signature' }),
  design: choice('Sleeve', 'Taken off by', {
    'adapter-sleeve': 'drift on a plain sleeve',
    'captive-nut': 'its captive nut',
    hydraulic: 'a hydraulic nut',
  }).required(),
  /** A mount nut and a dismount nut. */
  twoNuts: boolean().meta(ask('Sleeve', 'A mount nut and a dismount nut')),
  /** The bearing goes back on: it is kept clean, and its parts paired. */
  reused: boolean().meta(ask('Sleeve', 'The bearing goes back on')),
  schools,
  maker: object({
    dismountAbortMpa: fromSheet(300, 'Abort pressure, dismounting', {
      when: chosen('design', 'hydraulic'),
      needed: 'The abort pressure of dismounting is missing: it is the sheet’s own, higher one.',
    }),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('whole', isWhole);

export type DismountSetup = InferType<typeof dismountSetupSchema>;

/** A usual dismounting. */
export const USUAL_DISMOUNT: Omit<DismountSetup, 'machine' | 'position'> = {
  procedure: 'dismounting',
  design: 'adapter-sleeve',
  holdBefore: [],
  maker: {},
};
