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

/** Orders of work by the setup they were made for: a setup is never changed in place, only replaced. */
const made = new WeakMap<Setup, Procedure>();

/** The order of work of a job: its kind's steps, with those variants and measures in it that its setup asks for. */
export function procedureFor(setup: Setup): Procedure {
  const known = made.get(setup);
  if (known) return known;
  const procedure = PROCEDURES[kindOf(setup)](setup);
  made.set(setup, procedure);
  return procedure;
}

/** One step of a job's procedure, by id. */
export function stepOf(job: { setup: Setup }, id: string): StepDefinition | undefined {
  return procedureFor(job.setup).steps.find((s) => s.id === id);
}
