import { allSkills } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import type { Outage } from '@fulcrant/core/outage';
import { ToggleGroup } from 'radix-ui';
import { Choice } from '../ui/Choice.tsx';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { Moment } from './Moment.tsx';
import { M } from './messages.ts';
import { Out } from './Out.tsx';
import { Part, TOGGLE } from './Part.tsx';
import { changed, type PartProps, without } from './part-props.ts';

const NOBODY: Outage['crew'][number] = { id: '', name: '', skills: [], shift: 0, away: [] };

/** Who works, on which shift, what each can do, and when somebody is away. */
export function CrewPart({ draft, set, zone, faults }: PartProps) {
  const say = useSay();
  const { crew } = draft;
  const one = (i: number, change: Partial<Outage['crew'][number]>) => set({ crew: changed(crew, i, change) });
  return (
    <Part title={say(M.crew)}>
      {crew.map((c, i) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: somebody new has no key of their own yet
          key={i}
          className="border-b border-faint py-2"
          data-hand={c.name}
        >
          <div className="grid grid-cols-[minmax(0,1fr)_7rem_auto] items-end gap-x-4">
            <TextField
              label={say(COMMON.nameText)}
              value={c.name}
              fault={faults[`crew[${i}].name`]}
              onText={(name) => one(i, { name })}
            />
            <Choice
              label={say(M.shift2({ name: c.name }))}
              value={`${c.shift}`}
              options={draft.shifts.map((s, k) => [`${k}`, s.name] as const)}
              onChange={(s) => one(i, { shift: Number(s) })}
            />
            <Out what={c.name} onOut={() => set({ crew: without(crew, i) })} />
          </div>
          <ToggleGroup.Root
            type="multiple"
            aria-label={say(M.whatCanDo({ name: c.name }))}
            value={c.skills}
            onValueChange={(s) => one(i, { skills: allSkills().filter((k) => s.includes(k)) })}
            className="mt-1 flex flex-wrap gap-1"
          >
            {allSkills().map((k) => (
              <ToggleGroup.Item key={k} value={k} className={TOGGLE}>
                {k}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
          {c.away.map((a, k) => (
            <div
              // biome-ignore lint/suspicious/noArrayIndexKey: two absences may be alike while one is being typed
              key={k}
              className="mt-1 grid items-end gap-x-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto]"
              data-away={c.name}
            >
              <Moment
                label={say(M.awayFrom)}
                value={a.from}
                zone={zone}
                onMoment={(from) => one(i, { away: changed(c.away, k, { from }) })}
              />
              <Moment
                label={say(COMMON.to2)}
                value={a.to}
                zone={zone}
                onMoment={(to) => one(i, { away: changed(c.away, k, { to }) })}
              />
              <Out
                what={say(M.absence({ name: c.name }))}
                onOut={() => one(i, { away: without(c.away, k) })}
              />
            </div>
          ))}
          <Button
            weight="bare"
            aria-label={say(M.awayTime({ name: c.name }))}
            onClick={() => one(i, { away: [...c.away, { from: draft.startsAt, to: draft.endsAt }] })}
          >
            {say(M.awayTime2)}
          </Button>
        </div>
      ))}
      <Button weight="bare" onClick={() => set({ crew: [...crew, NOBODY] })}>
        {say(M.anotherHand)}
      </Button>
    </Part>
  );
}
