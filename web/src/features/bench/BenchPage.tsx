import {
  CALCULATORS,
  type CalculatorResult,
  listCalculators,
  parseLength,
  parseTypedNumber,
  runCalculator,
} from '@fulcrant/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Corner } from '../../app/Corner.tsx';
import { useSay, useSettings } from '../../app/settings.tsx';
import { Beam } from '../../ui/Beam.tsx';
import { Fault } from '../../ui/controls.tsx';
import { FindingLine } from '../../ui/verdicts.tsx';
import { Working } from '../../ui/Working.tsx';

type Property = {
  type?: string;
  enum?: Array<string | number>;
  items?: unknown;
  properties?: Record<string, Property>;
};
type FlatSchema = { properties?: Record<string, Property>; required?: string[] };

const LABELS: Record<string, string> = {
  nominalMm: 'Nominal size',
  designation: 'Tolerance, as h9',
  boreMm: 'Bearing bore',
  taper: 'Taper 1:',
  clearanceClass: 'Clearance class',
  benchMm: 'Bench clearance',
  pitchMm: 'Sleeve thread pitch',
  hollowRatio: 'Bore over outside of a hollow shaft',
  makerReductionMinMm: 'Maker: reduction, least',
  makerReductionMaxMm: 'Maker: reduction, most',
  makerLeastResidualMm: 'Maker: least residual',
  bladeStepMm: 'Blade step',
  feel: 'A reading is',
  sets: 'Sets: row A, row B, a pair a line',
  makerLowerMm: 'Maker: least',
  makerUpperMm: 'Maker: most',
  nut: 'Nut slots',
  washer: 'Washer tabs',
  forwardDeg: 'Degrees to the next tab',
  reductionPerDegMm: 'Measured reduction a degree',
  reductionNowMm: 'Reduction now',
  reductionMinMm: 'Reduction, least',
  reductionMaxMm: 'Reduction, most',
  aimMm: 'Reduction aimed at',
  size: 'Bolt size',
  grade: 'Grade',
  friction: 'Threads',
  makerTorqueNm: "Maker's torque, N·m",
  plantTorqueNm: 'Plant torque, N·m',
  mu: 'Friction µ',
  count: 'Bolts',
  layout: 'Set out as',
  torqueNm: 'Final torque, N·m',
  benchUncertaintyMm: 'Bench clearance, standard uncertainty',
  readings: 'Readings: nut degrees, row A, row B, one a line',
  stepDeg: 'Degrees a turn',
  system: 'Shaft is',
  stationsMm: 'Stations, mm along the seat',
  anglesDeg: 'Angles, degrees',
  diametersMm: 'Diameters, a station a line',
  resolutionMm: 'Graduation',
};
const START: Record<string, Record<string, string>> = {
  'tolerance.iso286': { nominalMm: '90', designation: 'h9' },
  'bearing.drive-up-target': {
    boreMm: '100',
    taper: '12',
    clearanceClass: 'CN',
    benchMm: '0.100',
    pitchMm: '2',
  },
  'bearing.clearance-class': {
    boreMm: '100',
    clearanceClass: 'CN',
    bladeStepMm: '0.01',
    sets: '0.10 0.10\n0.10 0.11\n0.10 0.10',
  },
  'bearing.drive-up-forecast': {
    boreMm: '100',
    taper: '12',
    clearanceClass: 'CN',
    benchMm: '0.100',
    pitchMm: '2',
    bladeStepMm: '0.005',
    readings: '0 0.100 0.100\n45 0.085 0.085\n90 0.070 0.065',
  },
  'bearing.lock-alignment': {
    boreMm: '100',
    taper: '12',
    pitchMm: '2',
    nut: '4',
    washer: '17',
    forwardDeg: '3',
  },
  'bolting.torque': { size: 'M16', grade: '8.8', friction: 'oiled' },
  'bolting.pattern': { count: '4', layout: 'rectangle', torqueNm: '196' },
  'shaft.diameter-survey': {
    nominalMm: '90',
    system: 'metric',
    stationsMm: '0 30 60',
    anglesDeg: '0 60 120',
    diametersMm: '89.974 89.972 89.976\n89.973 89.971 89.975\n89.972 89.970 89.974',
    resolutionMm: '0.001',
  },
};

const words = (line: string) =>
  line
    .trim()
    .split(/[\s;]+/)
    .filter(Boolean);
const numbers = (line: string) => words(line).map((w) => parseTypedNumber(w)?.value ?? Number.NaN);
const lines = (text: string) => text.split('\n').filter((l) => l.trim() !== '');

/** What is typed in one field, as the calculator takes it. */
function readInput(key: string, text: string, p: Property, unit: 'mm' | 'in'): unknown {
  if (text.trim() === '') return undefined;
  if (key === 'sets') return lines(text).map((l) => ({ rowAMm: numbers(l)[0], rowBMm: numbers(l)[1] }));
  if (key === 'readings')
    return lines(text).map((l) => ({
      angleDeg: numbers(l)[0],
      rowAMm: numbers(l)[1],
      rowBMm: numbers(l)[2],
    }));
  if (key === 'diametersMm') return lines(text).map(numbers);
  if (p.properties?.count) return { count: parseTypedNumber(text)?.value ?? text };
  if (p.type === 'array') return numbers(text);
  if (p.enum && typeof p.enum[0] === 'string') return text;
  if (p.type === 'number' || typeof p.enum?.[0] === 'number') {
    if (key.endsWith('Mm')) {
      const r = parseLength(text, unit);
      return r.ok ? r.mm : text;
    }
    return parseTypedNumber(text)?.value ?? text;
  }
  return text;
}

/** A sum without a job: any calculator of the registry, judged as it is typed. */
export function BenchPage() {
  const { unit } = useSettings();
  const say = useSay();
  const listing = useMemo(listCalculators, []);
  const [id, setId] = useState('bearing.drive-up-target');
  const [typed, setTyped] = useState(START);
  const schema = listing.find((l) => l.id === id)?.input as FlatSchema;
  const values = typed[id] ?? {};
  const fields = Object.entries(schema.properties ?? {});
  const input = Object.fromEntries(
    fields.flatMap(([k, p]) => {
      const v = readInput(k, values[k] ?? '', p, unit);
      return v === undefined ? [] : [[k, v]];
    }),
  );
  const answer = runCalculator(id, input, unit);
  const faultOf = (key: string) =>
    answer.ok
      ? undefined
      : answer.faults.find(
          (f) => f.path === key || f.path.startsWith(`${key}.`) || f.path.startsWith(`${key}[`),
        );
  const loose = answer.ok ? [] : answer.faults.filter((f) => !fields.some(([k]) => faultOf(k) === f));
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="grid border border-rule lg:grid-cols-[300px_1fr]">
        <nav className="border-b border-rule px-4 py-4 lg:border-b-0 lg:border-r" aria-label="Sums">
          <h1 className="m-0 mb-2 text-3xl">The bench</h1>
          <Link className="text-steel underline underline-offset-4" to="/">
            Shift board
          </Link>
          <ul className="m-0 mt-3 list-none p-0">
            {CALCULATORS.map((c) => (
              <li key={c.id} className="border-t border-faint">
                <button
                  type="button"
                  aria-current={c.id === id}
                  onClick={() => setId(c.id)}
                  className="min-h-12 w-full py-1.5 text-left leading-snug aria-[current=true]:font-semibold aria-[current=true]:text-brass"
                >
                  {c.title}
                </button>
              </li>
            ))}
          </ul>
        </nav>
        <div className="grid gap-6 px-6 py-4 md:grid-cols-2">
          <div className="flex flex-col gap-3">
            {fields.map(([key, p]) => (
              <BenchField
                key={key}
                name={key}
                property={p}
                optional={!schema.required?.includes(key)}
                value={values[key] ?? ''}
                fault={faultOf(key)?.message}
                onValue={(v) => setTyped({ ...typed, [id]: { ...values, [key]: v } })}
              />
            ))}
          </div>
          <div className="flex flex-col gap-4" aria-live="polite">
            {answer.ok ? (
              <Answer result={answer.result} />
            ) : (
              loose.map((f) => <Fault key={f.message}>{say(f.message)}</Fault>)
            )}
          </div>
        </div>
      </main>
      <footer>
        <Corner />
      </footer>
    </div>
  );
}

function Answer({ result }: { result: CalculatorResult<unknown> }) {
  return (
    <>
      {result.beams.map((b) => (
        <Beam key={b.label} beam={b} />
      ))}
      <ul className="m-0 list-none p-0">
        {result.findings.map((f) => (
          <FindingLine key={f.code} finding={f} />
        ))}
      </ul>
      <Working lines={result.working} />
    </>
  );
}

type FieldProps = {
  name: string;
  property: Property;
  optional: boolean;
  value: string;
  fault: string | undefined;
  onValue: (v: string) => void;
};

/** One input of a calculator, by the shape its schema gives: a choice, lines of numbers, or one number. */
function BenchField({ name, property, optional, value, fault, onValue }: FieldProps) {
  const look = 'w-full border-0 border-b-2 border-muted bg-paper text-lg text-ink';
  const id = `bench-${name}`;
  const label = LABELS[name] ?? name;
  const manyLines = property.type === 'array' && !['stationsMm', 'anglesDeg'].includes(name);
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-sm text-muted">
        {label}
        {optional ? ' (may stay empty)' : ''}
      </label>
      {property.enum ? (
        <select
          id={id}
          className={`${look} min-h-12`}
          value={value}
          onChange={(e) => onValue(e.target.value)}
        >
          <option value="">–</option>
          {property.enum.map((o) => (
            <option key={o} value={o}>
              {o}
            </option>
          ))}
        </select>
      ) : manyLines ? (
        <textarea
          id={id}
          rows={4}
          className={`${look} figures`}
          value={value}
          onChange={(e) => onValue(e.target.value)}
        />
      ) : (
        <input
          id={id}
          className={`${look} figures min-h-12`}
          autoComplete="off"
          value={value}
          onChange={(e) => onValue(e.target.value)}
        />
      )}
      {fault && <Fault>{fault.replace(name, label)}</Fault>}
    </div>
  );
}
