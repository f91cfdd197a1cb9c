import { type Setup, tradeOf } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useJob } from '../data/job.ts';
import { Corner } from '../entry/Corner.tsx';
import { Fault } from '../ui/controls.tsx';
import { Loading } from '../ui/Loading.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { SetupForm } from './SetupForm.tsx';

/** Change what the job rests on, with a reason; every verdict is judged anew and the sheet tells what was changed. */
export function ChangeSetupPage() {
  const { id = '' } = useParams();
  const job = useJob(id);
  const go = useNavigate();
  const say = useSay();
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const change = async (setup: Setup) => {
    if (reason.trim().length < 3) return setFault(say(COMMON.reasonTakesFewWords));
    const refused = await job.act('setup.changed', {
      setup: job.state?.setup.demo ? { ...setup, demo: true } : setup,
      reason: reason.trim(),
    });
    if (refused) return setFault(say(refused));
    await go(`/jobs/${id}`);
  };
  if (!job.state)
    return <Loading what={say(COMMON.setup)} fault={job.loading ? null : say(COMMON.thereNoSuchJob)} />;
  const trade = tradeOf(job.state.setup);
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule px-6 py-4">
        <div className="flex flex-wrap items-baseline justify-between gap-4 pb-3">
          <h1 className="m-0 text-3xl">{say(M.makersValues({ setup: trade.words.setup }))}</h1>
          <Link
            className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
            to={`/jobs/${id}`}
          >
            {say(COMMON.cancel)}
          </Link>
        </div>
        <SetupForm
          trade={trade}
          start={{ ...job.state.setup }}
          does={say(COMMON.change)}
          onSetup={change}
          after={
            <label className="flex max-w-2xl flex-col">
              <span className="kicker">{say(M.whyChanged)}</span>
              <input
                className="min-h-12 border-0 border-b-2 border-brass bg-transparent text-lg"
                value={reason}
                onChange={(e) => setReason(e.target.value)}
                maxLength={400}
              />
            </label>
          }
        />
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
      </main>
      <footer>
        <Corner job={id} />
      </footer>
    </div>
  );
}
