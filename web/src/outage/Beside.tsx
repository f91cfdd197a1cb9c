import type { Text } from '@fulcrant/core/messages';
import { textKey } from '@fulcrant/core/messages';
import { difference, type Outage, type Placed, type Planned } from '@fulcrant/core/outage';
import { shiftTimeIn } from '@fulcrant/core/sheet';
import { Button } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { boundSaid } from './change.ts';
import { M } from './messages.ts';

/** Another plan beside the one that stands: adopted or thrown away. */
export type Proposal = {
  title: Text;
  outage: Outage;
  planned: Planned;
  /** The version it was made from: where that is not what stands any more, it is not adopted over it. */
  base: number;
};

/** What another plan would change, beside the one that stands. */
export function Beside({
  proposal,
  before,
  wall,
  outage,
  zone,
  onAdopt,
  onThrow,
}: {
  proposal: Proposal;
  before: readonly Placed[];
  wall: number;
  outage: Outage;
  zone: string;
  onAdopt: (() => void) | null;
  onThrow: () => void;
}) {
  const say = useSay();
  const name = (key: string) => {
    const job = [...outage.jobs, ...proposal.outage.jobs].find((j) => j.key === key);
    return job ? `${job.machine}, ${job.position}` : key;
  };
  const { words } = difference(
    proposal.outage,
    before,
    proposal.planned.placed,
    wall,
    name,
    shiftTimeIn(zone),
  );
  const { gap, bound, proven, looked } = proposal.planned;
  return (
    <section className="mb-3 border-2 border-brass p-3" aria-label={say(proposal.title)} data-proposal>
      <p className="kicker m-0 !text-brass">
        <Words of={proposal.title} />
      </p>
      <ul className="m-0 list-none columns-1 gap-8 p-0 md:columns-2">
        {words.map((w) => (
          <li key={textKey(w)} className="leading-snug">
            <Words of={w} />
          </li>
        ))}
      </ul>
      <p className="m-0 text-sm text-muted">
        {proven
          ? say(M.noPlanShorterHolds({ boundSaid: boundSaid(outage, bound.by) }))
          : say(
              M.aboveWhatNothingCanBeat({
                gap: (100 * gap).toFixed(1),
                boundSaid: boundSaid(outage, bound.by),
                looked,
              }),
            )}
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {onAdopt && (
          <Button weight="solid" onClick={onAdopt}>
            {say(M.adopt)}
          </Button>
        )}
        <Button onClick={onThrow}>{say(M.throwAway)}</Button>
      </div>
    </section>
  );
}
