import type { Finding } from '../judgement/result.ts';
import { M as H } from './headings/messages.ts';
import { M } from './messages.ts';
import type { GateItem } from './question.ts';
import type { Facts, SetupChange, StepReport } from './state.ts';
import type { StepDefinition } from './step.ts';
import { standingStops, struckUnseen } from './strike.ts';
import { procedureFor } from './trades.ts';

type Lifted = NonNullable<StepReport['lifted']>;

/** Changes of the setup made after something was recorded at a step and looked at by nobody else since. */
const unseenChanges = (facts: Facts, step: string): SetupChange[] =>
  facts.setupChanges.filter((c) => !c.seen && c.readAt.includes(step));

/**
 * Stops that the setup as it was before would hold, and that a change made after the readings has lifted. A maker's limit typed to fit
 * a reading is no maker's limit: the job goes on, flagged, and is signed when a second person has looked.
 * @param now the step's findings as they stand
 * @param judgeAs the step's findings on other facts
 */
export function liftedStops(
  facts: Facts,
  step: StepDefinition,
  now: readonly Finding[],
  judgeAs: (facts: Facts, step: StepDefinition) => readonly Finding[],
): Lifted {
  const stops = (f: Finding) => f.verdict === 'reject' || f.verdict === 'too-close';
  return unseenChanges(facts, step.id).flatMap((change) => {
    const as = procedureFor(change.before).steps.find((s) => s.id === step.id);
    if (!as) return [];
    return standingStops(facts, step.id, judgeAs({ ...facts, setup: change.before }, as))
      .filter((f) => !now.some((g) => g.code === f.code && stops(g)))
      .map((finding) => ({ change: change.id, finding }));
  });
}

/** Lifted stops as a caution of their step: somebody else has still to look. */
export const liftedFindings = (facts: Facts, step: StepDefinition, lifted: Lifted): Finding[] =>
  [...new Set(lifted.map((l) => l.change))].flatMap((id) => {
    const change = facts.setupChanges.find((c) => c.id === id);
    const first = lifted.find((l) => l.change === id)?.finding;
    return change && first
      ? [
          {
            code: `${step.id}.unseen`,
            verdict: 'caution',
            reason: M.seenSecondPersonChangedSetup({
              name: change.author.name,
              reason: change.reason,
              reason2: first.reason,
            }),
            params: { change: id, code: first.code },
            remedy: M.jobGoesSignedAfterSomebody,
            acceptable: false,
          },
        ]
      : [];
  });

/** Everything lifted or struck so far that nobody else has looked at, a change at a time, with its first stop. */
export function unseenSoFar(
  facts: Facts,
  reports: readonly (StepReport | null)[],
): Array<{ change: SetupChange; finding: Finding }> {
  const all = [
    ...struckUnseen(facts).flatMap((s) => s.stops.map((finding) => ({ change: s.change, finding }))),
    ...reports.flatMap((r) => r?.lifted ?? []),
  ];
  return facts.setupChanges.flatMap((change) => {
    const first = all.find((l) => l.change === change.id);
    return !change.seen && first ? [{ change, finding: first.finding }] : [];
  });
}

/** Before the machine is started, a lifted stop that nobody else has seen is asked as a hazard that names it. */
export const liftedQuestions = (unseen: ReturnType<typeof unseenSoFar>): GateItem[] =>
  unseen.map(({ change, finding }) => ({
    id: `lifted-${change.id.replaceAll('-', '')}`,
    group: H.liftedStops,
    ask: M.safeStartAlthoughStopLifted({ name: change.author.name, reason: finding.reason }),
    kind: 'hazard',
  }));

/** What keeps a signature waiting: each change of the setup that has lifted or struck a stop and was looked at by nobody else. */
export const unseenAtSignature = (unseen: ReturnType<typeof unseenSoFar>): Finding[] =>
  unseen.map(({ change, finding }) => ({
    code: 'sign.unseen',
    verdict: 'incomplete',
    reason: M.secondPersonHasStillLook({
      name: change.author.name,
      reason: change.reason,
      reason2: finding.reason,
    }),
    params: { change: change.id, code: finding.code },
    remedy: M.somebodyElseSignsLooksChange,
    acceptable: false,
  }));
