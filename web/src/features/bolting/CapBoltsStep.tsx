import {
  type CapBoltValues,
  formatTorque,
  type Instrument,
  type JobState,
  parseTorque,
  type StepReport,
  sleeveOf,
} from '@fulcrant/core';
import { type FormEvent, useEffect, useState } from 'react';
import { useSay, useSettings } from '../../app/settings.tsx';
import { CapFigure } from '../../figures/CapFigure.tsx';
import { Button, Fault } from '../../ui/controls.tsx';
import { GaugePicker } from '../../ui/GaugePicker.tsx';

type Props = {
  state: JobState;
  report: StepReport;
  open: boolean;
  gauges: Instrument[];
  gauge: Instrument | null;
  onGauge: (id: string) => void;
  onTick: (pass: number, bolt: number, torqueNm: number, moved: boolean) => Promise<string | null>;
};

/** The pattern, pass by pass; one bolt at a time is ticked with the torque read off the wrench. */
export function CapBoltsStep({ state, report, open, gauges, gauge, onGauge, onTick }: Props) {
  const { unit } = useSettings();
  const say = useSay();
  const values = report.values as CapBoltValues;
  const next = values.next;
  const pass = next ? values.passes[next.pass] : null;
  const [text, setText] = useState('');
  const [moved, setMoved] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const place = next ? `${next.pass}/${next.bolt}` : 'done';
  // biome-ignore lint/correctness/useExhaustiveDependencies: each bolt begins with its own torque and no movement
  useEffect(() => {
    setText(next?.torqueNm ? formatTorque(next.torqueNm, unit) : '');
    setMoved(false);
    setFault(null);
  }, [place, unit]);

  const tick = async (event: FormEvent) => {
    event.preventDefault();
    if (!next) return;
    if (!gauge) return setFault('Say which wrench is in hand.');
    let torque = 0;
    if (next.torqueNm !== null) {
      const typed = parseTorque(text, unit);
      if (!typed.ok) return setFault(typed.message);
      // Text left as it was offered is the very torque wanted, not its rounding.
      torque = text === formatTorque(next.torqueNm, unit) ? next.torqueNm : typed.nm;
    }
    setFault(await onTick(next.pass, next.bolt, torque, moved));
  };

  return (
    <div className="flex flex-col gap-4">
      <CapFigure setup={sleeveOf(state)} values={values} />
      <ol className="m-0 flex list-none flex-wrap border-y border-rule p-0" aria-label="Passes">
        {values.passes.map((p, i) => {
          const done = p.order.filter((b) => values.ticks.some((t) => t.pass === i && t.bolt === b)).length;
          return (
            <li
              key={p.name}
              aria-current={next?.pass === i ? 'step' : undefined}
              className={`min-w-28 flex-1 border-l border-faint px-3 py-1.5 first:border-l-0 ${next?.pass === i ? 'bg-shade' : ''}`}
            >
              <span className="block font-label text-lg font-semibold">{p.name}</span>
              <span className="figures block text-sm">
                {p.torqueNm === null ? 'by hand' : formatTorque(p.torqueNm, unit)}
              </span>
              <span className="figures block text-sm text-muted">
                {done} of {p.order.length}
              </span>
            </li>
          );
        })}
      </ol>
      {open && next && pass && (
        <form
          onSubmit={(e) => void tick(e)}
          noValidate
          className="flex flex-wrap items-end gap-4"
          data-bolt={next.bolt}
          data-pass={next.pass}
        >
          <p className="m-0 w-40">
            <span className="kicker !text-brass">{pass.name}</span>
            <span className="block font-label text-3xl font-semibold">Bolt {next.bolt}</span>
          </p>
          {next.torqueNm !== null && (
            <label className="flex flex-col">
              <span className="kicker">Wrench at</span>
              <input
                value={text}
                onChange={(e) => setText(e.target.value)}
                inputMode="decimal"
                autoComplete="off"
                maxLength={20}
                aria-invalid={fault !== null}
                className="figures min-h-12 w-44 border-0 border-b-[3px] border-brass bg-transparent text-2xl"
              />
            </label>
          )}
          {pass.kind === 'round' && (
            <label className="flex min-h-12 items-center gap-2">
              <input
                type="checkbox"
                checked={moved}
                onChange={(e) => setMoved(e.target.checked)}
                className="size-6 accent-[var(--brass)]"
              />
              it still moved
            </label>
          )}
          <Button type="submit" weight="solid" autoFocus>
            {next.torqueNm === null ? 'Hand tight' : 'Tight'}
          </Button>
          <GaugePicker gauges={gauges} gauge={gauge} onGauge={onGauge} />
          {fault && (
            <div className="w-full">
              <Fault>{say(fault)}</Fault>
            </div>
          )}
        </form>
      )}
    </div>
  );
}
