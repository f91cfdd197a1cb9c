import { answered, isSettled, type JobState, reportAt } from '@fulcrant/core/job';
import { BLADES_MM, type Shown } from '@fulcrant/practice';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useRef, useState } from 'react';
import type { AtHand } from '../job/JobPage.tsx';
import { Button } from '../ui/controls.tsx';
import { Digits } from '../ui/Num.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { type BenchHere, useBenchHere } from './at-bench.ts';
import { M } from './messages.ts';
import { feelIt, Tool } from './tools.tsx';
import { Wheel } from './Wheel.tsx';

/** How fine the figures of a gauge are, by its kind. */
const DECIMALS: Record<string, number> = {
  micrometer: 3,
  caliper: 2,
  thermometer: 1,
  pressure: 1,
  protractor: 0,
  counter: 0,
};
/** A wrench is pulled steadily for so long; let go before, it was a jerk. */
const PULL_MS = 600;

/** Where the shaft was left: the angle of the place the dial stood at last. */
const turnedTo = (at: string | undefined): number => Number(/\/(\d+(?:\.\d+)?)$/.exec(at ?? '')?.[1] ?? 330);

type OnAct = BenchHere['onAct'];

/** What lies at the bench for the step at hand: what is to be looked at, the tool for the place, what the hand moves. */
export function RigBench({ state, at }: { state: JobState; at: AtHand }) {
  const { rig, seen, looked, nutDeg, busy, onAct, onCall } = useBenchHere();
  const { step, entry, open } = at;
  const say = useSay();
  const place = open ? entry.place : null;
  const here = place && seen && !seen.written && seen.at === `${step.id} ${place.key}` ? seen.shown : null;
  const kind = place?.instrumentKinds[0];
  const bolt = open ? step.kind.due?.(reportAt(state, step.id)) : null;
  const items = open
    ? answered(state, step).filter((a) => !isSettled(a.answer, a.item) || looked[`${step.id}/${a.item.id}`])
    : [];
  const moves = place && rig.moves?.step === step.id ? rig.moves.by : undefined;
  return (
    <section aria-label={say(M.bench)} className="border border-brass px-3 py-2" data-rig={rig.id}>
      <p className="kicker m-0 text-brass">{say(M.practice({ name: rig.name }))}</p>
      {items.length > 0 && (
        <ul className="m-0 list-none p-0" aria-label={say(M.look)}>
          {items.map(({ item }) => {
            const text = looked[`${step.id}/${item.id}`];
            return (
              <li key={item.id} className="border-b border-faint py-1 text-[0.95rem] leading-snug">
                {text ? (
                  <p className="m-0" data-looked={item.id}>
                    <span className="text-muted">{say(item.ask)}</span> <Words of={text} />
                  </p>
                ) : (
                  <button
                    type="button"
                    disabled={busy}
                    onClick={() => void onAct({ do: 'look', step: step.id, item: item.id })}
                    className="min-h-12 w-full text-left text-steel underline underline-offset-4 decoration-1"
                    data-look={item.id}
                  >
                    {say(M.look2({ ask: item.ask }))}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {moves === 'nut' && <Nut nutDeg={nutDeg} busy={busy} rig={rig} at={at} onAct={onAct} />}
      {moves === 'pump' && (
        <p className="m-0 py-1">
          <Button disabled={busy} onClick={() => void onAct({ do: 'stroke' })} data-stroke-here>
            {say(M.strokePump)}
          </Button>
        </p>
      )}
      {moves && seen && ['nut', 'pump'].includes(seen.shown.kind) && <Tool shown={seen.shown} decimals={1} />}
      {place && kind && (
        <div className="pt-1" data-tool-at={place.key}>
          {here ? (
            <Tool shown={here} decimals={DECIMALS[kind] ?? 2} />
          ) : kind === 'dial' && place.turn ? (
            <Wheel
              key={place.key}
              from={turnedTo(seen?.at)}
              to={place.turn.angleDeg}
              busy={busy}
              onThere={() => void onAct({ do: 'at', step: step.id, key: place.key, kind })}
            />
          ) : (
            <Button
              disabled={busy}
              className="w-full"
              onClick={() => void onAct({ do: 'at', step: step.id, key: place.key, kind })}
              data-bring
            >
              {kind === 'dial' ? say(M.dial) : say(M.bring({ kind: kind === 'feeler' ? M.blades : kind }))}:{' '}
              {say(place.label)}
            </Button>
          )}
          {here && kind === 'feeler' && (
            <Blades busy={busy} squares={rig.moves?.by === 'nut'} onAct={onAct} />
          )}
          {here && kind === 'dial' && (
            <Button disabled={busy} className="w-full" onClick={() => void onAct({ do: 'tap' })} data-tap>
              {say(M.tapDial)}
            </Button>
          )}
          {here && (kind === 'micrometer' || kind === 'caliper') && (
            <Button disabled={busy} className="w-full" onClick={() => void onAct({ do: 'rock' })} data-rock>
              {say(M.rockOverCrest)}
            </Button>
          )}
        </div>
      )}
      {bolt && (bolt.torqueNm ?? 0) > 0 && (
        <Wrench busy={busy} bolt={bolt.bolt} shown={seen?.shown ?? null} onAct={onAct} />
      )}
      <p className="m-0 pt-2">
        <Button weight="solid" className="w-full" onClick={onCall} data-call>
          {say(M.whatDoYouMake)}
        </Button>
      </p>
    </section>
  );
}

/** Blades by their stamps, one pushed at a time. */
function Blades({ busy, squares, onAct }: { busy: boolean; squares: boolean; onAct: OnAct }) {
  const say = useSay();
  const [n, setN] = useState(4);
  const mm = BLADES_MM[n] ?? 0.1;
  const push = async () => {
    const shown = await onAct({ do: 'blade', mm });
    if (shown?.kind === 'feel') feelIt(shown.feel);
  };
  const step = 'grid min-h-12 w-12 place-items-center border border-ink disabled:text-muted';
  return (
    <div className="grid gap-2">
      <div className="flex items-center justify-between gap-2">
        <button
          type="button"
          aria-label={say(M.thinnerBlade)}
          className={step}
          disabled={n === 0}
          onClick={() => setN(n - 1)}
        >
          <ChevronLeft aria-hidden="true" />
        </button>
        <span className="text-2xl" data-blade-in-hand={mm}>
          <Digits text={`${mm.toFixed(2)} mm`} />
        </span>
        <button
          type="button"
          aria-label={say(M.thickerBlade)}
          className={step}
          disabled={n === BLADES_MM.length - 1}
          onClick={() => setN(n + 1)}
        >
          <ChevronRight aria-hidden="true" />
        </button>
      </div>
      <input
        type="range"
        aria-label={say(M.bladeHand)}
        aria-valuetext={say(M.millimetres({ mm: mm.toFixed(2) }))}
        min={0}
        max={BLADES_MM.length - 1}
        value={n}
        onChange={(e) => setN(Number(e.target.value))}
        onKeyDown={(e) => e.key === 'Enter' && void push()}
        className="h-11 w-full accent-[var(--brass)]"
      />
      <div className="flex flex-wrap gap-2">
        <Button disabled={busy} className="flex-1" onClick={() => void push()} data-push>
          {say(M.push)}
        </Button>
        {squares && (
          <Button disabled={busy} onClick={() => void onAct({ do: 'square' })} data-square>
            {say(M.squareRing)}
          </Button>
        )}
      </div>
    </div>
  );
}

/** The nut under the spanner: blows, and where it stands written as the place to feel. */
function Nut({
  nutDeg,
  busy,
  rig,
  at,
  onAct,
}: Pick<BenchHere, 'nutDeg' | 'busy' | 'rig' | 'onAct'> & { at: AtHand }) {
  const say = useSay();
  const { entry } = at;
  const key = entry.place ? (rig.keyAt?.(entry.place.key, nutDeg) ?? entry.place.key) : null;
  return (
    <p className="m-0 flex flex-wrap gap-2 py-1">
      <Button disabled={busy} onClick={() => void onAct({ do: 'blow' })} data-blow>
        {say(M.blowSpanner)}
      </Button>
      {key && key !== entry.place?.key && (
        <Button onClick={() => entry.choose(key)} data-feel-here>
          {say(M.feelHere({ nut: nutDeg }))}
        </Button>
      )}
    </p>
  );
}

/** The wrench: held until it clicks; let go too soon, or hit, it clicks early. */
function Wrench({
  busy,
  bolt,
  shown,
  onAct,
}: {
  busy: boolean;
  bolt: number;
  shown: Shown | null;
  onAct: OnAct;
}) {
  const say = useSay();
  const began = useRef(0);
  const [pulling, setPulling] = useState(false);
  const take = () => {
    if (began.current > 0) return;
    began.current = performance.now();
    setPulling(true);
  };
  const let_ = () => {
    if (began.current === 0) return;
    const jerk = performance.now() - began.current < PULL_MS;
    began.current = 0;
    setPulling(false);
    navigator.vibrate?.(jerk ? 15 : 40);
    void onAct({ do: 'pull', jerk });
  };
  return (
    <div className="grid gap-1 py-1">
      <button
        type="button"
        disabled={busy}
        onPointerDown={take}
        onPointerUp={let_}
        onPointerLeave={let_}
        onKeyDown={(e) => {
          if (e.key !== ' ' && e.key !== 'Enter') return;
          e.preventDefault();
          take();
        }}
        onKeyUp={(e) => (e.key === ' ' || e.key === 'Enter') && let_()}
        className="relative min-h-14 touch-none select-none overflow-hidden border border-ink px-3 text-left font-label text-lg font-semibold"
        data-pull={bolt}
      >
        <span
          aria-hidden="true"
          className="absolute inset-y-0 left-0 bg-shade ease-linear"
          style={{
            width: pulling ? '100%' : '0%',
            transitionProperty: 'width',
            transitionDuration: pulling ? `${PULL_MS}ms` : '0ms',
          }}
        />
        <span className="relative">{say(M.boltHoldPullUntilClicks({ bolt }))}</span>
      </button>
      {shown?.kind === 'click' && <Tool shown={shown} decimals={0} />}
    </div>
  );
}
