import { inBoardOrder } from '@fulcrant/core/forms';
import { COMMON, type Text } from '@fulcrant/core/messages';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { makeEvent } from '../data/job.ts';
import type { Line } from '../data/line.ts';
import { lineHolds, useOpenLines } from '../data/lines.ts';
import { enqueue } from '../data/queue.ts';
import { useSession } from '../data/session.tsx';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Jobs shown at once; a word finds the others. */
const SHOWN = 8;

/**
 * Put a calculator's result on the sheet of an open job, as a note of whoever is signed in.
 * @param note what is stored, as it is shown
 */
export function CarryDialog({ note, onClose }: { note: string; onClose: () => void }) {
  const say = useSay();
  const { person } = useSession();
  const jobs = useOpenLines();
  const [typed, setTyped] = useState('');
  const [added, setAdded] = useState<Line | null>(null);
  const adding = useRef(false);
  const [fault, setFault] = useState<Text | null>(null);
  const found = inBoardOrder(jobs.data ?? [], Date.now()).filter((l) => lineHolds(l, typed.trim()));
  const add = async (line: Line) => {
    // A second tap lands before the first is drawn: one note, not two.
    if (!person || adding.current) return;
    adding.current = true;
    try {
      await enqueue(makeEvent(person, line.id, 'note.added', { text: note }));
      setAdded(line);
    } catch {
      setFault(M.couldNotAdd);
      adding.current = false;
    }
  };
  if (added)
    return (
      <Dialog open onClose={onClose} title={M.addToJob}>
        <p role="status" className="mt-0 text-lg" data-carried={added.id}>
          {say(M.addedToJob({ machine: `${added.machine}, ${added.position}` }))}
        </p>
        <div className="flex flex-wrap gap-3">
          <Link
            to={`/jobs/${added.id}`}
            className="grid min-h-12 place-items-center border border-ink px-5 font-label text-lg font-semibold"
          >
            {say(M.openTheJob)}
          </Link>
          <Button onClick={onClose}>{say(COMMON.close)}</Button>
        </div>
      </Dialog>
    );
  return (
    <Dialog open onClose={onClose} title={M.addResultToWhichJob}>
      <p className="mb-5 mt-0 border-l-2 border-faint pl-3 text-[0.95rem]" data-note>
        {note}
      </p>
      <input
        type="search"
        aria-label={say(COMMON.machinePositionNumber)}
        placeholder={say(COMMON.machinePositionNumber)}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        className="min-h-12 w-full border-0 border-b-2 border-muted bg-paper text-lg"
      />
      <ul className="m-0 list-none p-0">
        {found.slice(0, SHOWN).map((l) => (
          <li key={l.id} className="border-b border-faint">
            <button
              type="button"
              className="min-h-12 w-full py-1.5 text-left leading-tight hover:bg-shade"
              onClick={() => void add(l)}
            >
              <span className="block font-label text-lg font-semibold">{l.machine}</span>
              <span className="block text-[0.95rem] text-muted">
                {l.position} · <span className="figures text-sm">{say(l.number)}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {jobs.isSuccess && found.length === 0 && <p className="text-muted">{say(M.noOpenJob)}</p>}
      {fault && <Fault>{say(fault)}</Fault>}
      <Button weight="bare" onClick={onClose}>
        {say(COMMON.cancel)}
      </Button>
    </Dialog>
  );
}
