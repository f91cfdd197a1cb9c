import { COMMON } from '@fulcrant/core/messages';
import { Choice } from '../ui/Choice.tsx';
import { useSay } from '../ui/settings.tsx';
import { Moment } from './Moment.tsx';
import { M } from './messages.ts';
import { Out } from './Out.tsx';
import { Part } from './Part.tsx';
import { changed, type PartProps, without } from './part-props.ts';

/** When a machine is isolated, by its permit: only then it may be worked on. */
export function IsolationPart({ draft, set, zone }: PartProps) {
  const say = useSay();
  const { windows } = draft;
  return (
    <Part title={say(M.isolationWhenMachineMayWorked)}>
      {windows.map((w, i) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: several windows of one machine differ by what is being typed
          key={i}
          className="grid items-end gap-x-4 border-b border-faint py-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_auto]"
        >
          <span className="font-label text-lg font-semibold">{w.machine}</span>
          <Moment
            label={say(COMMON.from)}
            value={w.from}
            zone={zone}
            onMoment={(from) => set({ windows: changed(windows, i, { from }) })}
          />
          <Moment
            label={say(COMMON.to)}
            value={w.to}
            zone={zone}
            onMoment={(to) => set({ windows: changed(windows, i, { to }) })}
          />
          <Out
            what={say(M.window({ machine: w.machine }))}
            onOut={() => set({ windows: without(windows, i) })}
          />
        </div>
      ))}
      <Choice
        label={say(M.window2)}
        value=""
        options={[...new Set(draft.jobs.map((j) => j.machine))].map((m) => [m, m] as const)}
        onChange={(machine) =>
          set({ windows: [...windows, { machine, from: draft.startsAt, to: draft.endsAt }] })
        }
      />
    </Part>
  );
}
