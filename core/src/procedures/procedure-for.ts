import { kindOf, type Setup } from '../api/setup.ts';
import { conditionSurvey } from './condition-survey.ts';
import { sleeveBearing } from './sleeve-bearing.ts';
import type { Procedure, StepDefinition } from './types.ts';

/** The order of work of a job: its kind's steps, with those measures in it that its setup asks for. */
export function procedureFor(setup: Setup): Procedure {
  return kindOf(setup) === 'condition.survey' ? conditionSurvey(setup) : sleeveBearing(setup);
}

/** One step of a job's procedure, by id. */
export function stepOf(job: { setup: Setup }, id: string): StepDefinition | undefined {
  return procedureFor(job.setup).steps.find((s) => s.id === id);
}
