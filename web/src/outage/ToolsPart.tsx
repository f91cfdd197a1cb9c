import { allSharedTools } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { type Outage, toolKey } from '@fulcrant/core/outage';
import { Choice } from '../ui/Choice.tsx';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { readCount, readTorque } from './draft.ts';
import { Moment } from './Moment.tsx';
import { M } from './messages.ts';
import { Out } from './Out.tsx';
import { Part } from './Part.tsx';
import { changed, type PartProps, without } from './part-props.ts';
import { Typed } from './Typed.tsx';

const ranged = (t: Outage['tools'][number]) => (t.least ?? t.most ?? null) !== null;

/** What is shared by all hands, how many of each, and when it is there. */
export function ToolsPart({ draft, set, zone }: PartProps) {
  const say = useSay();
  const { tools } = draft;
  const one = (i: number, change: Partial<Outage['tools'][number]>) =>
    set({ tools: changed(tools, i, change) });
  // Wrenches have ranges: of one name there may be several.
  const free = allSharedTools().filter((n) => !tools.some((t) => t.name === n && !ranged(t)));
  return (
    <Part title={say(M.sharedTools)}>
      {tools.map((t, i) => (
        <div key={toolKey(t)} className="border-b border-faint py-1" data-tool={toolKey(t)}>
          <div className="grid grid-cols-[minmax(0,1fr)_7rem_auto] items-end gap-x-4">
            <Choice
              label={say(M.tool({ i: i + 1 }))}
              value={t.name}
              options={[t.name, ...free.filter((n) => n !== t.name)].map((n) => [n, n] as const)}
              onChange={(name) => one(i, { name })}
            />
            <Typed
              label={say(COMMON.howMany)}
              inputMode="numeric"
              shown={`${t.count}`}
              read={readCount}
              onValue={(count) => one(i, { count })}
            />
            <Out what={toolKey(t)} onOut={() => set({ tools: without(tools, i) })} />
          </div>
          {t.name === 'torque wrench' && (
            <div className="grid max-w-md grid-cols-2 gap-x-4">
              <Typed
                label={say(M.fromNM)}
                inputMode="decimal"
                shown={t.least === undefined || t.least === null ? '' : `${t.least}`}
                read={readTorque}
                onValue={(least) => one(i, { least })}
              />
              <Typed
                label={say(M.nM)}
                inputMode="decimal"
                shown={t.most === undefined || t.most === null ? '' : `${t.most}`}
                read={readTorque}
                onValue={(most) => one(i, { most })}
              />
            </div>
          )}
          {t.from || t.until ? (
            <div className="grid items-end gap-x-4 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto]">
              <Moment
                label={say(M.hereFrom)}
                value={t.from ?? draft.startsAt}
                zone={zone}
                onMoment={(from) => one(i, { from })}
              />
              <Moment
                label={say(COMMON.to2)}
                value={t.until ?? draft.endsAt}
                zone={zone}
                onMoment={(until) => one(i, { until })}
              />
              <Out
                what={say(M.times({ name: t.name }))}
                onOut={() => one(i, { from: undefined, until: undefined })}
              />
            </div>
          ) : (
            <Button
              weight="bare"
              aria-label={say(M.hereOnlyTime({ name: t.name }))}
              onClick={() => one(i, { from: draft.startsAt, until: draft.endsAt })}
            >
              {say(M.hereOnlyTime2)}
            </Button>
          )}
        </div>
      ))}
      {free[0] && (
        <Button
          weight="bare"
          onClick={() => set({ tools: [...tools, { name: free[0] as string, count: 1 }] })}
        >
          {say(M.anotherTool)}
        </Button>
      )}
    </Part>
  );
}
