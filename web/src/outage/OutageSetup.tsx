import { COMMON } from '@fulcrant/core/messages';
import type { Outage } from '@fulcrant/core/outage';
import { type RefObject, useRef, useState } from 'react';
import type { Faults } from '../data/asked.ts';
import type { OutageKnown } from '../data/outages.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { Bindings } from './BindingsPart.tsx';
import { CrewPart } from './CrewPart.tsx';
import { freshKey } from './fresh-key.ts';
import { IsolationPart } from './IsolationPart.tsx';
import { Jobs } from './JobsPart.tsx';
import { M } from './messages.ts';
import type { PartProps } from './part-props.ts';
import { ToolsPart } from './ToolsPart.tsx';
import { useOutageDraft } from './use-outage-draft.ts';
import { WindowPart } from './WindowPart.tsx';

/** The first line that does not read as anything yet takes the caret. */
function firstWrong(form: RefObject<HTMLElement | null>): boolean {
  const wrong = form.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
  wrong?.focus();
  return wrong !== null && wrong !== undefined;
}

/** All that an outage is made of, changed here and kept as one: window, shifts, crew, tools, isolation, jobs and what binds them. */
export function OutageSetup({
  known,
  mayChange,
  onKeep,
}: {
  known: OutageKnown;
  mayChange: boolean;
  onKeep: (next: Outage, after: number) => Promise<Faults | null>;
}) {
  const say = useSay();
  const {
    draft,
    base,
    changed: isChanged,
    theirs,
    set,
    takeTheirs,
    keepMine,
    kept,
  } = useOutageDraft(known.told);
  const [faults, setFaults] = useState<Faults>({});
  const form = useRef<HTMLFieldSetElement>(null);
  const keep = async () => {
    if (firstWrong(form)) return setFaults({ '': say(M.oneLineDoesNotRead) });
    const crew = draft.crew.map((c, i) => ({
      ...c,
      id:
        c.id ||
        freshKey(
          draft.crew.filter((_, k) => k !== i).map((x) => x.id),
          c.name,
        ),
    }));
    const next = { ...draft, crew };
    const refused = await onKeep(next, base);
    setFaults(refused ?? {});
    if (!refused) kept(next);
  };
  const part: PartProps = { draft, set, zone: known.zone, faults };
  // Those that stand beside no line of theirs are said at the foot.
  const rest = Object.entries(faults).filter(([path]) => !/^(name|crew\[|shifts\[)/.test(path));
  return (
    <fieldset
      ref={form}
      disabled={!mayChange}
      className="m-0 grid min-w-0 gap-x-10 gap-y-6 border-0 p-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
      data-outage-setup
    >
      <WindowPart {...part} />
      <CrewPart {...part} />
      <ToolsPart {...part} />
      <IsolationPart {...part} />
      <Jobs
        draft={draft}
        onJobs={(jobs) =>
          set({
            jobs,
            bindings: draft.bindings.filter((b) =>
              [b.before, b.after].every((k) => jobs.some((j) => j.key === k)),
            ),
          })
        }
      />
      <Bindings
        draft={draft}
        shafts={known.shafts}
        setups={known.setups}
        onBindings={(bindings) => set({ bindings })}
      />
      {theirs && (
        <div className="border-2 border-brass p-3 lg:col-span-2" role="alert" data-theirs>
          <p className="m-0">{say(M.hasChangedOutageWhileBeing({ by: known.told.by }))}</p>
          <div className="mt-2 flex flex-wrap gap-3">
            <Button onClick={takeTheirs}>{say(M.takeTheirsLetMineGo)}</Button>
            <Button onClick={keepMine}>{say(M.goMine)}</Button>
          </div>
        </div>
      )}
      {mayChange && (
        <div className="flex flex-wrap items-center gap-4 lg:col-span-2">
          <Button weight="solid" disabled={theirs} onClick={() => void keep()} data-keep-outage>
            {say(COMMON.save)}
          </Button>
          {isChanged && <span className="text-brass">{say(M.changedHereNotKeptYet)}</span>}
          {rest.map(([path, said]) => (
            <Fault key={path}>
              <Words of={said} />
            </Fault>
          ))}
        </div>
      )}
    </fieldset>
  );
}
