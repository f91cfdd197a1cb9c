import { boltFigure } from '@fulcrant/core/figures';
import type { Instrument } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { type BoltValues, openIn } from '@fulcrant/core/steps';
import { formatTorque, parseAngle, parseTorque } from '@fulcrant/core/units';
import { type FormEvent, type ReactNode, type RefObject, useEffect, useRef, useState } from 'react';
import { GaugePicker } from '../../entry/GaugePicker.tsx';
import { DrawingView } from '../../figures/DrawingView.tsx';
import { takeCaret } from '../../ui/caret.ts';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { Extension } from './Extension.tsx';
import { M } from './messages.ts';
import { WrenchFeed } from './WrenchFeed.tsx';

export type Tick = {
  pass: number;
  bolt: number;
  torqueNm: number;
  moved: boolean;
  movedDeg?: number;
  asDone?: boolean;
};

type Props = {
  values: BoltValues;
  open: boolean;
  gauges: Instrument[];
  gauge: Instrument | null;
  /** The register is still on its way: no wrench is in hand yet, and none can be asked for. */
  coming: boolean;
  onGauge: (id: string) => Text | null;
  onTick: (tick: Tick) => Promise<Text | null>;
  /** Questions that come before the wrench, or after it. */
  questions: ReactNode;
  questionsFirst: boolean;
};

/** The pattern, pass by pass; one bolt at a time is ticked with the torque read off the wrench. */
export function BoltsStep({
  values,
  open,
  gauges,
  gauge,
  coming,
  onGauge,
  onTick,
  questions,
  questionsFirst,
}: Props) {
  const { unit } = useSettings();
  // Whoever types each torque goes on in the field; the others go on at the button.
  const typing = useRef(false);
  return (
    <div className="flex flex-col gap-4">
      {questionsFirst && questions}
      <DrawingView
        drawing={boltFigure({ values })}
        className="overflow-visible lg:[@media(max-height:790px)]:max-h-36!"
      />
      <Passes values={values} />
      {open && values.next && !coming && (
        // Each tick begins with its own torque, no movement, and the next bolt allowed.
        <TickForm
          key={`${values.next.pass}/${values.next.bolt}/${values.ticks.length} ${unit}`}
          values={values}
          gauges={gauges}
          gauge={gauge}
          onGauge={onGauge}
          onTick={onTick}
          typing={typing}
        />
      )}
      {!questionsFirst && questions}
    </div>
  );
}

/** The passes in a row: what each is, its torque, how many bolts of it are done. Of a seating loop the last rounds only. */
function Passes({ values }: { values: BoltValues }) {
  const say = useSay();
  const { unit } = useSettings();
  const from = Math.max(0, values.passes.length - 6);
  return (
    <ol className="m-0 flex list-none flex-wrap border-y border-rule p-0" aria-label={say(M.passes)}>
      {values.passes.map((p, i) => {
        if (i < from) return null;
        const done = p.order.filter((b) => values.ticks.some((t) => t.pass === i && t.bolt === b)).length;
        const round = values.settling[values.passes.slice(0, i).filter((x) => x.kind === 'round').length];
        return (
          <li
            key={textKey(p.name)}
            aria-current={values.next?.pass === i ? 'step' : undefined}
            className={`min-w-[6.5rem] flex-1 border-l border-faint px-3 py-1.5 first:border-l-0 ${values.next?.pass === i ? 'bg-shade' : ''}`}
          >
            <span className="block font-label text-lg font-semibold">
              <Words of={p.name} />
            </span>
            <span className="figures block text-sm">
              {p.torqueNm === null ? say(COMMON.hand) : formatTorque(p.torqueNm, unit)}
            </span>
            <span className="figures block text-sm text-muted">
              {p.kind === 'round' && round !== undefined
                ? say(M.moved({ round }))
                : say(COMMON.of({ done, count: p.order.length }))}
            </span>
          </li>
        );
      })}
    </ol>
  );
}

type FormProps = Pick<Props, 'gauges' | 'gauge' | 'onGauge' | 'onTick'> & {
  values: BoltValues;
  typing: RefObject<boolean>;
};

const caretTo = (form: HTMLFormElement | null, wanted: string) =>
  takeCaret(form?.querySelector<HTMLElement>(wanted) ?? null);

const ONE = { bolt: M.bolt, screw: M.screw, nut: COMMON.nut } as const;

function TickForm({ values, gauges, gauge, onGauge, onTick, typing }: FormProps) {
  const { unit } = useSettings();
  const say = useSay();
  const next = values.next;
  const pass = next ? values.passes[next.pass] : null;
  const seating = values.spec.seatingDeg !== undefined && !values.spec.seenMoving && pass?.kind === 'round';
  const [text, setText] = useState(next?.torqueNm ? formatTorque(next.torqueNm, unit) : '');
  const [turned, setTurned] = useState('');
  const [moved, setMoved] = useState(false);
  const [really, setReally] = useState<number | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const form = useRef<HTMLFormElement>(null);
  useEffect(
    () => caretTo(form.current, typing.current ? say(M.dataMovedDataWrench) : say(M.dataMovedDataTick)),
    [typing, say],
  );
  if (!next || !pass) return null;

  const tick = async (event: FormEvent) => {
    event.preventDefault();
    typing.current = document.activeElement?.hasAttribute('data-wrench') ?? false;
    if (!gauge)
      return setFault(
        next.torqueNm === null
          ? say(M.sayWhichWrenchHand)
          : say(M.noWrenchReaches({ torque: formatTorque(next.torqueNm, unit) })),
      );
    let torqueNm = 0;
    if (next.torqueNm !== null) {
      const typed = parseTorque(text, unit);
      if (!typed.ok) return setFault(typed.message);
      // Text left as it was offered is the very torque wanted, not its rounding.
      torqueNm = text === formatTorque(next.torqueNm, unit) ? next.torqueNm : typed.nm;
    }
    const angle = seating ? parseAngle(turned) : null;
    if (angle && !angle.ok) return setFault(say(M.typeHowFarMovedDegrees));
    setFault(
      await onTick({
        pass: next.pass,
        bolt: really ?? next.bolt,
        torqueNm,
        moved,
        ...(really === null ? {} : { asDone: true }),
        ...(angle?.ok ? { movedDeg: angle.deg } : {}),
      }),
    );
  };
  const field = 'figures min-h-12 border-0 border-b-[3px] border-brass bg-transparent text-2xl';
  return (
    <form
      ref={form}
      onSubmit={(e) => void tick(e)}
      noValidate
      className="flex flex-wrap items-end gap-x-4 gap-y-2"
      data-bolt={next.bolt}
      data-pass={next.pass}
    >
      <p className="m-0 w-32">
        <span className="kicker !text-brass">
          <Words of={pass.name} />
        </span>
        <span className="block font-label text-3xl font-semibold">
          {say(ONE[values.spec.one])}
          {values.spec.count > 1 ? ` ${really ?? next.bolt}` : ''}
        </span>
      </p>
      {next.torqueNm !== null && (
        <label className="flex flex-col">
          <span className="kicker pb-1.5">{say(M.wrench)}</span>
          <input
            value={text}
            onChange={(e) => setText(e.target.value)}
            inputMode="decimal"
            autoComplete="off"
            maxLength={20}
            aria-invalid={fault !== null}
            data-wrench
            className={`${field} w-44`}
          />
        </label>
      )}
      {seating && (
        <label className="flex flex-col">
          <span className="kicker pb-1.5">{say(M.movedDegrees)}</span>
          <input
            value={turned}
            onChange={(e) => setTurned(e.target.value)}
            inputMode="decimal"
            autoComplete="off"
            maxLength={12}
            data-moved
            className={`${field} w-32`}
          />
        </label>
      )}
      {pass.kind === 'round' && !seating && (
        <label className="flex min-h-12 items-center gap-2">
          <input
            type="checkbox"
            checked={moved}
            onChange={(e) => setMoved(e.target.checked)}
            className="size-6 accent-[var(--brass)]"
          />
          {say(M.stillMoved)}
        </label>
      )}
      <Button type="submit" weight="solid" data-tick>
        {next.torqueNm === null ? say(COMMON.handTight) : say(M.tight)}
      </Button>
      {openIn(values, next.pass).length > 1 && (
        <label className="flex min-h-12 items-center gap-2 text-sm text-muted">
          {say(M.anotherWentFirst)}
          <select
            value={really ?? ''}
            onChange={(e) => setReally(e.target.value === '' ? null : Number(e.target.value))}
            className="min-h-12 border-0 border-b-2 border-muted bg-paper text-lg text-ink"
            data-really
          >
            <option value="">–</option>
            {openIn(values, next.pass)
              .filter((b) => b !== next.bolt)
              .map((b) => (
                <option key={b}>{b}</option>
              ))}
          </select>
        </label>
      )}
      <GaugePicker gauges={gauges} gauge={gauge} onGauge={onGauge} />
      {fault && (
        <div className="w-full">
          <Fault>{say(fault)}</Fault>
        </div>
      )}
      {next.torqueNm !== null && (
        <div className="flex w-full flex-wrap items-center gap-x-6">
          <WrenchFeed wantedNm={next.torqueNm} onTake={(nm) => setText(formatTorque(nm, unit))} />
          <Extension torqueNm={next.torqueNm} gauge={gauge} />
        </div>
      )}
    </form>
  );
}
