import type { StepReport } from '@fulcrant/core/job';
import { VERDICT_WORD } from '@fulcrant/core/judgement';
import { format } from 'date-fns';
import { useSay, Words } from '../ui/settings.tsx';
import { VerdictMark } from '../ui/verdicts.tsx';
import { M } from './messages.ts';

/** The measurings before this one, newest first: what they said and what was done about it. */
export function Before({ report }: { report: StepReport }) {
  const say = useSay();
  const before = report.before ?? [];
  if (before.length === 0) return null;
  return (
    <section aria-label={say(M.measuredBefore)} className="border-t border-faint pt-2">
      {before
        .map((b, i) => (
          <div key={b.stamp.at} className="mb-2" data-before={i + 1}>
            <h2 className="kicker m-0">
              {say(M.measuringBefore({ i: i + 1, done: b.done ?? M.nothingDone }))}
            </h2>
            <p className="m-0 text-sm text-muted">
              {b.stamp.author.name}, {format(new Date(b.stamp.at), 'd MMM HH:mm')}
            </p>
            <ul className="m-0 list-none p-0 text-[0.95rem] leading-snug">
              {b.findings
                .filter((f) => f.verdict !== 'incomplete')
                .map((f) => (
                  <li key={f.code} className="flex gap-2 py-0.5">
                    <span className="pt-0.5">
                      <VerdictMark verdict={f.verdict} size={22} />
                    </span>
                    <span>
                      <span className="sr-only">
                        <Words of={VERDICT_WORD[f.verdict]} />.{' '}
                      </span>
                      {say(f.reason)}
                    </span>
                  </li>
                ))}
            </ul>
          </div>
        ))
        .reverse()}
    </section>
  );
}
