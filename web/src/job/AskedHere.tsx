import { fromForm, type StartSetup, toForm } from '@fulcrant/core/forms';
import {
  type FormValues,
  fieldsOf,
  formName,
  type JobState,
  type LackingWhy,
  type Setup,
  tradeOf,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type FormEvent, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { TorqueField } from '../ui/TorqueField.tsx';
import { LackingDialog } from './LackingDialog.tsx';
import { M } from './messages.ts';

/** What a step needs and nobody has said when the job was opened: said here, by whoever has the part in front of him. */
export function AskedHere({
  state,
  asks,
  open,
  onSay,
  lacks = [],
  onLacking,
}: {
  state: JobState;
  asks: readonly string[];
  open: boolean;
  onSay: (setup: Setup) => Promise<Text | null>;
  /** Ways to say that the sheet gives none, where the step goes on without. */
  lacks?: readonly LackingWhy[];
  onLacking?: (why: LackingWhy, reason: string) => Promise<Text | null>;
}) {
  const [lacking, setLacking] = useState(false);
  const { unit } = useSettings();
  const say = useSay();
  const trade = tradeOf(state.setup);
  const fields = asks.flatMap((name) => fieldsOf(trade.schema).filter((f) => f.name === name));
  const [text, setText] = useState<FormValues>({});
  const [faults, setFaults] = useState<Record<string, Text>>({});
  const submit = (e: FormEvent) => {
    e.preventDefault();
    return save(text);
  };
  const save = async (text: FormValues) => {
    const shown = {
      ...toForm(trade, state.setup as StartSetup, unit),
      ...Object.fromEntries(fields.map((f) => [formName(f.name), (text[f.name] ?? '').trim()])),
    };
    // What another answer makes needless may stay empty: size and grade, where the sheet gives a torque.
    const missing = fields.filter(
      (f) =>
        (text[f.name] ?? '').trim() === '' &&
        (typeof f.needed !== 'function' || f.needed(shown) !== undefined),
    );
    if (missing.length > 0)
      return setFaults(
        Object.fromEntries(missing.map((f) => [f.name, say(M.neededHere({ label: f.label }))])),
      );
    const whole = {
      ...toForm(trade, state.setup as StartSetup, unit),
      ...Object.fromEntries(fields.map((f) => [formName(f.name), text[f.name] ?? ''])),
    };
    const read = fromForm(trade, whole, unit);
    if ('faults' in read) {
      const mine = Object.fromEntries(
        fields.flatMap((f) => {
          const said = read.faults[formName(f.name)];
          return said ? [[f.name, said]] : [];
        }),
      );
      return setFaults(Object.keys(mine).length > 0 ? mine : { '': Object.values(read.faults)[0] ?? '' });
    }
    // Only what was asked here is changed; all else of the setup stays to the letter.
    const refused = await onSay(
      withFields(
        state.setup,
        read.setup,
        fields.flatMap((f) => (f.upTo ? [f.name, f.upTo] : [f.name])),
      ),
    );
    setFaults(refused ? { '': say(refused) } : {});
  };
  return (
    <form
      onSubmit={(e) => void submit(e)}
      noValidate
      className="flex max-w-3xl flex-col gap-4 border-2 border-dotted border-brass p-4"
      data-asked-here
    >
      <p className="m-0 text-lg">{say(M.nobodyHasSaidYetWhat)}</p>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 md:grid-cols-3">
        {fields.map((f) =>
          f.options ? (
            <div key={f.name}>
              <span className="kicker">
                <Words of={f.label} />
              </span>
              {f.hint && (
                <span className="block text-[0.8125rem] leading-tight text-muted">
                  <Words of={f.hint} />
                </span>
              )}
              {f.options.length <= FEW ? (
                <fieldset className="m-0 flex flex-wrap gap-2 border-0 p-0">
                  <legend className="sr-only">{say(f.label)}</legend>
                  {f.options.map(([v, words]) => (
                    <Button
                      key={v}
                      disabled={!open}
                      aria-pressed={text[f.name] === v}
                      weight={text[f.name] === v ? 'solid' : 'line'}
                      // The one answer that is wanted is saved as it is given.
                      onClick={() => {
                        const said = { ...text, [f.name]: v };
                        setText(said);
                        if (fields.length === 1) void save(said);
                      }}
                      data-choice={v}
                    >
                      <Words of={words} />
                    </Button>
                  ))}
                </fieldset>
              ) : (
                <Choice
                  label={f.label}
                  value={text[f.name] ?? ''}
                  disabled={!open}
                  options={f.options.map(([v, words]) => [v, say(words)] as const)}
                  onChange={(v) => setText({ ...text, [f.name]: v })}
                />
              )}
              {faults[f.name] && (
                <Fault>
                  <Words of={faults[f.name]} />
                </Fault>
              )}
            </div>
          ) : f.quantity === 'torque' ? (
            <TorqueField
              key={f.name}
              label={f.label}
              hint={f.hint}
              value={text[f.name] ?? ''}
              fault={faults[f.name]}
              disabled={!open}
              onText={(t) => setText({ ...text, [f.name]: t })}
            />
          ) : (
            <TextField
              key={f.name}
              label={f.label}
              value={text[f.name] ?? ''}
              fault={faults[f.name]}
              disabled={!open}
              onText={(t) => setText({ ...text, [f.name]: t })}
            />
          ),
        )}
      </div>
      {faults[''] && (
        <Fault>
          <Words of={faults['']} />
        </Fault>
      )}
      {open && (
        <div className="flex flex-wrap gap-3">
          <Button type="submit" weight="solid">
            {say(COMMON.save)}
          </Button>
          {onLacking && lacks.length > 0 && (
            <Button onClick={() => setLacking(true)} data-lacking>
              {say(M.noNumberSheet)}
            </Button>
          )}
        </div>
      )}
      {onLacking && (
        <LackingDialog open={lacking} onClose={() => setLacking(false)} whys={lacks} onSay={onLacking} />
      )}
    </form>
  );
}

/** So few answers stand side by side, one touch each. */
const FEW = 4;

/** A setup with some fields taken from another. */
function withFields(setup: Setup, from: Setup, names: readonly string[]): Setup {
  const out: Record<string, unknown> = { ...setup };
  const source = from as Record<string, unknown>;
  for (const name of names) {
    const [head = '', tail] = name.split('.') as [string, string?];
    if (tail === undefined) out[head] = source[head];
    else
      out[head] = {
        ...((out[head] as object | undefined) ?? {}),
        [tail]: (source[head] as Record<string, unknown> | undefined)?.[tail],
      };
  }
  return out as Setup;
}
