import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { Risk } from '@fulcrant/core/outage';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

const percent = (chance: number): Text =>
  chance > 0.995 && chance < 1
    ? COMMON.over2
    : chance < 0.005 && chance > 0
      ? COMMON.under
      : `${Math.round(100 * chance)}`;

/** One truth at the head of an outage: what cannot be done first, else the chance of being in time, then when. */
export function Headline({
  end,
  wall,
  unplaced,
  stuck,
  risk,
  proposed,
  say,
}: {
  /** When the plan ends, minutes; null where there is none. */
  end: number | null;
  wall: number;
  /** Tasks that have no place in the plan. */
  unplaced: number;
  /** Tasks wait for each other: nothing can be told. */
  stuck: boolean;
  /** Null while it is being worked out. */
  risk: Risk | null;
  proposed: boolean;
  say: (minutes: number) => string;
}) {
  const tell = useSay();
  const deadline = (
    <>
      {tell(COMMON.deadline)} <span className="figures">{say(wall)}</span>
    </>
  );
  if (stuck) return <p className="m-0 text-lg font-semibold text-stop">{tell(M.planCannotWorkedOut)}</p>;
  if (end === null)
    return (
      <p className="m-0 text-lg">
        {tell(M.notPlannedYet)} {deadline}.
      </p>
    );
  if (unplaced > 0)
    return (
      <p className="m-0 text-lg" data-end={Math.round(end)} data-unplaced={unplaced}>
        <strong className="text-stop">
          ▲ {unplaced === 1 ? tell(M.oneTaskCannotDone) : tell(M.tasksCannotDone({ unplaced }))}
        </strong>{' '}
        {tell(M.asPlannedSeeBelow)} {deadline}.
      </p>
    );
  const late = risk !== null && risk.chance < 0.5;
  return (
    <p className="m-0 text-lg" data-end={Math.round(end)}>
      {risk === null ? (
        <>
          {tell(M.chanceBeingWorkedOut)} {deadline}.
        </>
      ) : (
        <>
          <strong className={late ? 'text-stop' : ''} data-chance={risk.chance.toFixed(4)}>
            {tell(M.time({ late: late ? 'late' : 'none', percent: percent(risk.chance) }))}
          </strong>{' '}
          {deadline}. {proposed ? tell(M.thenFinish) : tell(M.finish)}
          <strong className="figures">{say(risk.ends.p50)}</strong> {tell(M.likely)}{' '}
          <span className="figures">{say(risk.ends.p95)}</span> (95 %).
        </>
      )}
    </p>
  );
}
