import type { Rig } from '@fulcrant/core/job';
import { type JobEvent, stepOf } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, expr } from '@fulcrant/core/messages';
import type { Action, Attempt, Debrief } from '@fulcrant/practice';
import { useState } from 'react';
import { Button } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

type Line = { key: string; said: Text; truth: Text | null; written: boolean };

const HANDLED: Record<Action['do'], (a: Action) => Text> = {
  look: () => M.looked,
  at: (a) => (a.do === 'at' ? M.brought({ kind: a.kind === 'feeler' ? M.blades : a.kind, key: a.key }) : ''),
  blade: (a) => (a.do === 'blade' ? M.bladePushed({ mm: a.mm.toFixed(2) }) : ''),
  square: () => M.ringSquared,
  tap: () => M.dialTapped,
  rock: () => M.gaugeRocked,
  blow: () => M.blowSpanner,
  stroke: () => M.strokePump,
  off: () => M.takenOffAgain,
  pull: (a) => (a.do === 'pull' && a.jerk ? M.pullWrenchJerked : M.pullWrench),
};

/** What was done, line by line: handled at the bench, and written on the sheet. */
function linesOf(
  rig: Rig,
  { events, log }: Attempt,
  debrief: Debrief,
  title: (step: string) => Text,
): Line[] {
  const step = (id: string) => stepOf({ setup: rig.setup }, id);
  const beside = [...debrief.beside];
  const written = (e: JobEvent): Omit<Line, 'key'> | null => {
    switch (e.type) {
      case 'gate.answered': {
        const item = step(e.data.step)?.items?.find((i) => i.id === e.data.item);
        const bad = debrief.faults.find((f) => f.seen?.step === e.data.step && f.seen.item === e.data.item);
        return {
          said: expr`${title(e.data.step)}: ${e.data.answer}. ${item?.ask ?? ''}`,
          truth: bad ? bad.name : null,
          written: true,
        };
      }
      case 'reading.taken': {
        const at = beside.findIndex((b) => b.step === e.data.step && b.place === e.data.place);
        const b = at < 0 ? undefined : beside.splice(at, 1)[0];
        return {
          said: expr`${title(e.data.step)}, ${e.data.place}: ${e.data.raw}`,
          truth: b ? M.truly({ truth: b.truth.toFixed(3) }) : null,
          written: true,
        };
      }
      case 'bolt.tightened':
        return {
          said: M.boltOf({ title: title(e.data.step), bolt: e.data.bolt }),
          truth: null,
          written: true,
        };
      case 'step.passed':
        return { said: M.passedOf({ title: title(e.data.step) }), truth: null, written: true };
      case 'reading.withdrawn':
        return { said: M.withdrawn({ reason: e.data.reason }), truth: null, written: true };
      default:
        return null;
    }
  };
  const out: Line[] = [];
  let next = 0;
  for (const [i, e] of events.entries()) {
    for (let l = log[next]; l && l.after <= i; l = log[++next])
      out.push({ key: `h${next}`, said: HANDLED[l.action.do](l.action), truth: null, written: false });
    const line = written(e);
    if (line) out.push({ key: e.id, ...line });
  }
  for (; next < log.length; next++) {
    const l = log[next];
    if (l) out.push({ key: `h${next}`, said: HANDLED[l.action.do](l.action), truth: null, written: false });
  }
  return out;
}

/** The whole of it once more, act by act, the truth shown or hidden. */
export function Replay({
  rig,
  attempt,
  debrief,
  title,
}: {
  rig: Rig;
  attempt: Attempt;
  debrief: Debrief;
  title: (step: string) => Text;
}) {
  const say = useSay();
  const [at, setAt] = useState<number | null>(null);
  const [truth, setTruth] = useState(true);
  const lines = linesOf(rig, attempt, debrief, title);
  const last = lines.length - 1;
  if (at === null)
    return (
      <p className="pt-6 no-print">
        <Button onClick={() => setAt(0)}>{say(M.goThroughOnceMore)}</Button>
      </p>
    );
  const from = Math.max(0, at - 5);
  return (
    <section aria-label={say(M.onceMore)} className="pt-6 no-print" data-replay={at}>
      <h2 className="kicker m-0 border-b border-rule pb-1">
        {say(M.onceMore2({ at: at + 1, count: lines.length }))}
      </h2>
      <ol className="m-0 list-none p-0" aria-live="polite">
        {lines.slice(from, at + 1).map((l, i) => (
          <li
            key={l.key}
            className={`flex gap-4 border-b border-faint py-1.5 ${from + i === at ? 'font-medium' : 'text-muted'}`}
          >
            <span className="w-20 shrink-0 font-label">{l.written ? say(M.written) : say(M.handled)}</span>
            <span className="min-w-0 flex-1">{say(l.said)}</span>
            {truth && l.truth && (
              <span className="text-brass">
                <Words of={l.truth} />
              </span>
            )}
          </li>
        ))}
      </ol>
      <input
        type="range"
        aria-label={say(M.whichAct)}
        min={0}
        max={last}
        value={at}
        onChange={(e) => setAt(Number(e.target.value))}
        className="h-11 w-full accent-[var(--brass)]"
      />
      <p className="m-0 flex flex-wrap gap-3">
        <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
          {say(COMMON.back)}
        </Button>
        <Button disabled={at === last} onClick={() => setAt(at + 1)}>
          {say(M.on)}
        </Button>
        <Button aria-pressed={truth} onClick={() => setTruth(!truth)}>
          {truth ? say(M.hideTruth) : say(M.showTruth)}
        </Button>
      </p>
    </section>
  );
}
