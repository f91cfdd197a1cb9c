import { isRunning, type JobState } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Lower right, as on any print: machine, position, job, fitter, date, state of the sheet. */
export function TitleBlock({
  state,
  number,
  practice,
}: {
  state: JobState;
  number: string | null;
  practice: boolean;
}) {
  const say = useSay();
  return (
    <section aria-label={say(COMMON.titleBlock)} className="border-t border-rule lg:border-l">
      <dl className="m-0 grid grid-cols-2">
        <div className="col-span-2 border-b border-faint px-3 py-1 lg:hidden">
          <dt className="kicker">{say(COMMON.machine)}</dt>
          <dd className="m-0 font-label text-xl font-semibold leading-tight">
            {state.setup.machine}, <span className="font-medium">{state.setup.position}</span>
          </dd>
        </div>
        <div className="border-r border-faint px-3 py-1">
          <dt className="kicker">{say(COMMON.job)}</dt>
          <dd className="figures m-0 text-lg leading-tight">
            {practice ? say(M.practice) : (number ?? say(COMMON.notSentYet))}
          </dd>
          <dd className="m-0 text-sm">
            {state.cancelled
              ? say(M.cancelled({ name: state.cancelled.author.name }))
              : state.signed
                ? say(M.signed({ name: state.signed.name }))
                : isRunning(state)
                  ? say(M.runningSigned({ name: state.running?.name }))
                  : say(
                      M.open({
                        attempt: state.attempt > 1 ? COMMON.attempt({ attempt: state.attempt }) : '',
                      }),
                    )}
          </dd>
        </div>
        <div className="px-3 py-1">
          <dt className="kicker">{say(M.fitter)}</dt>
          <dd className="m-0 text-lg leading-tight">{state.opened.author.name}</dd>
          <dd className="m-0 text-sm">{say(M.opened({ at: format(new Date(state.opened.at), 'd MMM') }))}</dd>
        </div>
      </dl>
    </section>
  );
}
