import type { Rig } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import type { Call } from '@fulcrant/practice';
import { useState } from 'react';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

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
  const say = useSay();
  const [faults, setFaults] = useState<readonly string[]>([]);
  const [fault, setFault] = useState<Text | null>(null);
  const tick = (id: string) => {
    setFault(null);
    setFaults(faults.includes(id) ? faults.filter((f) => f !== id) : [...faults, id]);
  };
  return (
    <Dialog open={open} onClose={onClose} title={say(M.whatDoYouMake)}>
      <p className="mt-0">{say(M.fitGoStoppedWhatThen)}</p>
      <fieldset className="m-0 grid border-0 p-0">
        <legend className="kicker">{say(M.whatWrong)}</legend>
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
          {say(M.nothingWrongFitGo)}
        </Button>
        <Button
          weight="stop"
          onClick={() =>
            faults.length > 0 ? onCall({ fit: false, faults }) : setFault(say(M.stoppedWhatMarkListFirst))
          }
          data-stop-it
        >
          {say(M.stopWork)}
        </Button>
      </p>
    </Dialog>
  );
}
