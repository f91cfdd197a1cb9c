import type { Text } from '@fulcrant/core/messages';
import { circleBy, type Outage, proposedBindings } from '@fulcrant/core/outage';
import { useState } from 'react';
import type { OutageKnown } from '../data/outages.ts';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';
import { Part } from './Part.tsx';
import { changed, without } from './part-props.ts';

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
    if (!before || !after || before === after) return setFault('Choose two jobs.');
    const binding = { before, after, why: 'by hand' };
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
    <Part title={`What waits for what: ${bindings.filter((b) => !b.off).length}`}>
      <ul
        className="m-0 max-h-72 list-none overflow-y-auto p-0 [fieldset:disabled_&]:max-h-none [fieldset:disabled_&]:overflow-visible"
        aria-label="Bindings"
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
              {b.off ? 'Bind again' : 'Strike out'}
            </Button>
          </li>
        ))}
      </ul>
      <Button
        weight="bare"
        onClick={() => {
          const struck = bindings.filter((b) => b.off || b.why === 'by hand');
          onBindings([
            ...struck,
            ...proposedBindings(jobs, shafts, setups).filter(
              (p) => !struck.some((s) => s.before === p.before && s.after === p.after),
            ),
          ]);
        }}
      >
        Propose them from shafts and trades
      </Button>
      <div className="mt-1 grid items-end gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto]">
        <Choice label="First" value={before} options={options} onChange={setBefore} />
        <Choice label="Then" value={after} options={options} onChange={setAfter} />
        <Button onClick={add}>Bind</Button>
      </div>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </Part>
  );
}
