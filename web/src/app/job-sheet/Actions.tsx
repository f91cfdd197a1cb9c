import {
  type Instrument,
  type JobKind,
  type JobState,
  kindOf,
  mayReopen,
  procedureFor,
  type Reading,
  reopeningOf,
  type StepDefinition,
  type StepState,
  sheetTitle,
  standing,
} from '@fulcrant/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ImportDialog } from '../../features/condition/ImportDialog.tsx';
import { Button, Dialog } from '../../ui/controls.tsx';
import { type JobView, useInstruments } from '../job.ts';
import { useSession } from '../session.tsx';
import { useSay } from '../settings.tsx';
import { ReadingLine } from './ReadingLine.tsx';
import { ReasonDialog } from './ReasonDialog.tsx';

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
  onFault: (f: string | null) => void;
};

/** What changing a job’s setup is called, by its kind. */
const CHANGED: Record<JobKind, string> = {
  'sleeve-bearing': 'Change bearing, bolts',
  'split-bearing': 'Change bearing, screws',
  dismounting: 'Change sleeve',
  regreasing: 'Change bearing, grease',
  seal: 'Change seal, torques',
  packing: 'Change box, packing',
  plunger: 'Change nut',
  'seal-wear': 'Change baseline',
  'condition.survey': 'Change what is measured',
};

type Ask = 'repeat' | 'withdraw' | 'hold' | 'release' | 'dismount' | 'loosen' | 'note' | null;

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
}: Props) {
  const say = useSay();
  const { person } = useSession();
  const [ask, setAsk] = useState<Ask>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  const [listing, setListing] = useState(false);
  const [more, setMore] = useState(false);
  const [importing, setImporting] = useState(false);
  const instruments = useInstruments().data?.instruments ?? [];
  const { steps } = procedureFor(state.setup);
  const after = steps[steps.findIndex((s) => s.id === step.id) + 1];
  const held = step.hold !== undefined && !step.hold.released;
  const may = person?.role !== 'viewer' && !state.signed;
  const taken = standing(state, step.id, definition.again ? state.attempt : 'any');
  const mayRepeat = may && !held && definition.kind.repeats === true && taken.length > 0;
  const stands = step.open.some((f) => f.verdict === 'reject');
  const blocking = step.blocking[0];
  const reopening = reopeningOf(state.setup);
  const onTaper = standing(state, 'driveup').length > 0;
  const overDriven =
    step.blocking.some((f) => f.code === 'driveup.over-driven') || (step.id === 'bench' && onTaper);

  const pass = () => void job.act('step.passed', { step: step.id }).then(onFault);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === 'F9' && open) {
        e.preventDefault();
        void job.act('step.passed', { step: step.id }).then(onFault);
      }
      if (e.key === 'F8' && taken.length > 0 && may) {
        e.preventDefault();
        setReading(taken.at(-1) ?? null);
        setAsk('withdraw');
      }
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  });

  const asks: Record<
    Exclude<Ask, null>,
    {
      title: string;
      ask: string;
      does: string;
      run: (reason: string) => Promise<string | null>;
      optional?: boolean;
    }
  > = {
    repeat: {
      title: `Measure “${step.title}” again`,
      ask: 'What was done in between? What was read before stays on the sheet beside it.',
      does: 'Measure again',
      run: (done) => job.act('measure.repeated', { step: step.id, done }),
    },
    withdraw: {
      title: 'Withdraw a reading',
      ask: 'Why? The reading stays on the sheet, struck out, with this reason.',
      does: 'Withdraw it',
      run: (reason) =>
        reading ? job.act('reading.withdrawn', { reading: reading.id, reason }) : Promise.resolve(null),
    },
    hold: {
      title: `Hold “${step.title}”`,
      ask: 'What holds it? It goes no further until a lead hand releases it.',
      does: 'Hold',
      run: (reason) => job.act('step.held', { step: step.id, reason }),
    },
    release: {
      title: `Release “${step.title}”`,
      ask: 'Anything to note with the release? (May stay empty.)',
      does: 'Release',
      run: (note) => job.act('step.released', note ? { step: step.id, note } : { step: step.id }),
      optional: true,
    },
    dismount: {
      title: reopening.does,
      ask: reopening.ask,
      does: reopening.confirm,
      run: (reason) => job.act('bearing.dismounted', { reason }),
    },
    loosen: {
      title: `${step.title}: all loosened`,
      ask: 'Why? Tightening begins again at the first pass.',
      does: 'They are loose',
      run: (reason) => job.act('bolts.loosened', { step: step.id, reason }),
    },
    note: {
      title: 'Note on the sheet',
      ask: 'What should stand on the sheet?',
      does: 'Write it',
      run: (text) => job.act('note.added', { text }),
    },
  };
  const chosen = ask ? asks[ask] : null;

  return (
    <div className="flex flex-wrap items-center gap-3">
      {looking ? (
        <Button weight="solid" onClick={onBack}>
          Back to the present step
        </Button>
      ) : (
        <>
          {held && person?.role === 'lead' && (
            <Button weight="solid" onClick={() => setAsk('release')}>
              Release the hold
            </Button>
          )}
          {overDriven && may && !held && (
            <Button weight="stop" onClick={() => setAsk('dismount')}>
              Dismount, new zero
            </Button>
          )}
          {open && after && step.id !== 'sign' && (
            <Button weight="solid" disabled={blocking !== undefined} onClick={pass} title="F9" data-pass-step>
              On to: {after.title}
            </Button>
          )}
        </>
      )}
      {mayRepeat && stands && (
        <Button onClick={() => setAsk('repeat')} data-repeat>
          {definition.repeatWord ?? 'Dressed'}: measure again
        </Button>
      )}
      {taken.length > 0 && may && (
        <Button
          onClick={() => {
            setReading(taken.at(-1) ?? null);
            setAsk('withdraw');
          }}
          title="F8"
        >
          Withdraw last
        </Button>
      )}
      <Button weight="bare" onClick={() => setMore(true)}>
        More
      </Button>
      <p className="m-0 min-w-48 flex-1 text-[0.95rem] leading-snug text-muted">
        {open && blocking && !overDriven ? (
          `Not yet: ${say(blocking.reason)}`
        ) : open && definition.closes && !overDriven ? (
          <span className="text-ink">
            <strong className="font-label text-lg font-semibold">A door closes.</strong> {definition.closes}
          </span>
        ) : (
          ''
        )}
      </p>
      {chosen && (
        <ReasonDialog
          key={ask}
          open
          title={chosen.title}
          ask={chosen.ask}
          does={chosen.does}
          optional={chosen.optional ?? false}
          onClose={() => setAsk(null)}
          onReason={chosen.run}
        >
          {ask === 'withdraw' && reading && <ReadingLine reading={reading} />}
          {ask === 'dismount' && <p className="m-0">{reopening.caution}</p>}
        </ReasonDialog>
      )}
      <Dialog open={more} onClose={() => setMore(false)} title="More">
        <div className="flex flex-col items-start gap-2">
          <Button
            onClick={() => {
              setMore(false);
              setListing(true);
            }}
          >
            All readings of this step
          </Button>
          {mayRepeat && (
            <Button
              onClick={() => {
                setMore(false);
                setAsk('repeat');
              }}
            >
              Measure this step again
            </Button>
          )}
          {open && definition.kind.place && (
            <Button
              onClick={() => {
                setMore(false);
                setImporting(true);
              }}
            >
              Readings from a file
            </Button>
          )}
          {number && (
            <a
              className="flex min-h-12 items-center border border-ink px-5 font-label text-lg font-semibold"
              href={`/api/jobs/${state.jobId}/readings.csv`}
              data-csv
            >
              All readings as CSV
            </a>
          )}
          {number && keepsTimes(state) && (
            <a
              className="flex min-h-12 items-center border border-ink px-5 font-label text-lg font-semibold"
              href={`/api/jobs/${state.jobId}/due.ics`}
              data-ics
            >
              What falls due, for the calendar
            </a>
          )}
          {may && !held && step.status === 'present' && (
            <Button
              onClick={() => {
                setMore(false);
                setAsk('hold');
              }}
            >
              Hold this step
            </Button>
          )}
          {may && definition.kind.bolt && state.ticks.some((t) => t.step === step.id) && (
            <Button
              onClick={() => {
                setMore(false);
                setAsk('loosen');
              }}
            >
              All bolts loosened: begin again
            </Button>
          )}
          {may && mayReopen(state) === null && (
            <Button
              onClick={() => {
                setMore(false);
                setAsk('dismount');
              }}
            >
              {reopening.does}
            </Button>
          )}
          {person?.role !== 'viewer' && (
            <Button
              onClick={() => {
                setMore(false);
                setAsk('note');
              }}
            >
              Note on the sheet
            </Button>
          )}
          {may && (
            <Link
              className="flex min-h-12 items-center border border-ink px-5 font-label text-lg font-semibold"
              to={`/jobs/${state.jobId}/setup`}
            >
              {CHANGED[kindOf(state.setup)]}, maker’s values
            </Link>
          )}
          <Link
            className="flex min-h-12 items-center border border-ink px-5 font-label text-lg font-semibold"
            to={`/jobs/${state.jobId}/sheet`}
          >
            {sheetTitle({ procedure: procedureFor(state.setup) })}
          </Link>
        </div>
      </Dialog>
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
      <Dialog open={listing} onClose={() => setListing(false)} title={`Readings: ${step.title}`} wide>
        {state.readings.filter((r) => r.step === step.id).length === 0 && <p>None yet.</p>}
        <ul className="m-0 list-none p-0">
          {state.readings
            .filter((r) => r.step === step.id)
            .map((r) => (
              <li
                key={r.id}
                className="flex flex-wrap items-center justify-between gap-3 border-t border-faint py-1"
              >
                <ReadingLine reading={r} />
                {may && !r.withdrawn && (
                  <Button
                    onClick={() => {
                      setListing(false);
                      setReading(r);
                      setAsk('withdraw');
                    }}
                  >
                    Withdraw
                  </Button>
                )}
              </li>
            ))}
        </ul>
      </Dialog>
    </div>
  );
}

/** Does something of this job fall due: a reading of its first hours, of a proof, the next regreasing? */
const keepsTimes = (state: JobState): boolean => {
  // Under a signature only the next regreasing is still to come.
  const timed = state.signed ? ['watch'] : ['runin', 'watch', 'proof', 'breakin', 'wear'];
  return state.steps.some((s) => timed.includes(s.id) && s.status !== 'closed');
};
