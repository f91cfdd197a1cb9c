import { boolean, type InferType, number, object, string } from 'yup';
import { ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { everyJob, fromSheet, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

const LIFE = ['ranHours', 'ratingKn', 'radialKn', 'speedRpm'];
/** What its life is worked out of; one given, the others are wanted too. */
const lifeField = (label: string, name: string, max: number) =>
  number()
    .min(0.001)
    .max(max)
    .meta(
      ask('Life', label, {
        needed: (form) =>
          LIFE.some((other) => other !== name && form[other])
            ? `“${label}” is missing: its life is worked out of all four.`
            : undefined,
      }),
    );

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
  /** What the bearing was left with when it was fitted; where it is known, what it is found with is felt beside it. mm. */
  asLeftMm: number()
    .min(0)
    .max(1)
    .meta(ask('Sleeve', 'Clearance it was fitted with', { decimals: 3 })),
  /** How long it ran, and what it carried: whether it lasted as long as its rating says is told beside what is seen. */
  ranHours: lifeField('It ran, hours', 'ranHours', 1_000_000),
  ratingKn: lifeField('Dynamic load rating, kN', 'ratingKn', 100_000),
  radialKn: lifeField('Load on it, kN', 'radialKn', 100_000),
  speedRpm: lifeField('Turns a minute', 'speedRpm', 20_000),
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
