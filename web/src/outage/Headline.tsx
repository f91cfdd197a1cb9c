import type { Risk } from '@fulcrant/core/outage';

const percent = (chance: number): string =>
  chance > 0.995 && chance < 1
    ? 'over 99'
    : chance < 0.005 && chance > 0
      ? 'under 1'
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
  const deadline = (
    <>
      Deadline <span className="figures">{say(wall)}</span>
    </>
  );
  if (stuck) return <p className="m-0 text-lg font-semibold text-stop">▲ This plan cannot be worked out.</p>;
  if (end === null) return <p className="m-0 text-lg">Not planned yet. {deadline}.</p>;
  if (unplaced > 0)
    return (
      <p className="m-0 text-lg" data-end={Math.round(end)} data-unplaced={unplaced}>
        <strong className="text-stop">
          ▲ {unplaced === 1 ? 'One task cannot be done' : `${unplaced} tasks cannot be done`}
        </strong>{' '}
        as planned; see below. {deadline}.
      </p>
    );
  const late = risk !== null && risk.chance < 0.5;
  return (
    <p className="m-0 text-lg" data-end={Math.round(end)}>
      {risk === null ? (
        <>The chance is being worked out. {deadline}.</>
      ) : (
        <>
          <strong className={late ? 'text-stop' : ''} data-chance={risk.chance.toFixed(4)}>
            {late ? '▲ ' : ''}
            {percent(risk.chance)} % in time.
          </strong>{' '}
          {deadline}. {proposed ? 'Then finish ' : 'Finish '}
          <strong className="figures">{say(risk.ends.p50)}</strong> (likely),{' '}
          <span className="figures">{say(risk.ends.p95)}</span> (95 %).
        </>
      )}
    </p>
  );
}
