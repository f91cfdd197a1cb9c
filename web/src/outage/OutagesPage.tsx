import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { Outage } from '@fulcrant/core/outage';
import { saidBy } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { addDays, format, nextMonday } from 'date-fns';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { faultsOf } from '../data/asked.ts';
import { newOutage, useOutages } from '../data/outages.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

/** A week from next Monday, one early shift: to begin from. Who and what there is, nobody has said yet. */
function blank(name: string, by: string, early: string, now: Date): Outage {
  const monday = nextMonday(now);
  monday.setHours(6, 0, 0, 0);
  const wall = addDays(monday, 4);
  wall.setHours(14, 0, 0, 0);
  return {
    name,
    startsAt: monday.toISOString(),
    endsAt: wall.toISOString(),
    shifts: [
      {
        name: early,
        from: '06:00',
        to: '14:00',
        breaks: [
          { from: '09:00', to: '09:15' },
          { from: '12:00', to: '12:30' },
        ],
        days: [1, 2, 3, 4, 5],
      },
    ],
    crew: [{ id: 'first', name: by, skills: [], shift: 0, away: [] }],
    tools: [],
    windows: [],
    jobs: [],
    bindings: [],
    pins: [],
    plan: undefined,
  };
}

/** Outages, the latest window first; a lead hand begins another. */
export function OutagesPage() {
  const say = useSay();
  const outages = useOutages();
  const { person } = useSession();
  const client = useQueryClient();
  const go = useNavigate();
  const [name, setName] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const begin = async () => {
    if (name.trim() === '') return setFault(say(M.whatCalled));
    try {
      const { told } = await newOutage(blank(name.trim(), person?.name ?? '', say(M.early), new Date()));
      await client.invalidateQueries({ queryKey: ['outages'] });
      go(`/outages/${told.id}`);
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
  };
  return (
    <Page title={say(COMMON.outages)} ways={[['/due', say(COMMON.due)]]} corner={<Corner />}>
      <ul className="m-0 list-none p-0">
        {(outages.data ?? []).map((o) => (
          <li key={o.id} className="border-b border-faint">
            <Link
              to={`/outages/${o.id}`}
              className="flex min-h-14 flex-wrap items-center gap-x-6 py-1"
              data-outage={o.id}
            >
              <span className="font-label text-xl font-semibold">{o.name}</span>
              <span className="figures">
                {say(
                  M.to({
                    startsAt: format(new Date(o.startsAt), 'd MMM'),
                    endsAt: format(new Date(o.endsAt), 'd MMM yyyy, HH:mm'),
                  }),
                )}
              </span>
              <span className="text-muted">{say(M.jobs({ jobs: o.jobs }))}</span>
            </Link>
          </li>
        ))}
      </ul>
      {outages.data?.length === 0 && <p className="text-muted">{say(M.noOutagePlanned)}</p>}
      {outages.isError && (
        <Fault>
          <Words of={saidBy(outages.error)} />
        </Fault>
      )}
      {person?.role === 'lead' && (
        <div className="mt-4 flex max-w-xl items-end gap-4">
          <div className="flex-1">
            <TextField label={say(M.newOutageCalled)} value={name} onText={setName} />
          </div>
          <Button weight="solid" onClick={() => void begin()}>
            {say(M.begin)}
          </Button>
        </div>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Page>
  );
}
