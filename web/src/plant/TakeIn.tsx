import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { call } from '../data/api.ts';
import { faultsOf } from '../data/asked.ts';
import { Button, Dialog, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

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
  const say = useSay();
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
        {say(M.csvHead)} <span className="figures">{head}</span>
        {say(M.everyRowLookedBeforeOne)}
      </p>
      <input
        ref={file}
        type="file"
        accept=".csv,text/csv"
        aria-label={say(M.csvFile)}
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
            {say(
              M.notRightNothingTaken({
                count: told.faults.length === 1 ? M.oneRow : M.rows({ count: told.faults.length }),
              }),
            )}
          </p>
          <ul className="m-0 max-h-60 list-none overflow-auto p-0">
            {told.faults.map((f) => (
              <li key={`${f.line} ${f.message}`} className="border-t border-faint py-1">
                {say(M.line({ line: f.line, message: f.message }))}
              </li>
            ))}
          </ul>
        </>
      )}
      {told && told.faults.length === 0 && (
        <p role="status">
          {told.done
            ? say(M.takenNewKnownAlready({ fresh, count: told.taken.length - fresh }))
            : say(
                M.rowsNewKnownAlready({ count: told.taken.length, fresh, count2: told.taken.length - fresh }),
              )}
        </p>
      )}
      <div className="mt-3 flex gap-3">
        {csv && told && !told.done && told.faults.length === 0 && told.taken.length > 0 && (
          <Button weight="solid" onClick={() => void ask(csv, false)}>
            {say(M.takeThem)}
          </Button>
        )}
        <Button onClick={onClose}>{told?.done ? say(M.good) : say(COMMON.leave)}</Button>
      </div>
    </Dialog>
  );
}
