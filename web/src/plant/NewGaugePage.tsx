import { newInstrumentSchema } from '@fulcrant/core/api';
import {
  gaugeKind,
  INSTRUMENT_KINDS,
  type Instrument,
  needsDate,
  quantityOf,
} from '@fulcrant/core/instruments';
import { check } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { measured } from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { ApiFault, call } from '../data/api.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** A gauge of one's own into the register: its step becomes the uncertainty of what is read with it. */
export function NewGaugePage() {
  const say = useSay();
  const { unit } = useSettings();
  const client = useQueryClient();
  const go = useNavigate();
  const [asked] = useSearchParams();
  const [kind, setKind] = useState<Instrument['kind']>(
    INSTRUMENT_KINDS.find((k) => k === asked.get('kind')) ?? 'feeler',
  );
  const [text, setText] = useState({ name: '', step: '', low: '', high: '', calibrationDue: '', serial: '' });
  const [faults, setFaults] = useState<Record<string, Text>>({});

  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const found: Record<string, Text> = {};
    const read = (key: 'step' | 'low' | 'high') => {
      const { read, readStep } = measured(quantityOf(kind));
      const n = key === 'step' && readStep ? readStep(text[key]) : read(text[key], unit);
      if (!n.ok) found[key] = n.message;
      return n.ok ? n.value : 0;
    };
    const body = {
      name: text.name.trim(),
      kind,
      step: read('step'),
      low: read('low'),
      high: read('high'),
      ...(text.calibrationDue ? { calibrationDue: text.calibrationDue } : {}),
      ...(text.serial.trim() ? { serial: text.serial.trim() } : {}),
    };
    const checked = check(newInstrumentSchema, body);
    if (!checked.ok) for (const f of checked.faults) found[f.path] ??= f.message;
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    try {
      await call('POST', '/api/instruments', body);
      await client.invalidateQueries({ queryKey: ['instruments'] });
      // Back to the job that wanted it, where one did.
      const back = asked.get('back') ?? '';
      await go(/^\/jobs\/[\w-]+$/.test(back) ? back : '/gauges');
    } catch (error) {
      if (error instanceof ApiFault)
        setFaults(Object.fromEntries(error.faults.map((f) => [f.path, f.message])));
      else setFaults({ name: say(M.noConnectionServerGaugeEntered) });
    }
  };
  const row = (key: keyof typeof text, label: string, type = 'text') => (
    <label className="flex flex-col">
      <span className="kicker">{label}</span>
      <input
        type={type}
        value={text[key]}
        onChange={(e) => setText({ ...text, [key]: e.target.value })}
        maxLength={60}
        autoComplete="off"
        className="min-h-12 border-0 border-b-2 border-muted bg-transparent text-lg"
        aria-invalid={faults[key] !== undefined}
      />
      {faults[key] && (
        <Fault>
          <Words of={faults[key]} />
        </Fault>
      )}
    </label>
  );
  return (
    <main className="mx-auto my-4 max-w-2xl border border-rule px-6 py-4">
      <div className="flex items-baseline justify-between pb-3">
        <h1 className="m-0 text-3xl">{say(COMMON.addGauge)}</h1>
        <Link
          className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
          to="/"
        >
          {say(COMMON.shiftBoard)}
        </Link>
      </div>
      <form onSubmit={(e) => void submit(e)} noValidate className="grid gap-4 sm:grid-cols-2">
        {row('name', say(COMMON.nameText))}
        <label className="flex flex-col">
          <span className="kicker">{say(M.kind2)}</span>
          <select
            value={kind}
            onChange={(e) => setKind(e.target.value as Instrument['kind'])}
            className="min-h-12 border-0 border-b-2 border-muted bg-paper text-lg"
          >
            {INSTRUMENT_KINDS.map((k) => (
              <option key={k} value={k}>
                <Words of={gaugeKind(k).name} />
              </option>
            ))}
          </select>
        </label>
        {row('step', say(M.step2({ step: gaugeKind(kind).step })))}
        {row('calibrationDue', say(needsDate(kind) ? M.calibrationDue2 : M.calibrationDueOptional), 'date')}
        {row('low', say(M.readsFrom))}
        {row('high', say(M.reads2))}
        {row('serial', say(M.serialNumberOptional))}
        <Button type="submit" weight="solid" className="self-start">
          {say(COMMON.add)}
        </Button>
      </form>
    </main>
  );
}
