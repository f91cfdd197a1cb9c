import { lazy, type Schema } from 'yup';
import { type HouseRules, USUAL_HOUSE_RULES } from '../sources/schools.ts';
import type { Condition } from './condition.ts';
import { type ConditionSetup, conditionSetupSchema } from './condition-setup.ts';
import { type DismountSetup, dismountSetupSchema } from './dismount-setup.ts';
import {
  type PackingSetup,
  type PlungerSetup,
  packingSetupSchema,
  plungerSetupSchema,
} from './packing-setup.ts';
import { type RegreaseSetup, regreaseSetupSchema } from './regrease-setup.ts';
import { type SealSetup, sealSetupSchema } from './seal-setup.ts';
import { type SleeveSetup, sleeveSetupSchema } from './sleeve-setup.ts';
import { type SplitSetup, splitSetupSchema } from './split-setup.ts';
import { type WearSetup, wearSetupSchema } from './wear-setup.ts';

export type { ConditionSetup } from './condition-setup.ts';
export type { DismountSetup } from './dismount-setup.ts';
export type { PackingSetup, PlungerSetup } from './packing-setup.ts';
export type { RegreaseSetup } from './regrease-setup.ts';
export { SEAL_FAMILIES, type SealFamily, type SealSetup } from './seal-setup.ts';
export { HOLDABLE_STEPS } from './setup-parts.ts';
export { type DriveUpSchool, isFelt, type SleeveSetup, schoolOf } from './sleeve-setup.ts';
export type { SplitSetup } from './split-setup.ts';
export * from './usual-setups.ts';
export type { WearSetup } from './wear-setup.ts';

/** The kinds of job, by the id of their procedure. */
export const JOB_KINDS = [
  'sleeve-bearing',
  'split-bearing',
  'dismounting',
  'regreasing',
  'seal',
  'packing',
  'plunger',
  'seal-wear',
  'condition.survey',
] as const;
export type JobKind = (typeof JOB_KINDS)[number];

export type Setup =
  | SleeveSetup
  | SplitSetup
  | DismountSetup
  | RegreaseSetup
  | SealSetup
  | PackingSetup
  | PlungerSetup
  | WearSetup
  | ConditionSetup;
/** A setup that says what shaft it is about. */
export type ShaftSetup = SleeveSetup | SplitSetup | SealSetup | PackingSetup | ConditionSetup;

const SCHEMAS: Record<JobKind, Schema> = {
  'sleeve-bearing': sleeveSetupSchema,
  'split-bearing': splitSetupSchema,
  dismounting: dismountSetupSchema,
  regreasing: regreaseSetupSchema,
  seal: sealSetupSchema,
  packing: packingSetupSchema,
  plunger: plungerSetupSchema,
  'seal-wear': wearSetupSchema,
  'condition.survey': conditionSetupSchema,
};

/** Any job's setup, judged by its own kind's shape. */
export const setupSchema = lazy((value: unknown) => {
  const kind = (value as { procedure?: Setup['procedure'] } | null)?.procedure;
  const known = kindOf({ procedure: kind });
  return (Object.hasOwn(SCHEMAS, known) ? SCHEMAS[known] : sleeveSetupSchema).required();
}) as unknown as Schema<Setup>;

/** Which kind of job a setup is for. */
export const kindOf = (setup: Pick<Setup, 'procedure'>): JobKind =>
  setup.procedure === undefined || setup.procedure === 'sleeve-bearing.feelers'
    ? 'sleeve-bearing'
    : setup.procedure;

/** The setup of a job on an adapter sleeve. @throws Error where the job is of another kind: a fault of ours, not the user's */
export function sleeveOf(job: { setup: Setup }): SleeveSetup {
  if (kindOf(job.setup) !== 'sleeve-bearing') throw new Error('This job fits no bearing on a sleeve.');
  return job.setup as SleeveSetup;
}

/** The setup of a job that measures a shaft. @throws Error where it measures none: a fault of ours, not the user's */
export function shaftOf(job: { setup: Setup }): ShaftSetup {
  if (!('shaftMm' in job.setup)) throw new Error('This job measures no shaft.');
  return job.setup;
}

/** House rules in force for a job. */
export const schoolsOf = (setup: Setup): HouseRules => setup.schools ?? USUAL_HOUSE_RULES;

/** What a job measures before (or instead of) fitting; older jobs asked only for the diameters. */
export const conditionOf = (setup: Setup): Condition =>
  ('condition' in setup ? setup.condition : undefined) ?? { measures: ['shaft'] };
