import { TZDate } from '@date-fns/tz';
import { SHARED_TOOLS, SKILLS } from '@fulcrant/core/engine/trade';
import type { Outage } from '@fulcrant/core/planning/outage';
import { whenIn } from '@fulcrant/core/sheet/when';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import type { OutageKnown } from '../data/outages.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { TextField } from '../ui/TextField.tsx';
import { Bindings } from './BindingsPart.tsx';
import { freshKey } from './fresh-key.ts';
import { Jobs } from './JobsPart.tsx';
import { Part } from './Part.tsx';

/** A moment as its zone writes it in a field, and back. Null where it is none. */
export const fieldOf = (at: string, zone: string): string => whenIn(zone)(at).replace(' ', 'T');
export function momentOf(field: string, zone: string): string | null {
  const m = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(field);
  if (!m) return null;
  const [y = 0, mo = 1, d = 1, h = 0, mi = 0] = m.slice(1).map(Number);
  return new Date(new TZDate(y, mo - 1, d, h, mi, zone).getTime()).toISOString();
}

const NOBODY: Outage['crew'][number] = { id: '', name: '', skills: [], shift: 0, away: [] };
const TOGGLE =
  'min-h-11 border border-muted px-2.5 text-sm data-[state=on]:border-2 data-[state=on]:border-brass data-[state=on]:font-semibold';

/** All that an outage is made of, changed here and kept as one: window, shifts, crew, tools, isolation, jobs and what binds them. */
export function OutageSetup({
  known,
  mayChange,
  onKeep,
}: {
  known: OutageKnown;
  mayChange: boolean;
  onKeep: (next: Outage) => Promise<boolean>;
}) {
  const { zone, shafts } = known;
  const [draft, setDraft] = useState<Outage>(known.told.outage);
  const [version, setVersion] = useState(known.told.version);
  const [fault, setFault] = useState<string | null>(null);
  // Changed by somebody else, or from the board, while nothing was changed here: taken over.
  const dirty = JSON.stringify(draft) !== JSON.stringify(known.told.outage);
  if (known.told.version !== version) {
    setVersion(known.told.version);
    setDraft({
      ...draft,
      pins: known.told.outage.pins,
      plan: known.told.outage.plan,
      ...(dirty ? {} : known.told.outage),
    });
  }
  const set = (change: Partial<Outage>) => setDraft({ ...draft, ...change });
  const at = <T,>(list: readonly T[], i: number, change: Partial<T>): T[] =>
    list.map((x, k) => (k === i ? { ...x, ...change } : x));
  const keep = async () => {
    const nameless = draft.crew.find((c) => c.name.trim() === '');
    if (nameless) return setFault('One of the crew has no name yet.');
    const crew = draft.crew.map((c, i) => ({
      ...c,
      id:
        c.id ||
        freshKey(
          draft.crew.filter((_, k) => k !== i).map((x) => x.id),
          c.name,
        ),
    }));
    setFault(null);
    const next = { ...draft, crew };
    setDraft(next);
    await onKeep(next);
  };
  const moment = (label: string, value: string, onMoment: (at: string) => void) => (
    <label className="flex min-w-0 flex-col">
      <span className="kicker">{label}</span>
      <input
        type="datetime-local"
        defaultValue={fieldOf(value, zone)}
        onChange={(e) => {
          const told = momentOf(e.target.value, zone);
          if (told) onMoment(told);
        }}
        disabled={!mayChange}
        className="figures min-h-12 w-full min-w-0 border-0 border-b-2 border-muted bg-transparent text-base"
      />
    </label>
  );
  return (
    <fieldset
      disabled={!mayChange}
      className="m-0 grid min-w-0 gap-x-10 gap-y-6 border-0 p-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
      data-outage-setup
    >
      <Part title="The window">
        <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
          <TextField label="Called" value={draft.name} onText={(name) => set({ name })} />
          <span />
          {moment('Begins', draft.startsAt, (startsAt) => set({ startsAt }))}
          {moment('The wall', draft.endsAt, (endsAt) => set({ endsAt }))}
        </div>
        {draft.shifts.map((s, i) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: shifts are told apart by their place, which the crew names
            key={i}
            className="mt-2 grid grid-cols-2 gap-x-4 gap-y-1 border-t border-faint pt-2 sm:grid-cols-4"
          >
            <TextField
              label="Shift"
              value={s.name}
              onText={(name) => set({ shifts: at(draft.shifts, i, { name }) })}
            />
            <TextField
              label="From"
              value={s.from}
              onText={(from) => set({ shifts: at(draft.shifts, i, { from }) })}
            />
            <TextField
              label="To"
              value={s.to}
              onText={(to) => set({ shifts: at(draft.shifts, i, { to }) })}
            />
            <TextField
              label="Breaks"
              defaultValue={s.breaks.map((b) => `${b.from}-${b.to}`).join(', ')}
              onText={(text) =>
                set({
                  shifts: at(draft.shifts, i, {
                    breaks: [...text.matchAll(/(\d\d:\d\d)\s*[-–]\s*(\d\d:\d\d)/g)].map((m) => ({
                      from: m[1] ?? '',
                      to: m[2] ?? '',
                    })),
                  }),
                })
              }
            />
            <ToggleGroup.Root
              type="multiple"
              aria-label={`Days of ${s.name}`}
              value={s.days.map(String)}
              onValueChange={(d) => set({ shifts: at(draft.shifts, i, { days: d.map(Number).sort() }) })}
              className="col-span-2 flex flex-wrap gap-1 sm:col-span-4"
            >
              {['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'].map((d, k) => (
                <ToggleGroup.Item key={d} value={`${k + 1}`} className={TOGGLE}>
                  {d}
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          </div>
        ))}
        {draft.shifts.length < 4 && (
          <Button
            weight="bare"
            onClick={() =>
              set({
                shifts: [
                  ...draft.shifts,
                  {
                    name: `Shift ${draft.shifts.length + 1}`,
                    from: '14:00',
                    to: '22:00',
                    breaks: [],
                    days: [1, 2, 3, 4, 5],
                  },
                ],
              })
            }
          >
            Another shift
          </Button>
        )}
      </Part>
      <Part title="The crew">
        {draft.crew.map((c, i) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: somebody new has no key of their own yet
            key={i}
            className="border-b border-faint py-2"
            data-hand={c.name}
          >
            <div className="grid grid-cols-[minmax(0,1fr)_9rem_auto] items-end gap-x-4">
              <TextField
                label="Name"
                value={c.name}
                onText={(name) => set({ crew: at(draft.crew, i, { name }) })}
              />
              <Choice
                label={`Shift of ${c.name}`}
                value={`${c.shift}`}
                options={draft.shifts.map((s, k) => [`${k}`, s.name] as const)}
                onChange={(s) => set({ crew: at(draft.crew, i, { shift: Number(s) }) })}
              />
              <Button
                weight="bare"
                aria-label={`Leave out ${c.name}`}
                onClick={() => set({ crew: draft.crew.filter((_, k) => k !== i) })}
              >
                Out
              </Button>
            </div>
            <ToggleGroup.Root
              type="multiple"
              aria-label={`What ${c.name} can do`}
              value={c.skills}
              onValueChange={(s) =>
                set({ crew: at(draft.crew, i, { skills: SKILLS.filter((k) => s.includes(k)) }) })
              }
              className="mt-1 flex flex-wrap gap-1"
            >
              {SKILLS.map((k) => (
                <ToggleGroup.Item key={k} value={k} className={TOGGLE}>
                  {k}
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          </div>
        ))}
        <Button weight="bare" onClick={() => set({ crew: [...draft.crew, NOBODY] })}>
          Another hand
        </Button>
      </Part>
      <Part title="Shared tools">
        {draft.tools.map((t, i) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: a tool is told apart by its place while its name is typed
            key={i}
            className="grid grid-cols-[minmax(0,1fr)_6rem_auto] items-end gap-x-4 border-b border-faint py-1"
          >
            <Choice
              label={`Tool ${i + 1}`}
              value={t.name}
              options={[...new Set([...SHARED_TOOLS, t.name])].map((n) => [n, n] as const)}
              onChange={(name) => set({ tools: at(draft.tools, i, { name }) })}
            />
            <TextField
              label="How many"
              inputMode="numeric"
              value={`${t.count}`}
              onText={(n) =>
                set({ tools: at(draft.tools, i, { count: Math.max(0, Math.round(Number(n)) || 0) }) })
              }
            />
            <Button
              weight="bare"
              aria-label={`Leave out ${t.name}`}
              onClick={() => set({ tools: draft.tools.filter((_, k) => k !== i) })}
            >
              Out
            </Button>
          </div>
        ))}
        <Button
          weight="bare"
          onClick={() =>
            set({
              tools: [
                ...draft.tools,
                {
                  name: SHARED_TOOLS.find((n) => !draft.tools.some((t) => t.name === n)) ?? 'tool',
                  count: 1,
                },
              ],
            })
          }
        >
          Another tool
        </Button>
      </Part>
      <Part title="Isolation: when a machine may be worked on">
        {draft.windows.map((w, i) => (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: several windows of one machine differ by what is being typed
            key={i}
            className="grid items-end gap-x-4 border-b border-faint py-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_auto]"
          >
            <span className="font-label text-lg font-semibold">{w.machine}</span>
            {moment('From', w.from, (from) => set({ windows: at(draft.windows, i, { from }) }))}
            {moment('To', w.to, (to) => set({ windows: at(draft.windows, i, { to }) }))}
            <Button
              weight="bare"
              aria-label={`Out: the window of ${w.machine}`}
              onClick={() => set({ windows: draft.windows.filter((_, k) => k !== i) })}
            >
              Out
            </Button>
          </div>
        ))}
        <Choice
          label="A window for"
          value=""
          options={[...new Set(draft.jobs.map((j) => j.machine))].map((m) => [m, m] as const)}
          onChange={(machine) =>
            set({ windows: [...draft.windows, { machine, from: draft.startsAt, to: draft.endsAt }] })
          }
        />
      </Part>
      <Jobs
        draft={draft}
        onJobs={(jobs) =>
          set({
            jobs,
            bindings: draft.bindings.filter((b) =>
              [b.before, b.after].every((k) => jobs.some((j) => j.key === k)),
            ),
            pins: draft.pins.filter((p) => jobs.some((j) => p.task.startsWith(`${j.key}:`))),
          })
        }
      />
      <Bindings
        draft={draft}
        shafts={shafts}
        setups={known.setups}
        onBindings={(bindings) => set({ bindings })}
      />
      {mayChange && (
        <div className="flex flex-wrap items-center gap-4 lg:col-span-2">
          <Button weight="solid" onClick={() => void keep()} data-keep-outage>
            Keep it
          </Button>
          {dirty && <span className="text-brass">Changed here and not kept yet.</span>}
          {fault && <Fault>{fault}</Fault>}
        </div>
      )}
    </fieldset>
  );
}
