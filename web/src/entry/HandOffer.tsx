import { type JobState, type StepDefinition, type StepReport, standing } from '@fulcrant/core/job';
import { Link } from 'react-router';
import { dependsOnReader, useOwnHand } from '../data/hands.ts';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/**
 * Offered where readings are too close to call and nothing is known of the hand that took them: ten readings, once. Never demanded.
 */
export function HandOffer({
  state,
  step,
  report,
}: {
  state: JobState;
  step: StepDefinition;
  report: StepReport;
}) {
  const say = useSay();
  const own = useOwnHand();
  const last = standing(state, step.id, step.again ? state.attempt : 'any').findLast((r) =>
    dependsOnReader(r.instrument),
  )?.instrument;
  if (!last || last.hand || last.standIn || own(last)) return null;
  if (!report.findings.some((f) => f.verdict === 'too-close')) return null;
  return (
    <Link
      className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
      to={`/hands/new?gauge=${encodeURIComponent(last.id)}&back=${encodeURIComponent(`/jobs/${state.jobId}`)}`}
    >
      {say(M.readHandCardOnce)}
    </Link>
  );
}
