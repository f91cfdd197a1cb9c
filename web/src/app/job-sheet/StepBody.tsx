import {
  type DriveUpStepValues,
  type JobState,
  type PartsOrderValues,
  parseAngle,
  type StepDefinition,
  type StepReport,
} from '@fulcrant/core';
import { type FormEvent, useState } from 'react';
import { FixedFirst } from '../../features/bearings/FixedFirst.tsx';
import { StepBeam, StepItem, TargetNumbers } from '../../features/bearings/steps.tsx';
import { BoltsStep } from '../../features/bolting/BoltsStep.tsx';
import { cutFigure } from '../../features/boxes/box-figure-of.tsx';
import { PartsOrder } from '../../features/boxes/PartsOrder.tsx';
import { LimitsInForce } from '../../features/condition/LimitsInForce.tsx';
import { SweepPanel } from '../../features/condition/SweepPanel.tsx';
import { VerdictStep } from '../../features/condition/VerdictStep.tsx';
import { GateStep } from '../../features/gate/GateStep.tsx';
import { SignStep } from '../../features/sheet/SignStep.tsx';
import { Button, Fault } from '../../ui/controls.tsx';
import { DueTimer } from '../../ui/DueTimer.tsx';
import { useGauge } from '../../ui/gauge-choice.ts';
import { ReadingEntry } from '../../ui/ReadingEntry.tsx';
import { Whole } from '../../ui/Whole.tsx';
import type { JobView } from '../job.ts';
import { useSay } from '../settings.tsx';
import { figureFor } from './figure-for.tsx';
import type { Entry } from './use-entry.ts';

type Props = {
  job: JobView;
  state: JobState;
  step: StepDefinition;
  report: StepReport;
  shown: StepReport;
  entry: Entry;
  open: boolean;
  say(fault: string | null): void;
  onLook(step: string): void;
};

/** Any angle of the turn, where a keyway or a hole stands in the way of an even one. */
function AngleChoice({ onAngle }: { onAngle: (deg: number) => string | null }) {
  const [text, setText] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const say = useSay();
  if (text === null)
    return (
      <Button weight="bare" className="!px-0 !text-base" onClick={() => setText('')}>
        Another angle
      </Button>
    );
  const go = (e: FormEvent) => {
    e.preventDefault();
    const angle = parseAngle(text);
    const refused = angle.ok ? onAngle(angle.deg) : angle.message;
    setFault(refused);
    if (!refused) setText(null);
  };
  return (
    <form onSubmit={go} noValidate className="flex flex-wrap items-center gap-2">
      <label className="flex items-center gap-2">
        at
        <input
          // biome-ignore lint/a11y/noAutofocus: it was just asked for
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          inputMode="decimal"
          maxLength={8}
          aria-label="Angle of the turn, degrees"
          className="figures min-h-12 w-24 border-0 border-b-2 border-brass bg-transparent text-xl"
        />
        °
      </label>
      <Button type="submit">Read there</Button>
      {fault && <Fault>{say(fault)}</Fault>}
    </form>
  );
}

const WRENCHES = ['wrench'] as const;
/** Steps whose numbers are not judged on a beam: the field stands where the beam would. */
const BEAMLESS = new Set([
  'zero',
  'float',
  'race',
  'clamps',
  'axial',
  'seated',
  'nutback',
  'letgo',
  'strokes',
  'watch',
  'runin',
  'setting',
  'angles',
  'ports',
  'splitgaps',
  'baseline',
  'throttle',
  'gas',
  'proof',
  'rings',
  'breakin',
  'wear',
  'preload',
]);
/** Steps that only show what was worked out, and ask for nothing to be read. */
const TOLD = ['target', 'match', 'grease', 'plan'];
/** Places whose angle can be dragged on the figure. */
const DRAGGED = new Set(['angles', 'ports', 'rings']);

/** The middle of the sheet for a step: figure above; beam and the one field below. */
export function StepBody(props: Props) {
  const { job, state, step, report, open, say, onLook } = props;
  const wrench = useGauge(WRENCHES);
  const answer = (item: string, a: 'yes' | 'no', note?: string) =>
    void job.act('gate.answered', { step: step.id, item, answer: a, ...(note ? { note } : {}) }).then(say);

  if (step.kind.bolt)
    return (
      <BoltsStep
        report={report}
        open={open}
        gauges={wrench.gauges}
        gauge={wrench.gauge}
        onGauge={wrench.choose}
        questionsFirst={step.itemsFirst === true}
        questions={step.items ? <GateStep state={state} step={step} open={open} onAnswer={answer} /> : null}
        onTick={async (tick) =>
          wrench.gauge
            ? job.act('bolt.tightened', { step: step.id, ...tick, instrument: wrench.gauge })
            : 'Say which wrench is in hand.'
        }
      />
    );
  if (step.id === 'fixedfirst')
    return (
      <FixedFirst
        state={state}
        report={report}
        open={open}
        onName={(named) => job.act('fixed.named', named)}
      />
    );
  if (step.id === 'order')
    return (
      <PartsOrder
        values={report.values as PartsOrderValues}
        open={open}
        onLay={(order) => answer('order', 'yes', order.join(' '))}
      />
    );
  if (step.id === 'cut')
    return (
      <div className="flex flex-col gap-4">
        {cutFigure(state)}
        <GateStep state={state} step={step} open={open} onAnswer={answer} />
      </div>
    );
  if (step.items && !step.kind.place && !TOLD.includes(step.id))
    return <GateStep state={state} step={step} open={open} onAnswer={answer} />;
  if (step.id === 'verdict') return <VerdictStep report={report} onLook={onLook} />;
  if (step.id === 'sign')
    return <SignStep state={state} open={open} onSign={(name) => job.act('sheet.signed', { name })} />;
  return <Measured {...props} answer={answer} />;
}

/** A step that shows a figure and, where it reads, the one field. */
function Measured(props: Props & { answer: (item: string, a: 'yes' | 'no') => void }) {
  const { job, state, step, report, shown, entry, open, answer } = props;
  const [pad, setPad] = useState(() => matchMedia('(pointer: coarse)').matches);
  const [padSlot, setPadSlot] = useState<HTMLElement | null>(null);
  const [turned, setTurned] = useState<{ text: string; n: number } | null>(null);
  const items =
    step.id === 'bench' && state.attempt === 1 ? [] : (step.kind.asks?.(state, step) ?? step.items ?? []);
  const questions =
    open &&
    items.map((i) => (
      <StepItem
        key={i.id}
        state={state}
        step={step.id}
        item={i.id}
        ask={i.ask}
        onAnswer={(a) => answer(i.id, a)}
      />
    ));
  const turn = report.freeAngle;
  const told = TOLD.includes(step.id);
  const beamless = BEAMLESS.has(step.id);
  const { dueAt } = (report.values ?? {}) as { dueAt?: string | null };
  const over = step.id === 'driveup' && (report.values as DriveUpStepValues | null)?.place === 'over-driven';
  const figure = figureFor({
    state,
    step: step.id,
    report,
    shown,
    place: open ? (entry.sweptTo ?? entry.place) : null,
    typed: open ? entry.typed : null,
    onTurn:
      open && DRAGGED.has(step.id) && entry.place
        ? (deg) => setTurned((t) => ({ text: String(deg), n: (t?.n ?? 0) + 1 }))
        : undefined,
  });
  return (
    <div className="flex flex-1 flex-col gap-3">
      {/* With the keys out, the figure makes room so that both stay in view on a tablet lying flat. */}
      <div
        className={open && entry.place ? (pad ? 'lg:[&_svg]:max-h-48' : 'lg:[&_svg]:max-h-[16.25rem]') : ''}
      >
        <Whole what="The figure" again={report}>
          {figure}
        </Whole>
      </div>
      <div className="grid gap-x-7 gap-y-4 border-t border-faint pt-3 md:grid-cols-[minmax(0,0.86fr)_minmax(0,1fr)]">
        <div className={`flex flex-col gap-3 ${told ? 'md:col-span-2' : ''}`}>
          {step.id === 'target' ? (
            <TargetNumbers report={report} />
          ) : (
            <StepBeam beams={shown.beams} hollow={open && entry.typed !== null} />
          )}
          {shown.beams.length === 0 && !told && !beamless && (
            <p className="text-muted">The beam is laid with the first full reading.</p>
          )}
          {beamless && questions}
          <LimitsInForce
            state={state}
            step={step.id}
            open={open}
            onSetup={(setup, reason) => job.act('setup.changed', { setup, reason })}
          />
          <div ref={setPadSlot} />
        </div>
        <div
          className={`flex flex-col gap-3 ${told ? 'md:col-span-2' : ''} ${beamless ? 'md:order-first' : ''}`}
        >
          {step.itemsFirst && questions}
          {open && !over && entry.choices.length > 0 && (
            <fieldset className="m-0 flex flex-wrap gap-1.5 border-0 p-0">
              <legend className="sr-only">What is read next</legend>
              {entry.choices.map((c) => (
                <button
                  key={c.key}
                  type="button"
                  aria-pressed={entry.place?.key === c.key}
                  onClick={() => entry.choose(c.key)}
                  className="min-h-12 border border-muted px-2.5 font-label text-base font-medium aria-pressed:border-2 aria-pressed:border-brass aria-pressed:font-semibold"
                >
                  {c.label}
                </button>
              ))}
            </fieldset>
          )}
          {open && dueAt && <DueTimer at={dueAt} />}
          {open && entry.place && !over && !entry.gauge.coming && (
            <ReadingEntry
              draftKey={state.jobId}
              place={entry.place}
              gauges={entry.gauge.gauges}
              gauge={entry.gauge.gauge}
              onGauge={entry.gauge.choose}
              storeLabel="Store"
              onPreview={entry.type}
              refusal={entry.refusal}
              onStore={entry.store}
              pad={pad}
              padSlot={padSlot}
              onPad={setPad}
              fill={turned}
            >
              {entry.chooseAngle && <AngleChoice onAngle={entry.chooseAngle} />}
              {turn && entry.place.turn && entry.gauge.gauge && (
                <SweepPanel
                  key={turn}
                  step={step.id}
                  prefix={turn}
                  wanted={(report.values as { wanted?: number } | null)?.wanted ?? 8}
                  place={entry.place}
                  gauge={entry.gauge.gauge}
                  onSuppose={entry.suppose}
                  actAll={job.actAll}
                  state={state}
                />
              )}
            </ReadingEntry>
          )}
          {!step.itemsFirst && !beamless && questions}
        </div>
      </div>
    </div>
  );
}
