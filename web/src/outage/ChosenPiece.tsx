import { type Outage, type OutageNetwork, type Placed, saidMinutes } from '@fulcrant/core/outage';
import { Link } from 'react-router';
import { Button } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';

/** The piece touched: what it is, who, what it needs, how long and from how many sheets that is known. */
export function ChosenPiece({
  net,
  placed,
  chosen,
  outage,
  say,
  mayMove,
  onUnpin,
}: {
  net: OutageNetwork;
  placed: readonly Placed[];
  chosen: string;
  outage: Outage;
  say: (m: number) => string;
  mayMove: boolean;
  onUnpin: (() => void) | null;
}) {
  const piece = net.pieces.get(chosen);
  const at = placed.find((p) => p.id === chosen);
  if (!piece || !at) return null;
  const { duration } = piece;
  const names = at.units.map((u) => outage.crew.find((c) => c.id === u)?.name ?? u).join(' and ');
  return (
    <section
      aria-label="The piece touched"
      className="mt-2 flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-faint py-2"
      data-chosen={chosen}
    >
      <p className="m-0">
        <span className="font-label text-lg font-semibold">
          {piece.job.machine}, {piece.job.position}
        </span>
        : <Words of={piece.name} />
      </p>
      <p className="m-0 figures">
        {say(at.start)} to {say(at.finish)}
      </p>
      <p className="m-0">{names}</p>
      {piece.tools.length > 0 && <p className="m-0 text-muted">{piece.tools.join(', ')}</p>}
      {piece.hold && (
        <p className="m-0">
          Hold point:{' '}
          {outage.crew.some((c) => c.skills.includes('leading'))
            ? 'while a lead hand is there'
            : 'nobody of this crew leads'}
        </p>
      )}
      {piece.short.length > 0 && (
        <p className="m-0 font-medium text-stop">▲ no {piece.short.join(', no ')} here reaches its torque</p>
      )}
      <p className="m-0 text-muted">
        <Words of={saidMinutes(duration.least)} /> to <Words of={saidMinutes(duration.most)} />, mostly{' '}
        <Words of={saidMinutes(duration.likely)} />:{' '}
        {duration.sheets > 0 ? `from ${duration.sheets} sheets of this plant` : 'common practice'}
      </p>
      {piece.job.jobId && (
        <Link className="text-steel underline underline-offset-4" to={`/jobs/${piece.job.jobId}`}>
          Its sheet
        </Link>
      )}
      {piece.pinned && onUnpin && (
        <Button weight="bare" onClick={onUnpin}>
          Take the pin out
        </Button>
      )}
      {piece.state === 'ahead' && mayMove && (
        <p className="m-0 text-sm text-muted">
          Drag it, or use the arrow keys: a quarter of an hour, or another hand.
        </p>
      )}
    </section>
  );
}
