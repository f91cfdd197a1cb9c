import type { DueLine } from '@fulcrant/core/api';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { addDays, addWeeks, format, isSameDay, isToday, startOfWeek } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { call } from '../data/api.ts';
import { faultsOf } from '../data/asked.ts';
import { useDue } from '../data/register.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** What falls due over the whole plant: what is late, then a week ruled in days; and as a calendar by a private link. */
export function DuePage() {
  const say = useSay();
  const told = useDue();
  const [week, setWeek] = useState(0);
  const lines = told.data?.due ?? [];
  const now = new Date();
  const late = lines.filter((d) => new Date(d.at) < now && !isToday(new Date(d.at)));
  const begins = startOfWeek(addWeeks(now, week), { weekStartsOn: 1 });
  const days = Array.from({ length: 7 }, (_, i) => addDays(begins, i));
  const after = lines.filter((d) => new Date(d.at) >= addDays(begins, 7));
  return (
    <Page
      title={say(COMMON.due)}
      ways={[
        ['/register', say(COMMON.register)],
        ['/gauges', say(COMMON.gauges)],
      ]}
      corner={<Corner />}
      wide
    >
      {told.isError && (
        <Fault>
          <Words of={saidBy(told.error)} />
        </Fault>
      )}
      {late.length > 0 && (
        <section aria-label={say(M.late)}>
          <h2 className="kicker m-0 border-b border-rule pb-1 !text-stop">{say(M.late)}</h2>
          <ul className="m-0 grid list-none gap-x-8 p-0 md:grid-cols-2 xl:grid-cols-3">
            {late.map((d) => (
              <Line key={keyOf(d)} due={d} when={format(new Date(d.at), 'd MMM')} />
            ))}
          </ul>
        </section>
      )}
      <div className="flex flex-wrap items-center justify-between gap-4 pt-4">
        <h2 className="m-0 text-2xl">
          {say(M.to3({ begins: format(begins, 'd MMM'), addDays: format(addDays(begins, 6), 'd MMM yyyy') }))}
        </h2>
        <span className="flex gap-2">
          <Button onClick={() => setWeek(week - 1)}>{say(M.weekBefore)}</Button>
          {week !== 0 && <Button onClick={() => setWeek(0)}>{say(M.week)}</Button>}
          <Button onClick={() => setWeek(week + 1)}>{say(M.weekAfter)}</Button>
        </span>
      </div>
      <ol
        className="m-0 mt-2 grid list-none gap-0 border-t border-rule p-0 lg:grid-cols-7"
        aria-label={say(M.week2)}
      >
        {days.map((day) => {
          const on = lines.filter((d) => isSameDay(new Date(d.at), day));
          return (
            <li
              key={day.toISOString()}
              className={`min-h-12 border-b border-faint px-2 py-1 lg:min-h-56 lg:border-r ${isToday(day) ? 'bg-shade' : ''}`}
            >
              <h3 className={`kicker m-0 ${isToday(day) ? '!text-brass' : ''}`}>{format(day, 'EEE d')}</h3>
              <ul className="m-0 list-none p-0">
                {on.map((d) => (
                  <Line key={keyOf(d)} due={d} when={d.gaugeId ? '' : format(new Date(d.at), 'HH:mm')} />
                ))}
              </ul>
            </li>
          );
        })}
      </ol>
      {after.length > 0 && (
        <section aria-label={say(M.later)}>
          <h2 className="kicker m-0 border-b border-rule pb-1 pt-4">
            {say(M.laterNext({ value: Math.min(12, after.length) }))}
          </h2>
          <ul className="m-0 grid list-none gap-x-8 p-0 md:grid-cols-2 xl:grid-cols-3">
            {after.slice(0, 12).map((d) => (
              <Line key={keyOf(d)} due={d} when={format(new Date(d.at), 'd MMM yyyy')} />
            ))}
          </ul>
        </section>
      )}
      <Feed madeAt={told.data?.feedMadeAt ?? null} />
    </Page>
  );
}

const keyOf = (d: DueLine) => `${d.jobId ?? d.gaugeId} ${textKey(d.what)} ${d.at}`;

function Line({ due, when }: { due: DueLine; when: string }) {
  const words = (
    <>
      <span className="figures text-sm text-muted">{when}</span>{' '}
      <span className="font-medium">
        <Words of={due.what} />
      </span>
      <span className="block text-sm leading-tight text-muted">
        {due.machine}
        {due.position ? `, ${due.position}` : ''}
      </span>
    </>
  );
  return (
    <li className="border-b border-faint last:border-b-0">
      <Link
        to={due.jobId ? `/jobs/${due.jobId}` : '/gauges'}
        className="block min-h-12 py-1.5 leading-tight hover:bg-shade"
      >
        {words}
      </Link>
    </li>
  );
}

/** The same as a calendar another program reads by itself: whoever has its link sees it, until it is revoked. */
function Feed({ madeAt }: { madeAt: string | null }) {
  const say = useSay();
  const client = useQueryClient();
  const [link, setLink] = useState<string | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const act = async (does: () => Promise<void>) => {
    setFault(null);
    await does().catch((error: unknown) => setFault(Object.values(faultsOf(error))[0] ?? null));
    await client.invalidateQueries({ queryKey: ['due'] });
  };
  return (
    <section aria-label={say(M.asCalendar)} className="mt-5 border-t border-rule pt-3">
      <h2 className="m-0 text-xl">{say(M.asCalendar)}</h2>
      <p className="m-0 max-w-3xl text-muted">
        {say(
          M.privateLinkCalendarProgramWhoever({
            madeAt: madeAt && say(M.oneMadeNewOneMakes({ madeAt: format(new Date(madeAt), 'd MMM yyyy') })),
          }),
        )}
      </p>
      {link && (
        <p className="figures my-2 break-all border border-brass p-3" data-feed>
          {link}
        </p>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <Button
          onClick={() =>
            void act(async () => {
              const made = await call<{ path: string }>('POST', '/api/due/feed', {});
              setLink(`${location.origin}${made.path}`);
            })
          }
        >
          {madeAt ? say(M.makeNewLink) : say(M.makeLink)}
        </Button>
        {madeAt && (
          <Button
            onClick={() =>
              void act(async () => {
                await call('DELETE', '/api/due/feed');
                setLink(null);
              })
            }
          >
            {say(M.revoke)}
          </Button>
        )}
      </div>
    </section>
  );
}
