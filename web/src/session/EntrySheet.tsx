import { type FormEvent, type ReactNode, useState } from 'react';
import { type Faults, faultsOf } from '../data/asked.ts';
import { Fault } from '../ui/controls.tsx';
import { Mark } from '../ui/Mark.tsx';
import { Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';

type Text = Record<string, string>;
export type EntryRow = { name: string; label: string; more?: object };

/** The way in by a form of a few lines: what is wrong stands beside its line, and what was typed stays. */
export function EntrySheet({
  title,
  says,
  rows,
  begin,
  onEnter,
  children,
}: {
  title: string;
  says: string;
  rows: readonly EntryRow[];
  /** What stands in the lines at first. */
  begin: Text;
  onEnter: (text: Text) => Promise<unknown>;
  /** The button, and what stands beside it. */
  children: ReactNode;
}) {
  const [text, setText] = useState(begin);
  const [faults, setFaults] = useState<Faults>({});
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      // A password is what was typed, blanks and all.
      await onEnter(
        Object.fromEntries(Object.entries(text).map(([k, v]) => [k, k === 'password' ? v : v.trim()])),
      );
    } catch (error) {
      setFaults(faultsOf(error, M.noConnectionServerWhatYou));
    }
  };
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <div className="w-full max-w-xl border border-rule">
        <div className="flex items-center gap-4 border-b border-rule px-6 py-4">
          <Mark size={58} />
          <div>
            <h1 className="m-0 text-3xl leading-none">{title}</h1>
            <p className="m-0 text-muted">{says}</p>
          </div>
        </div>
        <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-4 px-6 py-5">
          {rows.map((r) => (
            <TextField
              key={r.name}
              strong
              label={r.label}
              value={text[r.name] ?? ''}
              fault={faults[r.name]}
              onText={(t) => setText({ ...text, [r.name]: t })}
              {...r.more}
            />
          ))}
          {faults[''] && (
            <Fault>
              <Words of={faults['']} />
            </Fault>
          )}
          {children}
        </form>
      </div>
    </main>
  );
}
