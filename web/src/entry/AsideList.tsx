// What was refused names its reason in the words of its trade.
import '@fulcrant/core/every-trade';
import { NOTE_MOST } from '@fulcrant/core/job';
import { makeEvent } from '../data/job.ts';
import { enqueue, forgetAside, retryAside } from '../data/queue.ts';
import { useSession } from '../data/session.tsx';
import type { SetAside } from '../data/store.ts';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Refused entries are never thrown away: they are sent again, or their words go on the sheet as a note. */
export function AsideList({ aside }: { aside: readonly SetAside[] }) {
  const { person } = useSession();
  const say = useSay();
  const asNote = async ({ event, reason }: SetAside) => {
    if (!person) return;
    const text = say(
      M.refusedEntryReason({
        name: event.author.name,
        at: event.at,
        type: event.type,
        stringify: JSON.stringify(event.data),
        reason,
      }),
    ).slice(0, NOTE_MOST);
    await enqueue(makeEvent(person, event.jobId, 'note.added', { text }));
    await forgetAside(event.id);
  };
  return (
    <ul className="m-0 list-none p-0">
      {aside.map((a) => (
        <li key={a.event.id} className="border-t border-faint py-3">
          <p className="m-0">
            {a.event.type}
            {'place' in a.event.data
              ? say(M.typed({ place: a.event.data.place, raw: a.event.data.raw }))
              : ''}
            <span className="text-muted">
              {' '}
              {a.event.author.name}, {a.event.at}
            </span>
          </p>
          <p className="m-0 font-medium text-stop">{say(a.reason)}</p>
          <div className="mt-2 flex gap-3">
            <Button onClick={() => void retryAside(a.event.id)}>{say(M.sendAgain)}</Button>
            <Button onClick={() => void asNote(a)}>{say(M.putSheetAsNote)}</Button>
          </div>
        </li>
      ))}
    </ul>
  );
}
