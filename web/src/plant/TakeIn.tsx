import type { Text } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { call } from '../data/api.ts';
import { faultsOf } from '../data/asked.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { Words } from '../ui/settings.tsx';

type Told = {
  taken: ReadonlyArray<{ was: 'new' | 'known' }>;
  faults: ReadonlyArray<{ line: number; message: string }>;
  done: boolean;
};

/** Rows of a file taken in: what it would do is shown first; one bad row and none is taken. */
export function TakeIn({
  title,
  head,
  path,
  renews,
  onClose,
}: {
  title: string;
  /** The columns a file must have. */
  head: string;
  path: string;
  /** What is asked for anew once it is taken in. */
  renews: string;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const [csv, setCsv] = useState<string | null>(null);
  const [told, setTold] = useState<Told | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const ask = async (text: string, look: boolean) => {
    setFault(null);
    try {
      setTold(await call<Told>('POST', path, { csv: text, look }));
      if (!look) await client.invalidateQueries({ queryKey: [renews] });
    } catch (error) {
      setFault(Object.values(faultsOf(error))[0] ?? null);
    }
  };
  const fresh = told?.taken.filter((t) => t.was === 'new').length ?? 0;
  return (
    <Dialog open onClose={onClose} title={title} wide>
      <p className="mt-0">
        A CSV with a head: <span className="figures">{head}</span>. Every row is looked at before one is
        taken.
      </p>
      <input
        ref={file}
        type="file"
        accept=".csv,text/csv"
        aria-label="CSV file"
        onChange={(e) =>
          void e.target.files?.[0]?.text().then((text) => {
            setCsv(text);
            return ask(text, true);
          })
        }
      />
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {told && told.faults.length > 0 && (
        <>
          <p className="mb-1 font-medium text-stop">
            {`${told.faults.length === 1 ? 'One row is' : `${told.faults.length} rows are`} not right: nothing is taken in.`}
          </p>
          <ul className="m-0 max-h-60 list-none overflow-auto p-0">
            {told.faults.map((f) => (
              <li key={`${f.line} ${f.message}`} className="border-t border-faint py-1">
                Line {f.line}: {f.message}
              </li>
            ))}
          </ul>
        </>
      )}
      {told && told.faults.length === 0 && (
        <p role="status">
          {told.done
            ? `Taken in: ${fresh} new, ${told.taken.length - fresh} known already.`
            : `${told.taken.length} rows: ${fresh} new, ${told.taken.length - fresh} known already.`}
        </p>
      )}
      <div className="mt-3 flex gap-3">
        {csv && told && !told.done && told.faults.length === 0 && told.taken.length > 0 && (
          <Button weight="solid" onClick={() => void ask(csv, false)}>
            Take them in
          </Button>
        )}
        <Button onClick={onClose}>{told?.done ? 'Good' : 'Leave it'}</Button>
      </div>
    </Dialog>
  );
}
