import type { Wants } from '@fulcrant/core/forms';
import { COMMON, inline, textKey } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { Link } from 'react-router';
import type { Line } from '../data/line.ts';
import { FlatRail } from '../ui/Rail.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** One job: the machine in big letters, its rail laid flat, the next act in words. */
export function BoardLine({ line: l, wants }: { line: Line; wants: Wants | null }) {
  return (
    <li
      className="border-b border-faint [contain-intrinsic-size:auto_6rem] [content-visibility:auto]"
      data-job={textKey(l.number)}
      data-wants={wants ?? 'signed'}
    >
      <Link
        to={l.state === 'signed' ? `/jobs/${l.id}/sheet` : `/jobs/${l.id}`}
        className="grid items-center gap-x-6 py-2 hover:bg-shade md:grid-cols-[minmax(0,0.8fr)_minmax(0,1fr)_minmax(0,0.85fr)]"
      >
        <span className="min-w-0 leading-tight">
          <span className="block font-label text-[1.55rem] font-semibold leading-tight">{l.machine}</span>
          <span className="block text-[0.95rem] text-muted">
            {l.position} ·{' '}
            <span className="figures text-sm">
              <Words of={l.number} />
            </span>
          </span>
        </span>
        <FlatRail marks={l.rail} />
        <NextAct line={l} wants={wants} />
      </Link>
    </li>
  );
}

/** What it waits for, in words: overdue and held in the colour of a stop, with the sign beside. */
function NextAct({ line: l, wants }: { line: Line; wants: Wants | null }) {
  const say = useSay();
  const present = l.rail.find((m) => m.status === 'present');
  const lead = (text: string, ink: string) => (
    <span className={`font-label text-lg font-semibold ${ink}`}>{text} </span>
  );
  if (wants === null)
    return (
      <span className="min-w-0 leading-snug">
        {lead(say(COMMON.signed), 'text-brass')}
        {say(
          M.by({
            signedBy: l.signedBy,
            signedAt: format(new Date(l.signedAt ?? l.updatedAt), 'd MMM yyyy HH:mm'),
          }),
        )}
      </span>
    );
  if (l.held)
    return (
      <span className="min-w-0 font-medium leading-snug text-stop">
        {lead(
          say(
            M.at({
              wants: wants === 'lead' ? 'leadHand' : 'stopped',
              title: present ? inline(present.title) : '',
            }),
          ),
          '',
        )}
        {say(l.held)}
      </span>
    );
  return (
    <span className="min-w-0 leading-snug">
      {lead(`${say(present?.title ?? say(COMMON.done))}.`, wants === 'overdue' ? 'text-stop' : 'text-brass')}
      {l.dueAt && (
        <span className={wants === 'overdue' ? 'font-medium text-stop' : ''}>
          {wants === 'overdue' ? say(M.due) : say(COMMON.due)} {format(new Date(l.dueAt), 'd MMM HH:mm')}.{' '}
        </span>
      )}
      {say(l.act)}
    </span>
  );
}
