import type { Rig } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import type { Call } from '@fulcrant/practice';
import { useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';

/** What is made of the bench: fit to go on, or stopped, and for what. Said once. */
export function CallDialog({
  rig,
  open,
  onClose,
  onCall,
}: {
  rig: Rig;
  open: boolean;
  onClose: () => void;
  onCall: (call: Call) => void;
}) {
  const [faults, setFaults] = useState<readonly string[]>([]);
  const [fault, setFault] = useState<Text | null>(null);
  const tick = (id: string) => {
    setFault(null);
    setFaults(faults.includes(id) ? faults.filter((f) => f !== id) : [...faults, id]);
  };
  return (
    <Dialog open={open} onClose={onClose} title="What do you make of it?">
      <p className="mt-0">
        Fit to go on, or stopped, and for what. Then the truth is laid beside what you wrote; nothing can be
        changed after that.
      </p>
      <fieldset className="m-0 grid border-0 p-0">
        <legend className="kicker">What is wrong</legend>
        {rig.faults.map((f) => (
          <button
            key={f.id}
            type="button"
            aria-pressed={faults.includes(f.id)}
            onClick={() => tick(f.id)}
            className="min-h-12 border-b border-faint px-2 text-left text-lg aria-pressed:bg-ink aria-pressed:text-paper"
            data-cause={f.id}
          >
            {faults.includes(f.id) ? '✓ ' : ''}
            <Words of={f.name} />
          </button>
        ))}
      </fieldset>
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      <p className="flex flex-wrap gap-3 pt-4">
        <Button
          weight="solid"
          disabled={faults.length > 0}
          onClick={() => onCall({ fit: true, faults: [] })}
          data-fit-to-go
        >
          Nothing is wrong: fit to go on
        </Button>
        <Button
          weight="stop"
          onClick={() =>
            faults.length > 0
              ? onCall({ fit: false, faults })
              : setFault('Stopped for what? Mark it in the list first.')
          }
          data-stop-it
        >
          Stop the work
        </Button>
      </p>
    </Dialog>
  );
}
