import { COMMON } from '@fulcrant/core/messages';
import { momentAt, type Outage, type OutageNetwork, type Placed } from '@fulcrant/core/outage';
import { shiftTimeIn, whenIn } from '@fulcrant/core/sheet';
import { useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../ui/Choice.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

const LINK = 'inline-flex min-h-12 items-center px-2 text-steel underline underline-offset-4';

/** Each fitter’s own list, what is now first and large enough to read at two metres; and how the plan leaves the house. */
export function ListsPanel({
  id,
  outage,
  net,
  placed,
  zone,
}: {
  id: string;
  outage: Outage;
  net: OutageNetwork;
  placed: readonly Placed[];
  zone: string;
}) {
  const tell = useSay();
  const [who, setWho] = useState(outage.crew[0]?.id ?? '');
  const say = whenIn(zone);
  const mine = placed.filter((p) => p.units.includes(who) && net.pieces.get(p.id)?.state !== 'done');
  const [first, ...later] = mine;
  const piece = first && net.pieces.get(first.id);
  const shift = shiftTimeIn(zone);
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]" data-list={who}>
      <div>
        <div className="max-w-sm">
          <span className="kicker">{tell(M.whoseList)}</span>
          <Choice
            label={tell(M.whoseList)}
            value={who}
            options={outage.crew.map((c) => [c.id, c.name] as const)}
            onChange={setWho}
          />
        </div>
        {first && piece ? (
          <div className="mt-3 border-2 border-brass p-4" data-now>
            <p className="kicker m-0 !text-brass">
              {first.start <= net.now
                ? tell(M.now)
                : tell(M.next({ shift: shift(momentAt(outage, first.start)) }))}
            </p>
            <p className="m-0 font-label text-[2.6rem] font-semibold leading-none">{piece.job.machine}</p>
            <p className="m-0 text-2xl leading-tight">{piece.job.position}</p>
            <p className="m-0 mt-2 text-3xl leading-tight">
              <Words of={piece.name} />
            </p>
            <p className="m-0 text-xl">
              {tell(
                M.until({
                  momentAt: say(momentAt(outage, first.finish)).slice(11),
                  count: piece.tools.length > 0 ? ` · ${piece.tools.join(', ')}` : '',
                }),
              )}
            </p>
            {piece.job.jobId && (
              <Link
                className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
                to={`/jobs/${piece.job.jobId}`}
              >
                {tell(M.sheet)}
              </Link>
            )}
          </div>
        ) : (
          <p className="text-muted">{tell(M.nothingPlannedHand)}</p>
        )}
        <p className="m-0 mt-3 flex flex-wrap gap-x-4 no-print">
          <a className={LINK} href={`/api/outages/${id}/plan.ics?who=${encodeURIComponent(who)}`}>
            {tell(M.calendarHand)}
          </a>
          <a className={LINK} href={`/api/outages/${id}/plan.ics`}>
            {tell(M.calendarAll)}
          </a>
          <a className={LINK} href={`/api/outages/${id}/plan.csv`}>
            {tell(COMMON.csv)}
          </a>
          {(['A3', 'A4', 'LETTER'] as const).map((s) => (
            <a
              key={s}
              className={LINK}
              href={`/api/outages/${id}/board.pdf?size=${s}`}
              target="_blank"
              rel="noreferrer"
            >
              {tell(M.print({ s: s === 'LETTER' ? COMMON.letter : s }))}
            </a>
          ))}
        </p>
      </div>
      <ol className="m-0 list-none p-0" aria-label={tell(M.whatComesAfter)}>
        {later.slice(0, 14).map((p) => {
          const it = net.pieces.get(p.id);
          return (
            <li
              key={p.id}
              className="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-x-3 border-b border-faint py-1.5"
            >
              <span className="figures text-muted">{shift(momentAt(outage, p.start))}</span>
              <span>
                <strong className="font-label text-lg font-semibold">{it?.job.machine}</strong>,{' '}
                {it?.job.position}: <Words of={it?.name} />
              </span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
