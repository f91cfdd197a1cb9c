import { COMMON } from '@fulcrant/core/messages';
import { type Outage, type OutageNetwork, type Placed, saidMinutes } from '@fulcrant/core/outage';
import { Link } from 'react-router';
import { Button } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

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
  const tell = useSay();
  const piece = net.pieces.get(chosen);
  const at = placed.find((p) => p.id === chosen);
  if (!piece || !at) return null;
  const { duration } = piece;
  const names = at.units.map((u) => outage.crew.find((c) => c.id === u)?.name ?? u).join(tell(COMMON.and));
  return (
    <section
      aria-label={tell(M.pieceTouched)}
      className="mt-2 flex flex-wrap items-center gap-x-8 gap-y-1 border-b border-faint py-2"
      data-chosen={chosen}
    >
      <p className="m-0">
        <span className="font-label text-lg font-semibold">
          {piece.job.machine}, {piece.job.position}
        </span>
        : <Words of={piece.name} />
      </p>
      <p className="m-0 figures">{tell(M.to3({ start: say(at.start), finish: say(at.finish) }))}</p>
      <p className="m-0">{names}</p>
      {piece.tools.length > 0 && <p className="m-0 text-muted">{piece.tools.join(', ')}</p>}
      {piece.hold && (
        <p className="m-0">
          {tell(
            M.holdPoint({
              some: outage.crew.some((c) => c.skills.includes('leading'))
                ? 'whileLeadHandThere'
                : 'nobodyCrewLeads',
            }),
          )}
        </p>
      )}
      {piece.short.length > 0 && (
        <p className="m-0 font-medium text-stop">
          {tell(M.noHereReachesTorque({ short: piece.short.join(tell(M.orNo)) }))}
        </p>
      )}
      <p className="m-0 text-muted">
        {tell(
          M.mostly({
            saidMinutes: saidMinutes(duration.least),
            saidMinutes2: saidMinutes(duration.most),
            saidMinutes3: saidMinutes(duration.likely),
            sheets:
              duration.sheets > 0 ? M.fromSheetsPlant({ sheets: duration.sheets }) : COMMON.commonPractice,
          }),
        )}
      </p>
      {piece.job.jobId && (
        <Link className="text-steel underline underline-offset-4" to={`/jobs/${piece.job.jobId}`}>
          {tell(M.sheet)}
        </Link>
      )}
      {piece.pinned && onUnpin && (
        <Button weight="bare" onClick={onUnpin}>
          {tell(M.takePinOut)}
        </Button>
      )}
      {piece.state === 'ahead' && mayMove && (
        <p className="m-0 text-sm text-muted">{tell(M.dragUseArrowKeysQuarter)}</p>
      )}
    </section>
  );
}
