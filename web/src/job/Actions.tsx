import type { Instrument } from '@fulcrant/core/instruments';
import {
  type ActHere,
  actsOn,
  type BoltTick,
  checksLeft,
  type JobState,
  LACKING,
  lackingAt,
  mayLack,
  procedureFor,
  type Reading,
  records,
  type StepDefinition,
  type StepState,
  signsAt,
  standing,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, textKey } from '@fulcrant/core/messages';
import { placeName } from '@fulcrant/core/sheet';
import { format } from 'date-fns';
import { useState } from 'react';
import type { JobView } from '../data/job.ts';
import { useSession } from '../data/session.tsx';
import { useInstruments } from '../data/site.ts';
import { usePinAgain } from '../entry/pin-again.tsx';
import { Button } from '../ui/controls.tsx';
import { useKeys } from '../ui/keys.ts';
import { ReasonDialog } from '../ui/ReasonDialog.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import type { Ask } from './acts.ts';
import { actsOf } from './acts.ts';
import { CorrectDialog } from './CorrectDialog.tsx';
import { ImportDialog } from './ImportDialog.tsx';
import { LackingDialog } from './LackingDialog.tsx';
import { MoreDialog } from './MoreDialog.tsx';
import { M } from './messages.ts';
import { PhotosDialog } from './PhotosDialog.tsx';
import { ReadingLine, TakenLine } from './ReadingLine.tsx';
import { ReadingsDialog } from './ReadingsDialog.tsx';

type Props = {
  job: JobView;
  state: JobState;
  step: StepState;
  definition: StepDefinition;
  open: boolean;
  looking: boolean;
  gauge: Instrument | null;
  number: string | null;
  onBack: () => void;
  onFault: (f: Text | null) => void;
  /** A reading touched on the figure, to be taken back and read again. */
  mending: Reading | null;
  onMended: () => void;
};

/** What can be done with the step as a whole: go on, take back a reading, hold, and the rarer acts. */
export function Actions({
  job,
  state,
  step,
  definition,
  open,
  looking,
  gauge,
  number,
  onBack,
  onFault,
  mending,
  onMended,
}: Props) {
  const say = useSay();
  const { person } = useSession();
  const [ask, setAsk] = useState<Ask | null>(null);
  const [reading, setReading] = useState<Reading | BoltTick | null>(null);
  const [listing, setListing] = useState(false);
  const [more, setMore] = useState(false);
  const [importing, setImporting] = useState(false);
  const [lacking, setLacking] = useState(false);
  const [correcting, setCorrecting] = useState(false);
  const instruments = useInstruments().data?.instruments ?? [];
  const { steps } = procedureFor(state.setup);
  const after = steps[steps.findIndex((s) => s.id === step.id) + 1];
  const held = step.hold !== undefined && !step.hold.released;
  const [photos, setPhotos] = useState(false);
  const shots = state.photos.filter((p) => p.step === step.id).length;
  const may = records(person?.role) && !state.signed && !state.cancelled;
  const mayCancel = may && (person?.role === 'lead' || person?.id === state.opened.author.id);
  const taken = standing(state, step.id, definition.again ? state.attempt : 'any');
  const tight = state.ticks.filter((t) => t.step === step.id && !t.withdrawn && t.attempt === state.attempt);
  const last = definition.kind.bolt ? tight.at(-1) : taken.at(-1);
  const mayRepeat = may && !held && definition.kind.repeats === true && taken.length > 0;
  const stands = step.open.some((f) => f.verdict === 'reject');
  // Too close to call is read again, nothing done between: both count together.
  const close = !stands && step.open.some((f) => f.verdict === 'too-close');
  const blocking = step.blocking[0];
  const toCome = checksLeft(state);
  // Once it is said, or all is read, there is nothing to say.
  const correctable =
    may && (step.status === 'done' || step.kept === true) && state.answers.some((a) => a.step === step.id);
  const wanting = definition.kind.bolt ? tight.length === 0 : step.report?.next != null;
  const lacks = wanting && !lackingAt(state, step.id) ? mayLack(definition) : [];
  // What of the work can be taken back and done anew, and where only that goes on from here.
  const undoings = may
    ? actsOn(state.setup).filter((a) => a.undoes && a.words && a.may(state, {}) === null)
    : [];
  const onward = undoings.filter((a) => a.onlyWay?.(state) ?? false);
  const undone = onward.length > 0;
  const [undoing, setUndoing] = useState<ActHere | null>(null);
  const askUndo = (act: ActHere) => {
    setUndoing(act);
    setAsk('undo');
  };

  const pass = () => void job.act('step.passed', { step: step.id }).then(onFault);
  const withdrawLast = () => {
    setReading(last ?? null);
    setAsk('withdraw');
  };
  const mayWithdraw = last !== undefined && may;
  useKeys({ pass: () => open && pass(), withdraw: () => mayWithdraw && withdrawLast() });

  // A person knows “station 2 at 0°”, not its key.
  const name = (r: Reading) =>
    placeName(
      state,
      r,
      state.readings.slice(
        0,
        state.readings.findIndex((x) => x.id === r.id),
      ),
      Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : []))),
    );

  const acts = actsOf(job, step, undoing, reading);
  const mended = mending && {
    ...actsOf(job, step, undoing, mending).withdraw,
    title: say(M.mend({ name: name(mending) })),
  };
  const again = usePinAgain();
  const chosen = mended ?? (ask ? acts[ask] : null);
  const run = async (reason: string) =>
    (ask === 'running' ? await again.check() : null) ?? (await chosen?.run(reason)) ?? null;
  const touched = mending ?? (ask === 'withdraw' ? reading : null);
  const done = () => {
    setAsk(null);
    onMended();
  };

  return (
    <div className="flex flex-wrap items-center gap-3 max-md:gap-1.5 max-md:[&_button]:px-3 max-md:[&_button]:text-base lg:[@media(max-height:790px)]:gap-2 lg:[@media(max-height:790px)]:[&_button]:px-3 lg:[@media(max-height:790px)]:[&_button]:text-base">
      {looking ? (
        <Button weight="solid" onClick={onBack}>
          {say(M.backPresentStep)}
        </Button>
      ) : (
        <>
          {held && person?.role === 'lead' && (
            <Button weight="solid" onClick={() => setAsk('release')}>
              {say(COMMON.release)}
            </Button>
          )}
          {!held &&
            onward.map((act) => (
              <Button key={act.id} weight="stop" onClick={() => askUndo(act)}>
                <Words of={act.words?.onward ?? act.words?.does} />
              </Button>
            ))}
          {open && toCome.length > 0 && !state.running && (
            <Button weight="solid" onClick={() => setAsk('running')} data-sign-running>
              {say(M.signAsRunningChecksCome)}
            </Button>
          )}
          {open && after && !signsAt(state.setup, step.id) && (
            <Button
              // What is over its limit is put right first: that is the main button then.
              weight={stands && mayRepeat ? 'line' : 'solid'}
              disabled={blocking !== undefined}
              onClick={pass}
              title="F9"
              data-pass-step
            >
              {say(M.onTo({ title: after.title }))}
            </Button>
          )}
        </>
      )}
      {open && lacks.length > 0 && !step.report?.asks && (
        <Button onClick={() => setLacking(true)} data-lacking>
          <Words of={LACKING[lacks[0] ?? 'not-measured'].said} />
        </Button>
      )}
      {mayRepeat && (stands || close) && (
        <Button weight={stands ? 'solid' : 'line'} onClick={() => setAsk('repeat')} data-repeat>
          {close
            ? say(M.measureAgain)
            : say(M.measureAgain2({ repeatWord: definition.repeatWord ?? M.dressed }))}
        </Button>
      )}
      {mayWithdraw && (
        <Button onClick={withdrawLast} title="F8">
          {say(M.withdrawLast)}
        </Button>
      )}
      <Button weight="bare" onClick={() => setMore(true)}>
        {say(COMMON.moreWord)}
      </Button>
      {open && !blocking && definition.closes && !undone && (
        <p className="m-0 min-w-48 flex-1 leading-snug max-md:hidden">
          <strong className="font-label text-lg font-semibold">{say(M.doorCloses)}</strong>{' '}
          <Words of={definition.closes} />
        </p>
      )}
      {chosen && (
        <ReasonDialog
          key={mending?.id ?? ask}
          open
          title={chosen.title}
          ask={chosen.ask}
          does={chosen.does}
          optional={chosen.optional ?? false}
          quick={chosen.quick ?? []}
          onClose={done}
          onReason={run}
        >
          {touched && <TakenLine taken={touched} with={tight} name={name} />}
          {ask === 'running' && again.field}
          {ask === 'release' && <Holds state={state} step={step.id} name={name} />}
          {ask === 'undo' && (
            <p className="m-0">
              <Words of={undoing?.words?.caution} />
            </p>
          )}
          {ask === 'running' && (
            <ul className="m-0 list-none border-y border-faint p-0 py-1" data-to-come>
              {toCome.map((c) => (
                <li key={`${c.at} ${textKey(c.what)}`}>
                  <Words of={c.what} />, {format(new Date(c.at), 'd MMM HH:mm')}
                </li>
              ))}
            </ul>
          )}
        </ReasonDialog>
      )}
      <MoreDialog
        open={more}
        onClose={() => setMore(false)}
        state={state}
        number={number}
        items={[
          [say(M.allReadingsStep), () => setListing(true)],
          !job.practice && [
            shots > 0
              ? say(M.photographsStep({ shots }))
              : may
                ? say(COMMON.photographStep)
                : say(M.photographsStep2),
            () => setPhotos(true),
          ],
          correctable && [say(M.correctAnswer2), () => setCorrecting(true)],
          mayRepeat && [say(M.measureStepAgain), () => setAsk('repeat')],
          !job.practice &&
            open &&
            definition.kind.place && [say(M.readingsFromFile2), () => setImporting(true)],
          !job.practice && may && !held && step.status === 'present' && [say(M.hold), () => setAsk('hold')],
          may &&
            definition.kind.bolt &&
            state.ticks.some((t) => t.step === step.id) && [
              say(M.allBoltsLoosenedBeginAgain),
              () => setAsk('loosen'),
            ],
          ...undoings.map((act): [Text, () => void] => [act.words?.does ?? '', () => askUndo(act)]),
          !job.practice && mayCancel && [say(M.cancelJob), () => setAsk('cancel')],
          records(person?.role) && [say(M.noteSheet), () => setAsk('note')],
        ]}
        mayChange={may}
        practice={job.practice ?? false}
      />
      <PhotosDialog
        open={photos}
        onClose={() => setPhotos(false)}
        state={state}
        step={step.id}
        title={step.title}
        onPhoto={may ? (photo) => job.act('photo.added', { step: step.id, ...photo }) : null}
      />
      <LackingDialog
        open={lacking}
        onClose={() => setLacking(false)}
        whys={lacks}
        onSay={(why, reason) => job.act('number.lacking', { step: step.id, why, reason })}
      />
      <CorrectDialog
        job={job}
        state={state}
        step={definition}
        open={correcting}
        onClose={() => setCorrecting(false)}
      />
      <ImportDialog
        open={importing}
        onClose={() => setImporting(false)}
        state={state}
        step={step.id}
        title={step.title}
        gauges={instruments}
        gauge={gauge}
        actAll={job.actAll}
      />
      <ReadingsDialog
        open={listing}
        onClose={() => setListing(false)}
        title={step.title}
        readings={state.readings.filter((r) => r.step === step.id)}
        name={name}
        onWithdraw={
          may
            ? (r) => {
                setListing(false);
                setReading(r);
                setAsk('withdraw');
              }
            : null
        }
      />
    </div>
  );
}

/** Lines of a release: enough to see what is let go on. */
const HELD_LINES = 6;

/** What was last read before a hold, beside the button that lets it go. */
function Holds({ state, step, name }: { state: JobState; step: string; name: (r: Reading) => Text }) {
  const order = state.steps.map((s) => s.id);
  const upTo = order.indexOf(step);
  const read = state.readings.filter((r) => !r.withdrawn && order.indexOf(r.step) <= upTo).slice(-HELD_LINES);
  if (read.length === 0) return null;
  return (
    <ul className="m-0 list-none border-y border-faint p-0 py-1" data-held-readings>
      {read.map((r) => (
        <li key={r.id}>
          <ReadingLine reading={r} name={name(r)} />
        </li>
      ))}
    </ul>
  );
}
