import { COMMON, textKey } from '@fulcrant/core/messages';
import { ToggleGroup } from 'radix-ui';
import { Button } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { readBreaks, readClock } from './draft.ts';
import { Moment } from './Moment.tsx';
import { M } from './messages.ts';
import { Part, TOGGLE } from './Part.tsx';
import { changed, type PartProps } from './part-props.ts';
import { Typed } from './Typed.tsx';

const DAYS = [M.mo, M.tu, M.we, M.th, M.fr, M.sa, M.su];

/** The window, its wall, and the shifts that are worked in it. */
export function WindowPart({ draft, set, zone, faults }: PartProps) {
  const say = useSay();
  const { shifts } = draft;
  return (
    <Part title={say(M.window3)}>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <TextField
          label={say(M.outageName)}
          value={draft.name}
          fault={faults.name}
          onText={(name) => set({ name })}
        />
        <span />
        <Moment
          label={say(COMMON.start)}
          value={draft.startsAt}
          zone={zone}
          onMoment={(startsAt) => set({ startsAt })}
        />
        <Moment
          label={say(COMMON.deadline)}
          value={draft.endsAt}
          zone={zone}
          onMoment={(endsAt) => set({ endsAt })}
        />
      </div>
      {shifts.map((s, i) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: shifts are told apart by their place, which the crew names
          key={i}
          className="mt-2 grid grid-cols-2 gap-x-4 gap-y-1 border-t border-faint pt-2 sm:grid-cols-4"
          data-shift={s.name}
        >
          <TextField
            label={say(M.shift)}
            value={s.name}
            fault={faults[`shifts[${i}].name`]}
            onText={(name) => set({ shifts: changed(shifts, i, { name }) })}
          />
          <Typed
            label={say(COMMON.from)}
            shown={s.from}
            read={readClock}
            onValue={(from) => set({ shifts: changed(shifts, i, { from }) })}
          />
          <Typed
            label={say(COMMON.to)}
            shown={s.to}
            read={readClock}
            onValue={(to) => set({ shifts: changed(shifts, i, { to }) })}
          />
          <Typed
            label={say(M.breaks)}
            shown={s.breaks.map((b) => `${b.from}-${b.to}`).join(', ')}
            read={readBreaks}
            onValue={(breaks) => set({ shifts: changed(shifts, i, { breaks }) })}
          />
          <ToggleGroup.Root
            type="multiple"
            aria-label={say(M.days({ name: s.name }))}
            value={s.days.map(String)}
            onValueChange={(d) => set({ shifts: changed(shifts, i, { days: d.map(Number).sort() }) })}
            className="col-span-2 flex flex-wrap gap-1 sm:col-span-4"
          >
            {DAYS.map((d, k) => (
              <ToggleGroup.Item key={textKey(d)} value={`${k + 1}`} className={TOGGLE}>
                <Words of={d} />
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        </div>
      ))}
      {shifts.length < 4 && (
        <Button
          weight="bare"
          onClick={() =>
            set({
              shifts: [
                ...shifts,
                {
                  name: say(M.shift3({ count: shifts.length + 1 })),
                  from: '14:00',
                  to: '22:00',
                  breaks: [],
                  days: [1, 2, 3, 4, 5],
                },
              ],
            })
          }
        >
          {say(M.anotherShift)}
        </Button>
      )}
    </Part>
  );
}
