import type { Instrument } from '@fulcrant/core/instruments';
import { comesBefore, type JobState, mayLack, type StepDefinition, standing } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import { AngleChoice } from '../entry/AngleChoice.tsx';
import { HandOffer } from '../entry/HandOffer.tsx';
import { LimitsInForce } from '../entry/LimitsInForce.tsx';
import { ReadingEntry } from '../entry/ReadingEntry.tsx';
import { SweepPanel } from '../entry/SweepPanel.tsx';
import type { Entry } from '../entry/use-entry.ts';
import { MendProvider } from '../figures/mend.tsx';
import { GateStep } from '../steps/GateStep.tsx';
import { StepItem } from '../steps/StepItem.tsx';
import type { StepView, ViewInput } from '../steps/view.tsx';
import { viewOf } from '../trades/registry.ts';
import { Beam } from '../ui/Beam.tsx';
import { DueTimer } from '../ui/DueTimer.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { Whole } from '../ui/Whole.tsx';
import { AskedHere } from './AskedHere.tsx';
import { M } from './messages.ts';

/** What the sheet hands the middle: what its views are drawn from, and the reading being taken. */
export type BodyInput = Omit<ViewInput, 'place' | 'typed' | 'onTurn'> & {
  entry: Entry;
  /** Take back what was read at a place of this step, with a reason; null where nothing may be. */
  onMend: ((place: string) => void) | null;
};

/** The middle of the sheet for a step: its own, or its questions, or a figure above, beam and the one field below. */
export function StepBody(props: BodyInput) {
  const say = useSay();
  const { step, entry, open } = props;
  const view = viewOf(step.kind.name);
  const asks = props.report.asks;
  if (asks)
    return (
      <AskedHere
        key={step.id}
        state={props.state}
        asks={asks}
        open={open}
        lacks={step.kind.bolt ? mayLack(step) : []}
        onLacking={(why, reason) => props.job.act('number.lacking', { step: step.id, why, reason })}
        onSay={(setup) => props.job.act('setup.changed', { setup, reason: say(M.saidStepNeeds) })}
      />
    );
  const input = { ...props, place: open ? entry.place : null, typed: open ? entry.typed : null };
  if (view?.body) return view.body(input);
  if (!view) return <GateStep {...props} also={props.report.also} />;
  return <Measured {...props} view={view} />;
}

/** A step that shows a figure and, where it reads, the one field. */
function Measured({ view, entry, onMend, ...props }: BodyInput & { view: StepView }) {
  const say = useSay();
  const { state, step, report, shown, open, job, onAnswer } = props;
  const [pad, setPad] = useState(() => matchMedia('(pointer: coarse)').matches);
  const [padSlot, setPadSlot] = useState<HTMLElement | null>(null);
  const [turned, setTurned] = useState<{ text: string; n: number } | null>(null);
  const { place, gauge } = entry;
  const told = view.layout === 'told';
  const fieldFirst = view.layout === 'field';
  const stopped = view.stopped(report);
  const reads = open && place !== null && !stopped;
  const input: ViewInput = {
    ...props,
    place: open ? (entry.sweptTo ?? place) : null,
    typed: open ? entry.typed : null,
    onTurn:
      open && view.turned && place
        ? (deg) => setTurned((t) => ({ text: String(deg), n: (t?.n ?? 0) + 1 }))
        : undefined,
  };
  const stands = state.steps.find((s) => s.id === step.id);
  const questions =
    open &&
    [...(report.also ?? []), ...(step.kind.asks?.(state, step) ?? step.items ?? [])]
      .filter((i) => !comesBefore(stands, i))
      .map((i) => <StepItem key={i.id} state={state} step={step} item={i} onAnswer={onAnswer} />);
  const beam = shown.beams[0];
  // Nothing beside it: the field takes the whole width.
  const alone = fieldFirst && !beam && !view.told && !(questions && questions.length > 0);
  return (
    <div className="flex flex-1 flex-col gap-3">
      {/* What is being read has its field and keys in view; the figure takes what is left. */}
      <div className={open && place ? ROOM[pad ? 'keys' : 'field'] : ''}>
        <Whole what={say(M.figure)} again={report}>
          <MendProvider value={onMend}>{view.figure(input)}</MendProvider>
        </Whole>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-3 border-t border-faint pt-2 md:grid-cols-2">
        <div
          className={`flex flex-col gap-2 ${told || alone ? 'md:col-span-2' : ''} ${alone ? 'md:max-w-xl' : ''} ${reads ? '' : 'max-md:order-last'}`}
        >
          {step.itemsFirst && questions}
          {open && !stopped && <Choices entry={entry} />}
          {open && !job.practice && <HandOffer state={state} step={step} report={report} />}
          {open && report.dueAt && <DueTimer at={report.dueAt} />}
          {reads && !gauge.coming && (
            <ReadingEntry
              draftKey={state.jobId}
              place={place}
              choice={gauge}
              storeLabel={say(COMMON.store)}
              onPreview={entry.type}
              refusal={entry.refusal}
              onStore={entry.store}
              earlier={report.dueAt === undefined ? undefined : entry.earlier}
              onEarlier={entry.setEarlier}
              pad={pad}
              padSlot={padSlot}
              onPad={setPad}
              fill={turned}
              lastMm={lastRead(state, step, gauge.gauge?.kind)}
            >
              {entry.chooseAngle && <AngleChoice onAngle={entry.chooseAngle} />}
              {report.turn && place.turn && gauge.gauge && (
                <SweepPanel
                  key={report.turn.prefix}
                  step={step.id}
                  prefix={report.turn.prefix}
                  wanted={report.turn.wanted}
                  place={place}
                  gauge={gauge.gauge}
                  onSuppose={entry.suppose}
                  actAll={job.actAll}
                  state={state}
                />
              )}
            </ReadingEntry>
          )}
          {!step.itemsFirst && !fieldFirst && questions}
        </div>
        <div
          className={`flex flex-col gap-2 ${told || alone || !step.kind.place ? 'md:col-span-2' : ''} ${!reads && !fieldFirst ? 'md:order-first' : ''}`}
        >
          <div ref={setPadSlot} />
          <div className={reads && pad ? 'lg:[@media(max-height:940px)]:hidden' : ''}>
            <Whole what={say(M.beam)} again={report}>
              {view.told
                ? view.told(input)
                : beam && <Beam beam={beam} hollow={open && entry.typed !== null} />}
            </Whole>
          </div>
          {shown.beams.length === 0 && view.layout === 'read' && !reads && (
            <p className="text-muted">{say(M.beamLaidFirstFullReading)}</p>
          )}
          {fieldFirst && questions}
          <LimitsInForce
            state={state}
            step={step}
            open={open && !job.practice}
            onSetup={(setup, reason) => job.act('setup.changed', { setup, reason })}
          />
        </div>
      </div>
    </div>
  );
}

/** How high a figure may be beside the field alone, and beside field and keys: what the screen leaves. */
const ROOM = {
  field:
    'max-md:[&_svg]:max-h-40 max-md:[&_div:has(>canvas)]:!h-40 md:[&_svg]:max-h-[max(8rem,calc(100dvh-34rem))] md:[&_div:has(>canvas)]:!max-h-[max(9rem,calc(100dvh-34rem))]',
  keys: 'max-md:[&_svg]:max-h-[max(4.5rem,calc(100dvh-49rem))] max-md:[&_div:has(>canvas)]:!h-24 md:[&_svg]:max-h-[max(6.5rem,calc(100dvh-40.5rem))] md:[&_div:has(>canvas)]:!max-h-[max(7rem,calc(100dvh-40.5rem))]',
} as const;

/** What was read last at a step by a gauge of the kind in hand: a pressure is no hint for an indicator. */
const lastRead = (state: JobState, step: StepDefinition, kind?: Instrument['kind']): number | null =>
  standing(state, step.id, step.again ? state.attempt : 'any').findLast((r) => r.instrument.kind === kind)
    ?.value ?? null;

/** Other places that can be read now. */
function Choices({ entry }: { entry: Entry }) {
  const say = useSay();
  if (entry.choices.length === 0) return null;
  return (
    <fieldset className="m-0 flex flex-wrap gap-1.5 border-0 p-0">
      <legend className="sr-only">{say(M.whatReadNext)}</legend>
      {entry.choices.map((c) => (
        <button
          key={c.key}
          type="button"
          aria-pressed={entry.place?.key === c.key}
          onClick={() => entry.choose(c.key)}
          className="min-h-12 border border-muted px-2.5 font-label text-base font-medium lg:[@media(max-height:790px)]:px-2 aria-pressed:border-2 aria-pressed:border-brass aria-pressed:font-semibold"
        >
          <Words of={c.label} />
        </button>
      ))}
    </fieldset>
  );
}
