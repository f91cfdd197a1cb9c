import { sayReading } from '@fulcrant/core/instruments';
import type { BoltTick, Reading } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { formatTorque } from '@fulcrant/core/units';
import { format } from 'date-fns';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** One reading as it stands on the sheet. */
export function ReadingLine({ reading: r, name }: { reading: Reading; name: Text }) {
  const say = useSay();
  return (
    <p className="m-0 leading-snug">
      <span className={r.withdrawn ? 'line-through' : ''}>
        <span>
          <Words of={name} />
        </span>
        : <span className="figures">{say(sayReading(r.instrument.kind, r.value))}</span>{' '}
        <span className="text-muted">
          {say(
            M.typed({
              raw: r.raw,
              name: r.instrument.name,
              name2: r.author.name,
              at: format(new Date(r.at), 'd MMM HH:mm'),
              attempt: r.attempt > 1 ? M.attempt({ attempt: r.attempt }) : '',
              round: r.round > 0 ? M.measuring({ round: r.round + 1 }) : '',
            }),
          )}
        </span>
      </span>
      {r.withdrawn && (
        <span className="block text-sm text-stop">
          {say(M.withdrawn({ name: r.withdrawn.author.name, reason: r.withdrawn.reason }))}
        </span>
      )}
    </p>
  );
}

/** What is about to be taken back: a reading, a bolt, or every bolt of one statement. */
export function TakenLine({
  taken,
  with: others,
  name,
}: {
  taken: Reading | BoltTick;
  /** Bolts of the step: those told with it are taken back with it. */
  with: readonly BoltTick[];
  name: (r: Reading) => Text;
}) {
  const say = useSay();
  const { unit } = useSettings();
  if ('place' in taken) return <ReadingLine reading={taken} name={name(taken)} />;
  return (
    <p className="m-0 leading-snug">
      <span className="figures">
        {others
          .filter((t) => t.id === taken.id)
          .map((t) => t.bolt)
          .join(' · ')}
      </span>
      :{' '}
      <span className="figures">
        {taken.torqueNm === 0 ? say(COMMON.hand) : formatTorque(taken.torqueNm, unit)}
      </span>{' '}
      <span className="text-muted">
        {taken.instrument.name}, {taken.author.name} {format(new Date(taken.at), 'd MMM HH:mm')}
      </span>
    </p>
  );
}
