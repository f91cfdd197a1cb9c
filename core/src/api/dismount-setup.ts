import { boolean, type InferType, object, string } from 'yup';
import { machineFields } from './setup-parts.ts';
import './sentences.ts';

/** A bearing taken off, by the design of its sleeve. */
export const dismountSetupSchema = object({
  procedure: string()
    .oneOf(['dismounting'] as const)
    .required(),
  ...machineFields,
  design: string()
    .oneOf(['adapter-sleeve', 'captive-nut', 'hydraulic'] as const)
    .required(),
  /** A mount nut and a dismount nut. */
  twoNuts: boolean(),
  /** The bearing goes back on: it is kept clean, and its parts paired. */
  reused: boolean(),
})
  .noUnknown()
  .test('abort', (s, context) =>
    s?.design === 'hydraulic' && s.maker?.dismountAbortMpa === undefined
      ? context.createError({
          path: 'maker.dismountAbortMpa',
          message: 'The abort pressure of dismounting is missing: it is the sheet’s own, higher one.',
        })
      : true,
  );

export type DismountSetup = InferType<typeof dismountSetupSchema>;
