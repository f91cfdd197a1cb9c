import { type Setup, USUAL_SETUP } from '@fulcrant/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { Corner } from '../../app/Corner.tsx';
import { type StoredPosition, useOpenJob, usePositions } from '../../app/job.ts';
import { Fault } from '../../ui/controls.tsx';
import { SetupForm } from './SetupForm.tsx';

/** Open a job: choose a position the plant knows, or describe a new one. */
export function NewJobPage() {
  const positions = usePositions().data?.positions ?? [];
  const openJob = useOpenJob();
  const go = useNavigate();
  const [chosen, setChosen] = useState<StoredPosition | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const open = async (setup: Setup) => {
    const same = positions.find((p) => p.machine === setup.machine && p.position === setup.position);
    try {
      await go(`/jobs/${await openJob(setup, same?.id ?? v7())}`);
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The job could not be kept on this device.');
    }
  };
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
          <SetupForm
            key={chosen?.id ?? 'new'}
            start={chosen ? chosen.setup : USUAL_SETUP}
            does="Open the sheet"
            onSetup={open}
            before={
              <label className="flex max-w-xl flex-col">
                <span className="kicker">A position the plant knows</span>
                <select
                  className="min-h-12 border-0 border-b-2 border-muted bg-paper text-lg"
                  value={chosen?.id ?? ''}
                  onChange={(e) => setChosen(positions.find((p) => p.id === e.target.value) ?? null)}
                >
                  <option value="">a new one, described below</option>
                  {positions.map((p) => (
                    <option key={p.id} value={p.id}>
                      {p.machine}, {p.position}
                    </option>
                  ))}
                </select>
              </label>
            }
          />
          {fault && <Fault>{fault}</Fault>}
        </div>
      </main>
      <footer>
        <Corner />
      </footer>
    </div>
  );
}
