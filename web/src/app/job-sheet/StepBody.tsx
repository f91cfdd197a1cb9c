import type { DriveUpStepValues, JobState, ShaftValues, StepDefinition, StepReport } from '@fulcrant/core';
import { useState } from 'react';
import {
  BenchFigure,
  DriveUpFigure,
  LockFigure,
  StepBeam,
  StepItem,
  TargetFigure,
  TargetNumbers,
} from '../../features/bearings/steps.tsx';
import { CapBoltsStep } from '../../features/bolting/CapBoltsStep.tsx';
import { GateStep } from '../../features/gate/GateStep.tsx';
import { SignStep } from '../../features/sheet/SignStep.tsx';
import { ShaftFigure } from '../../figures/ShaftFigure.tsx';
import { useGauge } from '../../ui/gauge-choice.ts';
import { ReadingEntry } from '../../ui/ReadingEntry.tsx';
import type { JobView } from '../job.ts';
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
};

function Figure({ state, step, report, shown, entry, open }: Props) {
  const place = open ? entry.place?.key : undefined;
  const typed = open ? entry.typed : null;
  switch (step.id) {
    case 'shaft': {
      const m = /^s(\d+)\/([\d.]+)$/.exec(place ?? '');
      return (
        <ShaftFigure
          values={shown.values as ShaftValues}
          nominalMm={state.setup.shaftMm}
          active={m ? { station: Number(m[1]) - 1, angleDeg: Number(m[2]) } : null}
        />
      );
    }
    case 'bench':
      return <BenchFigure state={state} report={report} place={place} typed={typed} />;
    case 'target':
      return <TargetFigure state={state} report={report} />;
    case 'driveup':
      return <DriveUpFigure state={state} report={report} place={place} typed={typed} />;
    case 'lock':
      return <LockFigure state={state} report={report} place={place} typed={typed} />;
    default:
      return null;
  }
}

/** The middle of the sheet for a step: figure above; beam and the one field below. */
export function StepBody(props: Props) {
  const { job, state, step, report, shown, entry, open, say } = props;
  const wrench = useGauge('wrench');
  const [pad, setPad] = useState(() => matchMedia('(pointer: coarse)').matches);
  const [padSlot, setPadSlot] = useState<HTMLElement | null>(null);
  const answer = (item: string, a: 'yes' | 'no') =>
    void job.act('gate.answered', { step: step.id, item, answer: a }).then(say);

  if (step.id === 'safe' || step.id === 'handturn')
    return <GateStep state={state} step={step} open={open} onAnswer={answer} />;
  if (step.id === 'bolts') {
    return (
      <CapBoltsStep
        state={state}
        report={report}
        open={open}
        gauges={wrench.gauges}
        gauge={wrench.gauge}
        onGauge={wrench.choose}
        onTick={async (pass, bolt, torqueNm, moved) =>
          wrench.gauge
            ? job.act('bolt.tightened', { pass, bolt, torqueNm, moved, instrument: wrench.gauge })
            : 'Say which wrench is in hand.'
        }
      />
    );
  }
  if (step.id === 'sign')
    return <SignStep state={state} open={open} onSign={(name) => job.act('sheet.signed', { name })} />;

  const items = step.id === 'bench' && state.attempt === 1 ? [] : (step.items ?? []);
  const over = step.id === 'driveup' && (report.values as DriveUpStepValues | null)?.place === 'over-driven';
  return (
    <div className="flex flex-1 flex-col gap-3">
      {/* With the keys out, the figure makes room so that both stay in view on a tablet lying flat. */}
      <div className={pad && open && entry.place ? 'lg:[&_svg]:max-h-48' : ''}>
        <Figure {...props} />
      </div>
      <div className="grid gap-x-8 gap-y-4 border-t border-faint pt-3 md:grid-cols-2">
        <div className={`flex flex-col gap-3 ${step.id === 'target' ? 'md:col-span-2' : ''}`}>
          {step.id === 'target' ? (
            <TargetNumbers report={report} />
          ) : (
            <StepBeam beams={shown.beams} hollow={open && entry.typed !== null} />
          )}
          {shown.beams.length === 0 && step.id !== 'target' && (
            <p className="text-muted">The beam is laid with the first full reading.</p>
          )}
          <div ref={setPadSlot} />
        </div>
        <div className="flex flex-col gap-3">
          {open && !over && entry.choices.length > 1 && (
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
          {open && entry.place && !over && (
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
            />
          )}
          {open &&
            items.map((i) => (
              <StepItem
                key={i.id}
                state={state}
                step={step.id}
                item={i.id}
                ask={i.ask}
                onAnswer={(a) => answer(i.id, a)}
              />
            ))}
        </div>
      </div>
    </div>
  );
}
