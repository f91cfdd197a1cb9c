import type { Finding } from '../judgement/result.ts';
import { acceptanceOf } from './facts.ts';
import type { Facts, SetupChange } from './state.ts';
import type { StepDefinition } from './step.ts';
import { procedureFor } from './trades.ts';

const stops = (f: Finding) => f.verdict === 'reject' || f.verdict === 'too-close';

/** Changes of the setup made after a step was read and looked at by nobody else since. */
export const unseenChanges = (facts: Facts, step: string): SetupChange[] =>
  facts.setupChanges.filter((c) => !c.seen && c.readAt.includes(step));

/**
 * Stops that the setup as it was before would hold, and that a change made after the readings would lift: each stands until a
 * second person has looked at the change. A maker's limit typed to fit a reading is no maker's limit.
 * @param judgeAs the step's findings on other facts
 */
export function unseenStops(
  facts: Facts,
  step: StepDefinition,
  now: readonly Finding[],
  judgeAs: (facts: Facts, step: StepDefinition) => readonly Finding[],
): Finding[] {
  const change = unseenChanges(facts, step.id)[0];
  if (!change) return [];
  const as = procedureFor(change.before).steps.find((s) => s.id === step.id);
  if (!as) return [];
  const then = judgeAs({ ...facts, setup: change.before }, as);
  const lifted = then.filter(
    (f) => stops(f) && !acceptanceOf(facts, step.id, f) && !now.some((g) => g.code === f.code && stops(g)),
  );
  if (lifted.length === 0) return [];
  return [
    {
      code: `${step.id}.unseen`,
      verdict: 'incomplete',
      reason: `The setup was changed by ${change.author.name} after this was read (${change.reason}). Before: ${lifted[0]?.reason}`,
      params: { name: change.author.name, reason: change.reason, reason2: lifted[0]?.reason },
      remedy: 'Somebody else looks at the change, and says so, before it lifts this stop.',
      acceptable: false,
    },
  ];
}
