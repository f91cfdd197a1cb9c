import {
  CALCULATORS,
  type FaceLoadValues,
  type LockAlignmentValues,
  listCalculators,
  type Pattern,
  runCalculator,
  withLabel,
} from '@fulcrant/core/calculators';
import { lockFigure } from '@fulcrant/core/figures';
import { NOTE_MOST, records } from '@fulcrant/core/job';
import { type CalculatorResult, VERDICT_WORD } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { expr, listOf, textKey } from '@fulcrant/core/messages';
import type { LengthUnit } from '@fulcrant/core/units';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { DrawingView } from '../figures/DrawingView.tsx';
import { Beam } from '../ui/Beam.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { FindingLine } from '../ui/verdicts.tsx';
import { Working } from '../ui/Working.tsx';
import { CalculatorList } from './CalculatorList.tsx';
import { CarryDialog } from './CarryDialog.tsx';
import { labelOf, START } from './fields.ts';
import { M } from './messages.ts';
import {
  type FlatSchema,
  inOtherUnit,
  isLength,
  isLines,
  isList,
  type Property,
  readInput,
} from './read-input.ts';

/** What the address calls the calculator by. */
const WHICH = 'sum';
/** The unit its lengths were typed in: a link is read alike on every device. */
const UNIT = 'unit';
type Typed = { unit: LengthUnit; values: Record<string, string> };

const FaceLoad = lazy(() => import('./FaceLoad.tsx'));

/** A sum without a job: any calculator of the registry, judged as it is typed. */
export function BenchPage() {
  const { unit } = useSettings();
  const { person } = useSession();
  const say = useSay();
  const listing = useMemo(listCalculators, []);
  // Which it is, and what is typed, stand in the address: a result is kept or handed on as a link.
  const [asked, setAsked] = useSearchParams();
  const id = CALCULATORS.find((c) => c.id === asked.get(WHICH))?.id ?? 'bearing.drive-up-target';
  const [typed, setTyped] = useState((): Record<string, Typed> => {
    const told = Object.fromEntries([...asked].filter(([k]) => k !== WHICH && k !== UNIT));
    if (Object.keys(told).length === 0) return {};
    return { [id]: { unit: asked.get(UNIT) === 'in' ? 'in' : 'mm', values: told } };
  });
  const choose = (next: string) => setAsked({ [WHICH]: next }, { replace: true });
  const type = (key: string, value: string) => {
    const now = { ...values, [key]: value };
    setTyped({ ...typed, [id]: { unit, values: now } });
    setAsked({ [WHICH]: id, [UNIT]: unit, ...now }, { replace: true });
  };
  const first = useRef<HTMLHeadingElement>(null);
  const chosen = useRef(id);
  // Choosing one brings its fields into view, wherever in the list it stood.
  useEffect(() => {
    if (chosen.current === id) return;
    chosen.current = id;
    first.current?.focus({ preventScroll: true });
    first.current?.scrollIntoView({ block: 'start' });
  }, [id]);
  const schema = listing.find((l) => l.id === id)?.input as FlatSchema;
  const was = typed[id] ?? { unit: 'mm' as const, values: START[id] ?? {} };
  const values = inOtherUnit(was.values, schema.properties ?? {}, was.unit, unit);
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
  const [carrying, setCarrying] = useState(false);
  const entered = (k: string, p: Property, text: string): string => {
    const [one] = Object.values(inOtherUnit({ [k]: text }, { [k]: p }, unit, unit === 'mm' ? 'in' : 'mm'));
    return (one ?? '').trim().replaceAll('\n', '; ');
  };
  /** What was entered and what came of it, as it is read here. */
  const noteOf = (result: CalculatorResult<unknown>): string => {
    const told = fields.flatMap(([k, p]) =>
      values[k]?.trim() ? [M.enteredOne({ label: labelOf(id, k), value: entered(k, p, values[k]) })] : [],
    );
    const all: Text[] = [
      M.noteOfSum({ title: CALCULATORS.find((c) => c.id === id)?.title }),
      ...result.findings.map((f) => expr`${VERDICT_WORD[f.verdict]}. ${f.reason}`),
      ...(result.findings.length === 0 ? result.working.map((l) => expr`${l.what}: ${l.sum}.`) : []),
      M.entered({ all: listOf(told, ', ') }),
    ];
    const text = all.map((t) => say(t)).join(' ');
    return text.length <= NOTE_MOST ? text : `${text.slice(0, NOTE_MOST - 2)} …`;
  };
  const loose = answer.ok ? [] : answer.faults.filter((f) => !fields.some(([k]) => faultOf(k) === f));
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="grid border border-rule lg:grid-cols-[300px_1fr]">
        <CalculatorList id={id} onChoose={choose} />
        <div className="grid gap-6 border-rule px-6 py-4 md:grid-cols-2 lg:border-l">
          <div className="flex flex-col gap-3">
            <h2
              ref={first}
              tabIndex={-1}
              className="m-0 scroll-mt-2 text-2xl leading-tight outline-none"
              data-sum
            >
              <Words of={CALCULATORS.find((c) => c.id === id)?.title} />
            </h2>
            {fields.map(([key, p]) => (
              <BenchField
                key={key}
                name={key}
                label={labelOf(id, key)}
                property={p}
                optional={!schema.required?.includes(key)}
                value={values[key] ?? ''}
                fault={faultOf(key)?.message}
                onValue={(v) => type(key, v)}
              />
            ))}
          </div>
          <div className="flex flex-col gap-4" aria-live="polite">
            {answer.ok && id === 'seal.face-load' && (
              <Suspense fallback={<div className="h-96" />}>
                <FaceLoad input={input} values={answer.result.values as FaceLoadValues} />
              </Suspense>
            )}
            {answer.ok && id === 'bearing.lock-alignment' && (
              <DrawingView
                drawing={lockFigure({
                  nut: (input as { nut: Pattern }).nut,
                  washer: (input as { washer: Pattern }).washer,
                  way: (input as { way?: 'back' }).way ?? 'forward',
                  meets: (answer.result.values as LockAlignmentValues).least,
                })}
              />
            )}
            {answer.ok ? (
              <>
                <Answer result={answer.result} />
                {person && records(person.role) && (
                  <p className="m-0">
                    <Button onClick={() => setCarrying(true)}>{say(M.addToJob)}</Button>
                  </p>
                )}
                {carrying && <CarryDialog note={noteOf(answer.result)} onClose={() => setCarrying(false)} />}
              </>
            ) : (
              loose.map((f) => <Fault key={textKey(f.message)}>{say(f.message)}</Fault>)
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
        <Beam key={textKey(b.label)} beam={b} />
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
  label: Text;
  property: Property;
  optional: boolean;
  value: string;
  fault: Text | undefined;
  onValue: (v: string) => void;
};

/** One input of a calculator, by the shape its schema gives: a choice, lines of numbers, or one number. */
function BenchField({ name, label, property, optional, value, fault, onValue }: FieldProps) {
  const say = useSay();
  const { unit } = useSettings();
  const look = 'w-full border-0 border-b-2 border-muted bg-paper text-lg text-ink';
  const id = `bench-${name}`;
  const choices = property.enum ?? (property.type === 'boolean' ? ['true', 'false'] : null);
  const said = (o: string | number) =>
    property.type === 'boolean' ? (o === 'true' ? 'yes' : 'no') : String(o);
  return (
    <div className="flex flex-col">
      <label htmlFor={id} className="text-sm text-muted">
        <Words of={label} />
        {isLength(name, property) && `, ${unit}`}
        {unit === 'in' && isList(property) ? say(M.lengthsInMm) : ''}
        {optional ? say(M.mayStayEmpty) : ''}
      </label>
      {choices ? (
        <select
          id={id}
          className={`${look} min-h-12`}
          value={value}
          onChange={(e) => onValue(e.target.value)}
        >
          <option value="">–</option>
          {choices.map((o) => (
            <option key={o} value={o}>
              {said(o)}
            </option>
          ))}
        </select>
      ) : isLines(property) ? (
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
      {fault && <Fault>{say(withLabel(fault, name, label))}</Fault>}
    </div>
  );
}
