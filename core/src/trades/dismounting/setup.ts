import { boolean, type InferType, number, object, string } from 'yup';
import { ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { everyJob, fromSheet, holdBefore, placeFields, schools } from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

const LIFE = ['ranHours', 'ratingKn', 'radialKn', 'speedRpm'];
/** What its life is worked out of; one given, the others are wanted too. */
const lifeField = (label: Text, name: string, max: number) =>
  number()
    .min(0.001)
    .max(max)
    .meta(
      ask(H.life, label, {
        needed: (form) =>
          LIFE.some((other) => other !== name && form[other])
            ? M.missingLifeWorkedOutAll({ label })
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
  holdBefore: holdBefore({ sign: COMMON.signature2 }),
  design: choice(H.sleeve, M.takenOff, {
    'adapter-sleeve': M.driftPlainSleeve,
    'captive-nut': M.captiveNut,
    hydraulic: M.hydraulicNut,
  }).required(),
  /** A mount nut and a dismount nut. */
  twoNuts: boolean().meta(ask(H.sleeve, M.mountNutDismountNut)),
  /** The bearing goes back on: it is kept clean, and its parts paired. */
  reused: boolean().meta(ask(H.sleeve, M.bearingGoesBack)),
  /** What the bearing was left with when it was fitted; where it is known, what it is found with is felt beside it. mm. */
  asLeftMm: number()
    .min(0)
    .max(1)
    .meta(ask(H.sleeve, M.clearanceFitted, { decimals: 3 })),
  /** How long it ran, and what it carried: whether it lasted as long as its rating says is told beside what is seen. */
  ranHours: lifeField(M.ranHours, 'ranHours', 1_000_000),
  ratingKn: lifeField(COMMON.dynamicLoadRatingKN, 'ratingKn', 100_000),
  radialKn: lifeField(M.loadKN, 'radialKn', 100_000),
  speedRpm: lifeField(COMMON.turnsMinute, 'speedRpm', 20_000),
  schools,
  maker: object({
    dismountAbortMpa: fromSheet(300, M.abortPressureDismounting, {
      when: chosen('design', 'hydraulic'),
      needed: M.abortPressureDismountingMissing,
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
