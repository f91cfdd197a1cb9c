import { allTrades } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, inline, textKey } from '@fulcrant/core/messages';
import type { Outage } from '@fulcrant/core/outage';
import { useState } from 'react';
import { readThrough } from '../data/api.ts';
import { useDue, useRegister } from '../data/register.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { freshKey } from './fresh-key.ts';
import { M } from './messages.ts';
import { Part } from './Part.tsx';

type OpenLine = {
  id: string;
  number: string;
  kind: string;
  machine: string;
  position: string;
  positionId: string;
};

/** Jobs from the register, or those that are open already. */
export function Jobs({ draft, onJobs }: { draft: Outage; onJobs: (jobs: Outage['jobs']) => void }) {
  const say = useSay();
  const [typed, setTyped] = useState('');
  const [trade, setTrade] = useState(allTrades()[0]?.id ?? '');
  const [fault, setFault] = useState<Text | null>(null);
  const found = useRegister(typed).data?.positions ?? [];
  const { jobs } = draft;
  const words = (id: string) => allTrades().find((t) => t.id === id)?.words.offer[0] ?? id;
  const take = (machine: string, position: string, positionId: string) =>
    onJobs([
      ...jobs,
      {
        key: freshKey(
          jobs.map((j) => j.key),
          `${machine} ${position}`,
        ),
        trade,
        machine,
        position,
        positionId,
      },
    ]);
  const due = (useDue().data?.due ?? []).filter(
    (d) =>
      d.positionId !== null &&
      d.at <= draft.endsAt &&
      !jobs.some((j) => j.positionId === d.positionId || (j.jobId && j.jobId === d.jobId)),
  );
  const takeOpen = async () => {
    try {
      const { jobs: open } = await readThrough<{ jobs: OpenLine[] }>('/api/jobs?state=open&limit=200');
      const taken = new Set(jobs.map((j) => j.jobId));
      const next = [...jobs];
      for (const j of open.filter((o) => !taken.has(o.id)))
        next.push({
          key: freshKey(
            next.map((x) => x.key),
            j.number,
          ),
          trade: j.kind,
          machine: j.machine,
          position: j.position,
          positionId: j.positionId,
          jobId: j.id,
        });
      onJobs(next);
    } catch {
      setFault(say(M.noConnectionServerOpenJobs));
    }
  };
  return (
    <Part title={say(M.jobs2({ count: jobs.length }))}>
      <ul
        className="m-0 max-h-72 list-none overflow-y-auto p-0 [fieldset:disabled_&]:max-h-none [fieldset:disabled_&]:overflow-visible"
        aria-label={say(M.jobsOutage)}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must be able to reach it
        tabIndex={0}
      >
        {jobs.map((j) => (
          <li key={j.key} className="flex items-center gap-3 border-b border-faint" data-job-of={j.key}>
            <span className="min-w-0 flex-1 truncate">
              <strong className="font-label text-lg font-semibold">{j.machine}</strong>, {j.position}
              <span className="text-muted">
                {' '}
                · <Words of={words(j.trade)} />
                {j.jobId ? '' : say(M.notOpenedYet)}
              </span>
            </span>
            <Button
              weight="bare"
              aria-label={say(M.leaveOut({ machine: j.machine, position: j.position }))}
              onClick={() => onJobs(jobs.filter((x) => x.key !== j.key))}
            >
              {say(M.out3)}
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2 grid items-end gap-x-4 gap-y-2 sm:grid-cols-2">
        <div>
          <span className="kicker">{say(COMMON.work)}</span>
          <Choice
            label={say(COMMON.work)}
            value={trade}
            options={allTrades().map((t) => [t.id, t.words.offer[0]] as const)}
            onChange={setTrade}
          />
        </div>
        <TextField label={say(M.where)} value={typed} onText={setTyped} placeholder={say(M.machinePlace)} />
      </div>
      {typed.trim() !== '' && (
        <ul className="m-0 max-h-40 list-none overflow-y-auto p-0" aria-label={say(COMMON.positionsFound)}>
          {found.slice(0, 12).map((p) => (
            <li key={p.id}>
              <button
                type="button"
                className="min-h-12 w-full border-b border-faint px-1 text-left hover:bg-shade"
                onClick={() => {
                  take(p.machine, p.position, p.id);
                  setTyped('');
                }}
              >
                {say(M.add({ machine: p.machine, position: p.position }))}
              </button>
            </li>
          ))}
        </ul>
      )}
      <Button weight="bare" onClick={() => void takeOpen()}>
        {say(M.takeAllOpenJobs)}
      </Button>
      {due.length > 0 && (
        <details className="mt-1">
          <summary className="min-h-12 cursor-pointer py-2 text-steel underline underline-offset-4">
            {say(M.dueBeforeWall({ count: due.length }))}
          </summary>
          <ul className="m-0 list-none p-0">
            {due.slice(0, 20).map((d) => (
              <li
                key={`${d.positionId} ${textKey(d.what)} ${d.at}`}
                className="flex items-center gap-3 border-b border-faint"
              >
                <span className="min-w-0 flex-1 truncate">
                  <Words of={d.what} />: {d.machine}, {d.position}
                </span>
                <Button weight="bare" onClick={() => take(d.machine, d.position, d.positionId ?? '')}>
                  {say(M.addAs({ words: inline(words(trade)) }))}
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Part>
  );
}
