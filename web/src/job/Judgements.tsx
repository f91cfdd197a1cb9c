import {
  acceptanceOf,
  type JobState,
  paramsToSend,
  type StepReport,
  type StepState,
  type StillHolds,
  stillHolding,
} from '@fulcrant/core/job';
import type { Finding } from '@fulcrant/core/judgement';
import { COMMON } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { useState } from 'react';
import type { JobView } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { Button } from '../ui/controls.tsx';
import { ReasonDialog } from '../ui/ReasonDialog.tsx';
import { useSay } from '../ui/settings.tsx';
import { FindingLine } from '../ui/verdicts.tsx';
import { Look } from './Look.tsx';
import { M } from './messages.ts';

const ORDER = ['reject', 'too-close', 'caution', 'incomplete', 'accept'];

/** What core judges of the step, gravest first, and the lead hand's way to accept what may be accepted. */
export function Judgements({
  job,
  state,
  step,
  report,
  supposed,
  survey,
}: {
  job: JobView;
  state: JobState;
  step: StepState;
  report: StepReport;
  supposed: boolean;
  /** In a survey what does not pass is accepted, or not, at any time. */
  survey: boolean;
}) {
  const say = useSay();
  const { person } = useSession();
  const [accepting, setAccepting] = useState<readonly Finding[]>([]);
  const findings = [...report.findings].sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict));
  const holds = step.status === 'present' && !supposed ? stillHolding(state, step.id) : [];
  if (findings.length === 0) return <StillHolding holds={holds} />;
  // What is only not done yet stands in the way of its own step alone: a check that is not due is accepted there.
  const blocking = (f: Finding) =>
    (step.status === 'present' && f.verdict === 'incomplete') ||
    ((step.status === 'present' || survey) && ['reject', 'too-close'].includes(f.verdict));
  const acceptable =
    supposed || state.signed
      ? []
      : findings.filter((f) => f.acceptable && blocking(f) && !acceptanceOf(state, step.id, f));
  return (
    <section aria-label={say(M.verdicts)}>
      <h2 className="kicker m-0 mb-1">{supposed ? say(M.verdictIfStored) : say(COMMON.result)}</h2>
      <ul className="m-0 list-none p-0" aria-live="polite">
        {findings.map((f) => {
          const d = acceptanceOf(state, step.id, f);
          return (
            <FindingLine
              key={`${f.code} ${String(f.params.change ?? '')}`}
              finding={f}
              accepted={
                d
                  ? say(
                      M.accepted({
                        name: d.author.name,
                        at: format(new Date(d.at), 'd MMM HH:mm'),
                        reason: d.reason,
                      }),
                    )
                  : undefined
              }
            >
              {acceptable.includes(f) &&
                (person?.role === 'lead' ? (
                  <Button className="mt-2" onClick={() => setAccepting([f])}>
                    {say(M.acceptName)}
                  </Button>
                ) : (
                  <p className="mt-0.5 text-sm text-muted">{say(M.leadHandCanAcceptName)}</p>
                ))}
              {f.code.endsWith('.unseen') && !supposed && !state.signed && (
                <Look job={job} state={state} change={String(f.params.change)} />
              )}
            </FindingLine>
          );
        })}
      </ul>
      {/* One thing seen at four places is one thing to accept. */}
      {acceptable.length > 1 && person?.role === 'lead' && (
        <Button className="mt-2" onClick={() => setAccepting(acceptable)} data-accept-all>
          {say(M.acceptAllTogetherName({ count: acceptable.length }))}
        </Button>
      )}
      <ReasonDialog
        open={accepting.length > 0}
        title={
          accepting.length > 1
            ? say(M.acceptTheseDeviations({ count: accepting.length }))
            : say(M.acceptDeviation)
        }
        ask={say(M.whyMayStandYourName)}
        does={say(COMMON.accept)}
        onClose={() => setAccepting([])}
        onReason={async (reason) => {
          const refused = await job.actAll(
            accepting.map((f) => ({
              type: 'deviation.accepted',
              data: {
                step: step.id,
                finding: f.code,
                params: paramsToSend(f.params),
                stands: f.reason,
                reason,
              },
            })),
          );
          return refused.find((r) => r !== null) ?? null;
        }}
      />
      <StillHolding holds={holds} />
    </section>
  );
}

/** So many cautions of earlier steps are in view at once; the sheet has them all. */
const HOLDS_SHOWN = 3;

/** Cautions of earlier steps that still hold. */
function StillHolding({ holds }: { holds: readonly StillHolds[] }) {
  const say = useSay();
  if (holds.length === 0) return null;
  return (
    <section aria-label={say(M.stillHoldsFromEarlierSteps)} className="mt-2" data-still-holds>
      <h2 className="kicker m-0 mb-1">{say(M.stillHoldsFromEarlierSteps)}</h2>
      <ul className="m-0 list-none p-0">
        {holds.slice(0, HOLDS_SHOWN).map(({ step, finding }) => (
          <FindingLine
            key={`${step.id} ${finding.code}`}
            finding={{ ...finding, reason: `${say(step.title)}: ${say(finding.reason)}` }}
          />
        ))}
      </ul>
      {holds.length > HOLDS_SHOWN && (
        <p className="m-0 text-sm text-muted">{say(M.moreSheet({ count: holds.length - HOLDS_SHOWN }))}</p>
      )}
    </section>
  );
}
