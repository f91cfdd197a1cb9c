import { isRunning, type JobState } from '@fulcrant/core/job';
import { format } from 'date-fns';

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
  return (
    <section aria-label="Title block" className="border-t border-rule lg:border-l">
      <dl className="m-0 grid grid-cols-2">
        <div className="col-span-2 border-b border-faint px-3 py-1">
          <dt className="kicker">Machine</dt>
          <dd className="m-0 font-label text-xl font-semibold leading-tight">
            {state.setup.machine}, <span className="font-medium">{state.setup.position}</span>
          </dd>
        </div>
        <div className="border-r border-faint px-3 py-1">
          <dt className="kicker">Job</dt>
          <dd className="figures m-0 text-lg leading-tight">
            {practice ? 'practice' : (number ?? 'not sent yet')}
          </dd>
          <dd className="m-0 text-sm">
            {state.cancelled
              ? `cancelled by ${state.cancelled.author.name}`
              : state.signed
                ? `signed by ${state.signed.name}`
                : isRunning(state)
                  ? `running, signed by ${state.running?.name}`
                  : `open${state.attempt > 1 ? `, attempt ${state.attempt}` : ''}`}
          </dd>
        </div>
        <div className="px-3 py-1">
          <dt className="kicker">Fitter</dt>
          <dd className="m-0 text-lg leading-tight">{state.opened.author.name}</dd>
          <dd className="m-0 text-sm">opened {format(new Date(state.opened.at), 'd MMM yyyy')}</dd>
        </div>
      </dl>
    </section>
  );
}
