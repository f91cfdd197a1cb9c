import { summarise } from '@fulcrant/core/forms';
import {
  type JobState,
  procedureFor,
  type Reading,
  records,
  type Said,
  type StepDefinition,
  type StepState,
  standing,
  whyOf,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { format } from 'date-fns';
import { memo, type ReactNode, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { type JobView, useJob } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { type Entry, useEntry } from '../entry/use-entry.ts';
import { viewOf } from '../trades/registry.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Explained } from '../ui/Explained.tsx';
import { Loading } from '../ui/Loading.tsx';
import { Mark } from '../ui/Mark.tsx';
import { FlatRail, StandingRail } from '../ui/Rail.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { useWide } from '../ui/use-wide.ts';
import { Whole } from '../ui/Whole.tsx';
import { Why } from '../ui/Why.tsx';
import { Working } from '../ui/Working.tsx';
import { Actions } from './Actions.tsx';
import { Before } from './Before.tsx';
import { Judgements } from './Judgements.tsx';
import { M } from './messages.ts';
import { StepBody } from './StepBody.tsx';
import { StruckList } from './StruckList.tsx';
import { TitleBlock } from './TitleBlock.tsx';

/** A job is a drawing sheet: rail, figure, judgement, title block. */
export function JobPage() {
  const say = useSay();
  const { id = '' } = useParams();
  const job = useJob(id);
  if (job.state) return <JobSheet key={id} job={job} state={job.state} />;
  return (
    <Loading what={say(COMMON.job)} fault={job.loading ? null : (job.fault ?? M.thereNoSuchJobDevice)} />
  );
}

/** Words beside the steps of the rail: how far a loop has come, and what is held. */
function railNotes(state: JobState, step: StepDefinition | undefined): Record<string, Text> {
  const present = state.steps.find((s) => s.id === state.present);
  if (!present || !step) return {};
  if (present.hold && !present.hold.released) return { [present.id]: M.held };
  const note = present.report ? viewOf(step.kind.name)?.note(present.report) : null;
  return note ? { [present.id]: note } : {};
}

/** The reading that stands at a place, the last where it was read more than once. */
const readAt = (state: JobState, step: StepDefinition, place: string): Reading | null =>
  standing(state, step.id, step.again ? state.attempt : 'any').findLast(
    (r) => r.place === place || r.place.startsWith(`${place}/`),
  ) ?? null;

/** What a hand does next on a step that has just come: its field, its bolt, its first open question. */
const NEXT =
  'form[data-place] input, form[data-bolt] button, [data-pass-told], [data-item] button[aria-pressed="false"]';

/** The step that comes next takes the focus from the one that went, so that the keys go on where the hand is. */
function useHandGoesOn(middle: RefObject<HTMLElement | null>, present: string | null): void {
  const before = useRef(present);
  useEffect(() => {
    if (before.current === present) return;
    before.current = present;
    middle.current?.querySelector<HTMLElement>(NEXT)?.focus({ preventScroll: true });
  }, [middle, present]);
}

/** What lies at a practice bench beside the sheet: the step at hand and the reading being taken. */
export type AtHand = { step: StepDefinition; entry: Entry; open: boolean };

/** The sheet of a job: drawn anew when the job changes, not while its entries travel. */
export const JobSheet = memo(function JobSheet({
  job,
  state,
  bench,
}: {
  job: JobView;
  state: JobState;
  /** What stands beside the sheet on a practice bench; nothing on a job. */
  bench?: (at: AtHand) => ReactNode;
}) {
  const say = useSay();
  const { person } = useSession();
  const [looking, setLooking] = useState<string | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const [mending, setMending] = useState<Reading | null>(null);
  const [listing, setListing] = useState(false);
  const middle = useRef<HTMLElement>(null);
  const wide = useWide();
  const present = state.steps.find((s) => s.id === state.present) ?? (state.steps.at(-1) as StepState);
  const shownId =
    looking && state.steps.some((s) => s.id === looking && s.status !== 'closed') ? looking : present.id;
  const step = state.steps.find((s) => s.id === shownId) ?? present;
  const { steps } = procedureFor(state.setup);
  const definition = steps.find((s) => s.id === step.id) ?? steps[0];
  const why = whyOf(state.setup, step.id);
  const entry = useEntry(job, state, step.id, step.status === 'present' ? step.report : null);
  const held = step.hold !== undefined && !step.hold.released;
  const open =
    step.status === 'present' && !held && records(person?.role) && !state.signed && !state.cancelled;
  const supposed = open
    ? (entry.shown.steps.find((s) => s.id === step.id)?.report ?? step.report)
    : step.report;
  const summary = useMemo(() => summarise(state), [state]);
  const view = definition ? viewOf(definition.kind.name) : undefined;

  // The next step comes to the middle by itself; what was being looked back at is let go.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only the present step's change counts
  useEffect(() => {
    setLooking(null);
  }, [state.present]);
  // A step opens at its top.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only another step counts
  useEffect(() => {
    middle.current?.scrollTo?.({ top: 0 });
    if (!wide) window.scrollTo?.({ top: 0 });
  }, [step.id]);
  // What was refused before the last entry is not refused any more.
  // biome-ignore lint/correctness/useExhaustiveDependencies: any entry counts
  useEffect(() => setFault(null), [state]);
  useHandGoesOn(middle, state.present);
  useEffect(() => {
    document.title = say(M.fulcrant({ machine: state.setup.machine, title: present.title }));
  }, [state.setup.machine, present.title, say]);

  if (!definition || !step.report || !supposed) return null;
  const input = {
    job,
    state,
    step: definition,
    report: step.report,
    shown: supposed,
    open,
    place: open ? entry.place : null,
    typed: open ? entry.typed : null,
    onLook: setLooking,
    onMend:
      person?.role === 'viewer' || state.signed || state.cancelled || held
        ? null
        : (place: string) => setMending(readAt(state, definition, place)),
    onAnswer: (item: string, answer: Said, note?: string) =>
      void job
        .act('gate.answered', { step: step.id, item, answer, ...(note ? { note } : {}) })
        .then(setFault),
  };
  const notes = railNotes(
    state,
    steps.find((s) => s.id === present.id),
  );
  const closesAfter =
    present.status === 'present' && steps.find((s) => s.id === present.id)?.closes ? present.id : null;
  return (
    <div className="p-2 max-lg:pb-24 md:p-3.5 md:max-lg:pb-24">
      <div className="grid min-h-[calc(100dvh-1.75rem-var(--plate,0px)-var(--strip,0px))] border border-rule lg:h-[calc(100dvh-1.75rem-var(--plate,0px)-var(--strip,0px))] lg:min-h-[620px] lg:grid-cols-[184px_minmax(0,1fr)_264px] xl:grid-cols-[228px_minmax(0,1fr)_310px] lg:grid-rows-[minmax(0,1fr)_auto]">
        <header className="lg:contain-content min-h-0 overflow-y-auto border-b border-rule px-3 py-0.5 md:px-4 md:py-1.5 lg:px-2 lg:py-3 xl:px-4 lg:row-span-2 lg:border-b-0 lg:border-r">
          <div className="flex items-center gap-3">
            <Link
              to="/"
              className="flex min-h-12 items-center gap-3 font-label text-2xl font-semibold lg:mb-2"
              aria-label={say(COMMON.toBoard)}
            >
              <Mark /> <span className="max-lg:hidden">{say(COMMON.fulcrant)}</span>
            </Link>
            <p className="m-0 min-w-0 flex-1 font-label text-lg leading-tight lg:hidden" data-where>
              <strong className="block truncate font-semibold">{state.setup.machine}</strong>
              <span className="block truncate">{state.setup.position}</span>
            </p>
            <Button className="shrink-0 px-3! lg:hidden" onClick={() => setListing(true)} data-steps>
              {say(M.stepOf({ n: state.steps.indexOf(step) + 1, of: state.steps.length }))}
            </Button>
          </div>
          <div className="max-w-[32rem] max-md:hidden lg:hidden">
            <FlatRail marks={summary.rail} />
          </div>
          <Dialog open={listing} onClose={() => setListing(false)} title={say(M.steps)}>
            <StandingRail
              marks={summary.rail}
              shown={step.id}
              notes={notes}
              closesAfter={closesAfter}
              onChoose={(s) => {
                setListing(false);
                setLooking(s === present.id ? null : s);
              }}
            />
            <Button className="mt-3" onClick={() => setListing(false)}>
              {say(COMMON.close)}
            </Button>
          </Dialog>
          <nav className="hidden lg:block" aria-label={say(M.steps)}>
            <StandingRail
              marks={summary.rail}
              shown={step.id}
              notes={notes}
              closesAfter={closesAfter}
              onChoose={(s) => setLooking(s === present.id ? null : s)}
            />
          </nav>
        </header>
        <main
          ref={middle}
          className="flex min-h-0 min-w-0 flex-col gap-2 overflow-y-auto px-3 pb-3 pt-2 md:px-6 md:pt-3"
        >
          <div>
            <p className="kicker m-0 flex flex-wrap gap-x-3">
              <span className="text-ink max-lg:hidden" data-where>
                <strong>{state.setup.machine}</strong>, {state.setup.position}
              </span>
              <span>
                <Words of={definition.title} />
                {state.attempt > 1 && definition.again ? say(M.attempt3({ attempt: state.attempt })) : ''}
                {step.status === 'done' && step.passed
                  ? say(M.passed({ name: step.passed.author.name }))
                  : ''}
                {step.byRulesOfThen ? say(M.rulesThen) : ''}
              </span>
            </p>
            <h1
              className="m-0 text-[1.9rem] leading-tight max-xl:text-[1.6rem] max-md:text-[1.45rem]"
              data-act
            >
              {held ? (
                say(M.held)
              ) : step.status === 'done' || definition.kind.quiet ? (
                <Words of={definition.title} />
              ) : (
                say(step.report.act)
              )}
            </h1>
            <p className="m-0 leading-snug text-muted">
              {held ? (
                `${say(step.hold?.reason)}${step.hold?.planned ? '' : say(M.leadHandReleases)}`
              ) : (
                <>
                  <span className={entry.place && open ? 'max-md:hidden' : ''}>
                    <Explained>{definition.guide}</Explained>
                  </span>
                  {why && <Why title={definition.title}>{why}</Why>}
                </>
              )}
            </p>
            {state.cancelled && (
              <p className="m-0 mt-0.5 border-l-4 border-stop pl-2 leading-snug" data-cancelled>
                <strong className="font-label text-lg font-semibold">{say(M.cancelled2)}</strong>{' '}
                {say(
                  M.staysRecord({
                    reason: state.cancelled.reason,
                    name: state.cancelled.author.name,
                    at: format(new Date(state.cancelled.at), 'd MMM HH:mm'),
                  }),
                )}
              </p>
            )}
            {state.signed && (
              <p className="m-0 mt-0.5 border-l-4 border-rule pl-2 leading-snug">
                {say(M.signedRecord)}{' '}
                <Link className="text-steel underline underline-offset-4" to={`/jobs/${state.jobId}/sheet`}>
                  {say(M.sheetAsKept)}
                </Link>
                {say(M.whatStandsHereToldTodays)}
              </p>
            )}
            {step.reopened && (
              <p className="m-0 mt-0.5 border-l-4 border-brass pl-2 leading-snug" data-opened-again>
                <strong className="font-label text-lg font-semibold">{say(M.openedAgain)}</strong>{' '}
                {say(
                  M.whatRecordedBeforeStaysSheet({
                    because: step.reopened.because,
                    name: step.reopened.author.name,
                    at: format(new Date(step.reopened.at), 'd MMM HH:mm'),
                  }),
                )}
              </p>
            )}
            {definition.caution && open && (
              <p className="m-0 mt-0.5 border-l-4 border-brass pl-2 text-[0.95rem] leading-snug">
                <Words of={definition.caution} />
              </p>
            )}
          </div>
          {!wide && bench?.({ step: definition, entry, open })}
          {step.report.failed ? (
            <Fault>{say(M.stepCannotWorkedOutLook({ failed: step.report.failed }))}</Fault>
          ) : (
            <Whole what={say(M.middleStep)} again={step.id}>
              <StepBody {...input} entry={entry} />
            </Whole>
          )}
          {fault && <Fault>{say(fault)}</Fault>}
        </main>
        <aside
          className="lg:contain-content flex min-h-0 min-w-0 flex-col gap-3 overflow-y-auto border-t border-rule px-4 py-3 lg:border-l lg:border-t-0 lg:border-faint"
          aria-label={say(COMMON.judgement)}
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must be able to reach it
          tabIndex={0}
        >
          {wide && bench?.({ step: definition, entry, open })}
          <Whole what={say(M.numbersBeside)} again={step.id}>
            {view?.side(input)}
          </Whole>
          <Judgements
            job={job}
            state={state}
            step={step}
            report={supposed}
            supposed={entry.shown !== state && open}
            survey={definition.survey ?? false}
          />
          <Whole what={say(M.whatWorkedOutBeside)} again={step.id}>
            {view?.under(input)}
          </Whole>
          <Before report={supposed} />
          <StruckList job={job} state={state} />
          <Working lines={supposed.working} open={!view?.longSum} />
        </aside>
        <footer className="lg:contain-content border-t border-rule px-4 py-1.5 md:px-6 lg:flex lg:items-center lg:gap-4">
          {/* Under the thumb on a tablet on end and on the phone: the next act never leaves the screen. */}
          <div
            className="lg:min-w-0 lg:flex-1 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:border-t max-lg:border-rule max-lg:bg-paper max-lg:px-3 max-lg:py-1.5 no-print"
            data-edge
          >
            <Actions
              job={job}
              state={state}
              step={step}
              definition={definition}
              open={open}
              looking={looking !== null}
              gauge={entry.gauge.gauge}
              number={job.number}
              onBack={() => setLooking(null)}
              onFault={setFault}
              mending={mending}
              onMended={() => setMending(null)}
            />
          </div>
          <Corner job={state.jobId} />
        </footer>
        <TitleBlock state={state} number={job.number} practice={job.practice ?? false} />
      </div>
    </div>
  );
});
