import type {
  ConditionSetup,
  DismountSetup,
  JobKind,
  PackingSetup,
  PlungerSetup,
  RegreaseSetup,
  SealSetup,
  Setup,
  SleeveSetup,
  SplitSetup,
  WearSetup,
} from '../api/setup.ts';
import { kindOf } from '../api/setup.ts';
import { conditionSurvey } from './condition-survey.ts';
import { dismounting } from './dismounting.ts';
import { packingJob } from './packing.ts';
import { plungerSet } from './plunger.ts';
import { regreasingJob } from './regreasing.ts';
import { sealFitting } from './seal.ts';
import { sealWearJob } from './seal-wear.ts';
import { sleeveBearing } from './sleeve-bearing.ts';
import { splitBearing } from './split-bearing.ts';
import type { Procedure, StepDefinition } from './types.ts';

const PROCEDURES: Record<JobKind, (setup: Setup) => Procedure> = {
  'sleeve-bearing': (s) => sleeveBearing(s as SleeveSetup),
  'split-bearing': (s) => splitBearing(s as SplitSetup),
  dismounting: (s) => dismounting(s as DismountSetup),
  regreasing: (s) => regreasingJob(s as RegreaseSetup),
  seal: (s) => sealFitting(s as SealSetup),
  packing: (s) => packingJob(s as PackingSetup),
  plunger: (s) => plungerSet(s as PlungerSetup),
  'seal-wear': (s) => sealWearJob(s as WearSetup),
  'condition.survey': (s) => conditionSurvey(s as ConditionSetup),
};

/** The order of work of a job: its kind's steps, with those variants and measures in it that its setup asks for. */
export const procedureFor = (setup: Setup): Procedure => PROCEDURES[kindOf(setup)](setup);

/** One step of a job's procedure, by id. */
export function stepOf(job: { setup: Setup }, id: string): StepDefinition | undefined {
  return procedureFor(job.setup).steps.find((s) => s.id === id);
}
