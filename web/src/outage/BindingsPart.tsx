import { COMMON, sameText, type Text } from '@fulcrant/core/messages';
import { circleBy, type Outage, proposedBindings } from '@fulcrant/core/outage';
import { useState } from 'react';
import type { OutageKnown } from '../data/outages.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { Part } from './Part.tsx';
import { changed, without } from './part-props.ts';

/** Whether a person bound them; outages kept before texts had ids hold the words. */
const isByHand = (why: Text): boolean => sameText(why, COMMON.hand) || why === 'by hand';

/** Which job waits for which: proposed by shaft and trade, struck out or added by hand. */
export function Bindings({
  draft,
  shafts,
  setups,
  onBindings,
}: {
  draft: Outage;
  shafts: OutageKnown['shafts'];
  setups: OutageKnown['setups'];
  onBindings: (bindings: Outage['bindings']) => void;
}) {
  const say = useSay();
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [fault, setFault] = useState<Text | null>(null);
  const { bindings, jobs } = draft;
  const name = (key: string) => {
    const j = jobs.find((x) => x.key === key);
    return j ? `${j.machine}, ${j.position}` : key;
  };
  const options = jobs.map((j) => [j.key, `${name(j.key)} (${j.key})`] as const);
  const add = () => {
    if (!before || !after || before === after) return setFault(say(M.chooseTwoJobs));
    const binding = { before, after, why: COMMON.hand };
    const circle = circleBy(bindings, binding);
    if (circle) return setFault(circle);
    setFault(null);
    onBindings([...bindings.filter((b) => !(b.before === before && b.after === after)), binding]);
  };
  const strike = (i: number) => {
    const b = bindings[i];
    const circle = b?.off ? circleBy(without(bindings, i), { ...b, off: false }) : null;
    setFault(circle);
    if (b && !circle) onBindings(changed(bindings, i, { off: !b.off }));
  };
  return (
    <Part title={say(M.whatWaitsWhat({ count: bindings.filter((b) => !b.off).length }))}>
      <ul
        className="m-0 max-h-72 list-none overflow-y-auto p-0 [fieldset:disabled_&]:max-h-none [fieldset:disabled_&]:overflow-visible"
        aria-label={say(COMMON.links)}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must be able to reach it
        tabIndex={0}
      >
        {bindings.map((b, i) => (
          <li
            key={`${b.before} ${b.after}`}
            className={`flex items-center gap-3 border-b border-faint ${b.off ? 'text-muted line-through' : ''}`}
          >
            <span className="min-w-0 flex-1">
              {name(b.before)} → {name(b.after)}{' '}
              <span className="text-sm text-muted">
                <Words of={b.why} />
              </span>
            </span>
            <Button weight="bare" onClick={() => strike(i)}>
              {b.off ? say(COMMON.addLink) : say(M.strikeOut)}
            </Button>
          </li>
        ))}
      </ul>
      <Button
        weight="bare"
        onClick={() => {
          const struck = bindings.filter((b) => b.off || isByHand(b.why));
          onBindings([
            ...struck,
            ...proposedBindings(jobs, shafts, setups).filter(
              (p) => !struck.some((s) => s.before === p.before && s.after === p.after),
            ),
          ]);
        }}
      >
        {say(M.proposeThemFromShaftsTrades)}
      </Button>
      <div className="mt-1 grid items-end gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto]">
        <Choice label={say(M.first)} value={before} options={options} onChange={setBefore} />
        <Choice label={say(M.thenText)} value={after} options={options} onChange={setAfter} />
        <Button onClick={add}>{say(COMMON.addLink)}</Button>
      </div>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Part>
  );
}
