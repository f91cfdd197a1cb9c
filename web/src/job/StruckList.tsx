import type { JobState, Struck } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { Link } from 'react-router';
import type { JobView } from '../data/job.ts';
import { useSay, Words } from '../ui/settings.tsx';
import { Look } from './Look.tsx';
import { M } from './messages.ts';

/** What went, counted, without what was never there. @example `9 readings, 1 answer` */
const counted = (s: Struck): Text =>
  [
    [s.readings.length, 'reading'] as const,
    [s.answers.length, 'answer'] as const,
    [s.ticks.length, 'bolt'] as const,
  ]
    .filter(([n]) => n > 0)
    .map(([n, what]) => `${n} ${what}${n === 1 ? '' : 's'}`)
    .join(', ') || M.nothingRecorded;

/** What changes of the setup have struck: it stays on the sheet and beside the work; a second person looks here at a stop that went. */
export function StruckList({ job, state }: { job: JobView; state: JobState }) {
  const say = useSay();
  if (state.struck.length === 0) return null;
  return (
    <section
      aria-label={say(M.struck)}
      className="border-t border-faint pt-2"
      data-struck={state.struck.length}
    >
      <h2 className="kicker m-0">{say(M.struckChangeSetup)}</h2>
      <ul className="m-0 list-none p-0 text-[0.95rem] leading-snug">
        {state.struck.map((s, i) => {
          const seen = state.setupChanges.find((c) => c.id === s.change)?.seen;
          return (
            <li key={s.id} className="py-0.5">
              <s>
                <Words of={s.title} />
              </s>
              {s.whole ? '' : say(M.part)}: <Words of={counted(s)} />. {s.author.name},{' '}
              {format(new Date(s.at), 'd MMM HH:mm')}: {s.reason}
              {s.stops.map((f) => (
                <span key={f.code} className="block font-medium text-stop">
                  ▲ {say(f.reason)}{' '}
                  <span className="font-normal text-muted">
                    {seen ? say(M.looked({ name: seen.author.name })) : say(M.secondPersonHasStillLook)}
                  </span>
                </span>
              ))}
              {/* One change is looked at once, however many steps it struck. */}
              {s.stops.length > 0 &&
                !seen &&
                !state.signed &&
                !state.struck.some((x, j) => j < i && x.change === s.change && x.stops.length > 0) && (
                  <Look job={job} state={state} change={s.change} />
                )}
            </li>
          );
        })}
      </ul>
      <Link className="text-steel underline underline-offset-4" to={`/jobs/${state.jobId}/sheet`}>
        {say(M.sheet)}
      </Link>
    </section>
  );
}
