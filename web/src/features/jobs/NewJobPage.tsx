import type { JobKind, Setup } from '@fulcrant/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { Corner } from '../../app/Corner.tsx';
import { type StoredPosition, useHouseRules, useOpenJob, usePositions } from '../../app/job.ts';
import { Button, Fault } from '../../ui/controls.tsx';
import { PositionPicker } from './PositionPicker.tsx';
import { SetupForm } from './SetupForm.tsx';
import { startFor } from './start-setup.ts';

const KINDS: ReadonlyArray<readonly [JobKind, string, string]> = [
  ['sleeve-bearing', 'Fit a bearing', 'on its adapter sleeve'],
  ['split-bearing', 'Fit a split bearing', 'where no ring slides on'],
  ['seal', 'Fit a seal', 'each family in its order'],
  ['packing', 'Pack a box', 'and break it in'],
  ['plunger', 'Set a plunger', 'V-rings and their preload'],
  ['seal-wear', 'Watch a seal', 'wear against its baseline'],
  ['dismounting', 'Take a bearing off', 'by the design of its sleeve'],
  ['regreasing', 'Regrease', 'and watch what it does'],
  ['condition.survey', 'Survey a machine', 'shaft and box, fit to receive?'],
];

/** Open a job: the kind of work, then a position the plant knows or a new one. */
export function NewJobPage() {
  const [asked] = useSearchParams();
  // Come from a search on the board: the position found there is the one meant.
  const from = usePositions(asked.get('q') ?? '').data?.positions.find((p) => p.id === asked.get('position'));
  const house = useHouseRules();
  const rules = house.data?.rules;
  const openJob = useOpenJob();
  const go = useNavigate();
  const [kind, setKind] = useState<JobKind>('sleeve-bearing');
  const [picked, setPicked] = useState<StoredPosition | null | undefined>(undefined);
  const chosen = picked === undefined ? (from ?? null) : picked;
  const [fault, setFault] = useState<string | null>(null);
  const open = async (setup: Setup) => {
    const same = chosen?.machine === setup.machine && chosen.position === setup.position;
    try {
      // Another of the same name is found by the server, which knows them all.
      await go(`/jobs/${await openJob(setup, same ? chosen.id : v7())}`);
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The job could not be kept on this device.');
    }
  };
  // A new job follows the house rules of today, whatever the last one on this position followed.
  const start = startFor(kind, chosen, rules);
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">Open a job</h1>
          <Link className="text-steel underline underline-offset-4" to="/">
            Shift board
          </Link>
        </div>
        <div className="px-6 py-4">
          {/* Rules that came after the form would begin it anew, and what was typed would be gone. */}
          {house.isPending ? (
            <p className="text-muted">Fetching the house rules …</p>
          ) : (
            <SetupForm
              key={`${kind} ${chosen?.id ?? 'new'}`}
              start={start}
              does="Open the sheet"
              onSetup={open}
              before={
                <div className="flex flex-wrap items-end gap-6">
                  <fieldset className="m-0 flex flex-wrap gap-2 border-0 p-0">
                    <legend className="kicker">The work</legend>
                    {KINDS.map(([k, title, what]) => (
                      <Button
                        key={k}
                        aria-pressed={kind === k}
                        weight={kind === k ? 'solid' : 'line'}
                        className="py-1 text-left"
                        onClick={() => setKind(k)}
                      >
                        {title}
                        <span className="block font-text text-sm font-normal">{what}</span>
                      </Button>
                    ))}
                  </fieldset>
                  <PositionPicker chosen={chosen} typed={asked.get('q') ?? ''} onChoose={setPicked} />
                </div>
              }
            />
          )}
          {fault && <Fault>{fault}</Fault>}
        </div>
      </main>
      <footer>
        <Corner />
      </footer>
    </div>
  );
}
