import type { Reading } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { Button, Dialog } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { ReadingLine } from './ReadingLine.tsx';

/** Every reading of a step, withdrawn ones struck out; each can be taken back, with a reason. */
export function ReadingsDialog({
  open,
  onClose,
  title,
  readings,
  name,
  onWithdraw,
}: {
  open: boolean;
  onClose: () => void;
  title: Text;
  readings: readonly Reading[];
  /** What a person calls the place of a reading. */
  name: (r: Reading) => Text;
  onWithdraw: ((r: Reading) => void) | null;
}) {
  const say = useSay();
  return (
    <Dialog open={open} onClose={onClose} title={say(M.readings({ title }))} wide>
      {readings.length === 0 && <p>{say(COMMON.noneYet)}</p>}
      <ul className="m-0 list-none p-0">
        {readings.map((r) => (
          <li
            key={r.id}
            className="flex flex-wrap items-center justify-between gap-3 border-t border-faint py-1"
          >
            <ReadingLine reading={r} name={name(r)} />
            {onWithdraw && !r.withdrawn && <Button onClick={() => onWithdraw(r)}>{say(M.withdraw2)}</Button>}
          </li>
        ))}
      </ul>
      <div className="flex justify-end border-t border-faint pt-2">
        <Button onClick={onClose}>{say(COMMON.close)}</Button>
      </div>
    </Dialog>
  );
}
