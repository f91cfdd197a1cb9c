import { newInstrumentSchema } from '@fulcrant/core/api';
import type { Instrument } from '@fulcrant/core/instruments';
import { check } from '@fulcrant/core/judgement';
import {
  parseForce,
  parseFrequency,
  parseLength,
  parsePressure,
  parseRoughness,
  parseTorque,
  parseTypedNumber,
  parseVelocity,
} from '@fulcrant/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ApiFault, call } from '../data/api.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSettings } from '../ui/settings.tsx';

const KINDS: Array<[Instrument['kind'], string, string]> = [
  ['feeler', 'feelers', 'smallest step between blades'],
  ['micrometer', 'micrometer', 'graduation'],
  ['dial', 'dial indicator', 'graduation'],
  ['caliper', 'caliper or depth gauge', 'graduation'],
  ['roughness', 'roughness tester', 'smallest step of Ra'],
  ['laser', 'laser or wire', 'smallest step'],
  ['wrench', 'torque wrench', 'graduation'],
  ['protractor', 'angle gauge', 'graduation in degrees'],
  ['pressure', 'pressure gauge', 'graduation'],
  ['thermometer', 'thermometer', 'step in degrees'],
  ['gun', 'grease gun', 'strokes, one at a time'],
  ['counter', 'drop counter', 'drops a minute'],
  ['vibration', 'vibration meter', 'smallest step, mm/s rms'],
  ['tension', 'belt tension meter', 'smallest step, Hz'],
  ['force', 'spring scale', 'graduation'],
];

/** A gauge of one's own into the register: its step becomes the uncertainty of what is read with it. */
export function NewGaugePage() {
  const { unit } = useSettings();
  const client = useQueryClient();
  const go = useNavigate();
  const [kind, setKind] = useState<Instrument['kind']>('feeler');
  const [text, setText] = useState({ name: '', step: '', low: '', high: '', calibrationDue: '' });
  const [faults, setFaults] = useState<Record<string, string>>({});

  const number = (t: string): { value: number } | { message: string } => {
    if (kind === 'protractor' || kind === 'gun' || kind === 'counter' || kind === 'thermometer') {
      const n = parseTypedNumber(t);
      return n
        ? { value: n.value }
        : {
            message:
              kind === 'gun'
                ? 'Type a number of strokes.'
                : kind === 'counter'
                  ? 'Type a number of drops.'
                  : 'Type degrees.',
          };
    }
    if (kind === 'vibration') {
      const n = parseVelocity(t, unit);
      return n.ok ? { value: n.mmPerS } : { message: n.message };
    }
    if (kind === 'tension') {
      const n = parseFrequency(t);
      return n.ok ? { value: n.hertz } : { message: n.message };
    }
    if (kind === 'force') {
      const n = parseForce(t, unit);
      return n.ok ? { value: n.n } : { message: n.message };
    }
    if (kind === 'pressure') {
      const n = parsePressure(t, unit);
      return n.ok ? { value: n.mpa } : { message: n.message };
    }
    if (kind === 'wrench') {
      const n = parseTorque(t, unit);
      return n.ok ? { value: n.nm } : { message: n.message };
    }
    if (kind === 'roughness') {
      const n = parseRoughness(t, unit);
      return n.ok ? { value: n.um / 1000 } : { message: n.message };
    }
    const n = parseLength(t, unit);
    return n.ok ? { value: n.mm } : { message: n.message };
  };
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const found: Record<string, string> = {};
    const read = (key: 'step' | 'low' | 'high') => {
      const n = number(text[key]);
      if ('message' in n) found[key] = n.message;
      return 'value' in n ? n.value : 0;
    };
    const body = {
      name: text.name.trim(),
      kind,
      step: read('step'),
      low: read('low'),
      high: read('high'),
      calibrationDue: text.calibrationDue,
    };
    const checked = check(newInstrumentSchema, body);
    if (!checked.ok) for (const f of checked.faults) found[f.path] ??= f.message;
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    try {
      await call('POST', '/api/instruments', body);
      await client.invalidateQueries({ queryKey: ['instruments'] });
      await go('/gauges');
    } catch (error) {
      if (error instanceof ApiFault)
        setFaults(Object.fromEntries(error.faults.map((f) => [f.path, f.message])));
      else setFaults({ name: 'No connection to the server: a gauge is entered when it is there.' });
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
      {faults[key] && <Fault>{faults[key]}</Fault>}
    </label>
  );
  return (
    <main className="mx-auto my-4 max-w-2xl border border-rule px-6 py-4">
      <div className="flex items-baseline justify-between pb-3">
        <h1 className="m-0 text-3xl">Add a gauge</h1>
        <Link className="text-steel underline underline-offset-4" to="/">
          Shift board
        </Link>
      </div>
      <form onSubmit={(e) => void submit(e)} noValidate className="grid gap-4 sm:grid-cols-2">
        {row('name', 'Name, as it is called here')}
        <label className="flex flex-col">
          <span className="kicker">Kind</span>
          <select
            value={kind}
            onChange={(e) => setKind(KINDS.find(([k]) => k === e.target.value)?.[0] ?? 'feeler')}
            className="min-h-12 border-0 border-b-2 border-muted bg-paper text-lg"
          >
            {KINDS.map(([k, label]) => (
              <option key={k} value={k}>
                {label}
              </option>
            ))}
          </select>
        </label>
        {row('step', `Step: ${KINDS.find(([k]) => k === kind)?.[2]}`)}
        {row('calibrationDue', 'Calibration due', 'date')}
        {row('low', 'Reads from')}
        {row('high', 'Reads to')}
        <Button type="submit" weight="solid" className="self-start">
          Into the register
        </Button>
      </form>
    </main>
  );
}
