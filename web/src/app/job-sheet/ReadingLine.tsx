import { type Reading, sayReading } from '@fulcrant/core';
import { format } from 'date-fns';
import { useSay } from '../settings.tsx';

/** One reading as it stands on the sheet. */
export function ReadingLine({ reading: r }: { reading: Reading }) {
  const say = useSay();
  return (
    <p className="m-0 leading-snug">
      <span className={r.withdrawn ? 'line-through' : ''}>
        <span className="figures">{r.place}</span>:{' '}
        <span className="figures">{say(sayReading(r.instrument.kind, r.value))}</span>{' '}
        <span className="text-muted">
          typed “{r.raw}”, {r.instrument.name}, {r.author.name} {format(new Date(r.at), 'd MMM HH:mm')},
          {r.attempt > 1 ? `attempt ${r.attempt}` : ''}
          {r.round > 0 ? ` measuring ${r.round + 1}` : ''}
        </span>
      </span>
      {r.withdrawn && (
        <span className="block text-sm text-stop">
          withdrawn by {r.withdrawn.author.name}: {r.withdrawn.reason}
        </span>
      )}
    </p>
  );
}
