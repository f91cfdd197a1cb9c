import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type BoltValues, eachIsJudged, openIn } from '@fulcrant/core/steps';
import { formatTorque, parseAngle } from '@fulcrant/core/units';
import { type FormEvent, type RefObject, useEffect, useRef, useState } from 'react';
import { GaugePicker } from '../../entry/GaugePicker.tsx';
import type { GaugeChoice } from '../../entry/gauge-choice.ts';
import { byHand } from '../../entry/unlisted-gauges.ts';
import { takeCaret } from '../../ui/caret.ts';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, useSettings, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';
import type { Tick } from './told.ts';
import { LINE, WrenchField, WrenchHelp } from './WrenchField.tsx';
import { useWrenchAt } from './wrench-at.ts';

const ONE = { bolt: M.bolt, screw: M.screw, nut: COMMON.nut } as const;

/** One bolt with the torque read off the wrench; another order is told as it really went. */
export function TickForm({
  values,
  choice,
  first,
  onTick,
  typing,
  onWhole,
}: {
  values: BoltValues;
  choice: GaugeChoice;
  /** The one that really went first, where it was touched on the drawing. */
  first: number | null;
  onTick: (tick: Tick) => Promise<Text | null>;
  typing: RefObject<boolean>;
  /** Back to a pass by one touch; null where each is told by itself. */
  onWhole: (() => void) | null;
}) {
  const { unit } = useSettings();
  const say = useSay();
  const next = values.next;
  const pass = next ? values.passes[next.pass] : null;
  const seating = eachIsJudged(values);
  const at = useWrenchAt(next?.torqueNm ?? null);
  const [turned, setTurned] = useState('');
  const [moved, setMoved] = useState(false);
  const [really, setReally] = useState<number | null>(
    next && first !== null && first !== next.bolt && openIn(values, next.pass).includes(first) ? first : null,
  );
  const [fault, setFault] = useState<Text | null>(null);
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    const wanted = `[data-moved], ${typing.current ? '[data-wrench]' : '[data-tick]'}`;
    takeCaret(form.current?.querySelector<HTMLElement>(wanted) ?? null);
  }, [typing]);
  if (!next || !pass) return null;
  const open = openIn(values, next.pass);

  const tick = async (event: FormEvent) => {
    event.preventDefault();
    typing.current = document.activeElement?.hasAttribute('data-wrench') ?? false;
    const torque = at.read();
    if ('message' in torque) return setFault(torque.message);
    const instrument = next.torqueNm === null ? byHand(say) : choice.gauge;
    if (!instrument)
      return setFault(say(M.noWrenchReaches({ torque: formatTorque(next.torqueNm ?? 0, unit) })));
    const angle = seating ? parseAngle(turned) : null;
    if (angle && !angle.ok) return setFault(say(M.typeHowFarMovedDegrees));
    setFault(
      await onTick({
        pass: next.pass,
        bolt: really ?? next.bolt,
        torqueNm: torque.nm,
        moved,
        instrument,
        ...(really === null ? {} : { asDone: true }),
        ...(angle?.ok ? { movedDeg: angle.deg } : {}),
      }),
    );
  };
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
      {next.torqueNm !== null && <WrenchField text={at.text} onText={at.setText} invalid={fault !== null} />}
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
            className={`${LINE} w-32`}
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
      {open.length > 1 && (
        <label className="flex min-h-12 items-center gap-2 text-sm text-muted">
          {say(M.anotherWentFirst)}
          <select
            value={really ?? ''}
            onChange={(e) => setReally(e.target.value === '' ? null : Number(e.target.value))}
            className="min-w-12 min-h-12 border-0 border-b-2 border-muted bg-paper text-lg text-ink"
            data-really
          >
            <option value="">–</option>
            {open
              .filter((b) => b !== next.bolt)
              .map((b) => (
                <option key={b}>{b}</option>
              ))}
          </select>
        </label>
      )}
      {onWhole && (
        <Button weight="bare" className="!text-base" onClick={onWhole} data-whole>
          {say(M.wholePass)}
        </Button>
      )}
      {next.torqueNm !== null && <GaugePicker choice={choice} />}
      {fault && (
        <div className="w-full">
          <Fault>{say(fault)}</Fault>
        </div>
      )}
      {next.torqueNm !== null && (
        <WrenchHelp
          torqueNm={next.torqueNm}
          gauge={choice.gauge}
          onTake={(nm) => at.setText(formatTorque(nm, unit))}
        />
      )}
    </form>
  );
}
