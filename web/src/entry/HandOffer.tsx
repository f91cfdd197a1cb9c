import type { Instrument } from '@fulcrant/core/instruments';
import type { StepReport } from '@fulcrant/core/job';
import { Link } from 'react-router';
import { isByHand } from '../data/hands.ts';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Offered where a reading is too close to call and nothing is known of the hand that reads: ten readings, once. Never demanded. */
export function HandOffer({
  gauge,
  report,
  jobId,
}: {
  gauge: Instrument | null;
  report: StepReport;
  jobId: string;
}) {
  const say = useSay();
  const close = report.findings.some((f) => f.verdict === 'too-close');
  if (!gauge || gauge.hand || gauge.standIn || !isByHand(gauge) || !close) return null;
  return (
    <Link
      className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
      to={`/hands/new?gauge=${encodeURIComponent(gauge.id)}&back=${encodeURIComponent(`/jobs/${jobId}`)}`}
    >
      {say(M.readHandCardOnce)}
    </Link>
  );
}
