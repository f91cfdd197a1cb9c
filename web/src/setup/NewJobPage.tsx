import type { Setup } from '@fulcrant/core/engine/setup';
import { allTrades, tradeOf } from '@fulcrant/core/engine/trades';
import { startFor } from '@fulcrant/core/job/setup-form';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { type StoredPosition, useHouseRules, useOpenJob, usePositions } from '../data/job.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { PositionPicker } from './PositionPicker.tsx';
import { SetupForm } from './SetupForm.tsx';

/** Open a job: the kind of work, then a position the plant knows or a new one. */
export function NewJobPage() {
  const [asked] = useSearchParams();
  // Come from a search on the board: the position found there is the one meant.
  const from = usePositions(asked.get('q') ?? '').data?.positions.find((p) => p.id === asked.get('position'));
  const house = useHouseRules();
  const rules = house.data?.rules;
  const openJob = useOpenJob();
  const go = useNavigate();
  const [kind, setKind] = useState(allTrades()[0]?.id);
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
  const trade = tradeOf({ procedure: kind });
  const start = startFor(trade, chosen, rules);
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
              trade={trade}
              start={start}
              does="Open the sheet"
              onSetup={open}
              before={
                <div className="flex flex-wrap items-end gap-6">
                  <fieldset className="m-0 flex flex-wrap gap-2 border-0 p-0">
                    <legend className="kicker">The work</legend>
                    {allTrades().map(({ id, words: { offer } }) => (
                      <Button
                        key={id}
                        aria-pressed={kind === id}
                        weight={kind === id ? 'solid' : 'line'}
                        className="py-1 text-left"
                        onClick={() => setKind(id)}
                      >
                        {offer[0]}
                        <span className="block font-text text-sm font-normal">{offer[1]}</span>
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
