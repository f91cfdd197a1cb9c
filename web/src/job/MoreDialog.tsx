import { type JobState, tradeOf } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { fallsDue } from '@fulcrant/core/sheet';
import { Link } from 'react-router';
import { Button, Dialog } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Something that can be done, in words; what cannot be done now is left out as false. */
export type MoreItem = readonly [Text, () => void] | false | null | undefined;

const LINK = 'flex min-h-12 items-center border border-ink px-5 font-label text-lg font-semibold';

/** The rarer acts, and where the job leads to: files, setup, sheet. */
export function MoreDialog({
  open,
  onClose,
  state,
  number,
  items,
  mayChange,
  practice,
}: {
  open: boolean;
  onClose: () => void;
  state: JobState;
  /** Files come from the server: only for a job it knows. */
  number: string | null;
  items: readonly MoreItem[];
  mayChange: boolean;
  /** A practice sheet has no files, no setup of its own and no sheet to sign. */
  practice: boolean;
}) {
  const say = useSay();
  const { words } = tradeOf(state.setup);
  const id = state.jobId;
  return (
    <Dialog open={open} onClose={onClose} title={say(COMMON.moreWord)}>
      <div className="flex flex-col items-start gap-2">
        {items.map(
          (item) =>
            item && (
              <Button
                key={textKey(item[0])}
                onClick={() => {
                  onClose();
                  item[1]();
                }}
              >
                <Words of={item[0]} />
              </Button>
            ),
        )}
        {number && (
          <a className={LINK} href={`/api/jobs/${id}/readings.csv`} data-csv>
            {say(M.allReadingsAsCsv)}
          </a>
        )}
        {number && fallsDue(state).length > 0 && (
          <a className={LINK} href={`/api/jobs/${id}/due.ics`} data-ics>
            {say(M.whatFallsDueCalendar)}
          </a>
        )}
        {mayChange && !practice && (
          <Link className={LINK} to={`/jobs/${id}/setup`}>
            {say(M.changeMakersValues({ changes: words.changes }))}
          </Link>
        )}
        {!practice && (
          <Link className={LINK} to={`/jobs/${id}/sheet`}>
            <Words of={words.sheet} />
          </Link>
        )}
      </div>
    </Dialog>
  );
}
