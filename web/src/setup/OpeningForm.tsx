import {
  boxesOf,
  DEPTHS,
  type Depth,
  fieldsAsked,
  fromForm,
  type Opening,
  toForm,
} from '@fulcrant/core/forms';
import { type Field, type FormValues, formName, type Setup, type Trade } from '@fulcrant/core/job';
import { COMMON, inline, listOf, type Text, textKey } from '@fulcrant/core/messages';
import type { LengthUnit } from '@fulcrant/core/units';
import { say } from '@fulcrant/core/units';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { type ReactNode, useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { type FieldErrors, FieldGroups, FlagRow } from './FieldGroups.tsx';
import { M } from './messages.ts';
import { PositionPrint, placesOf } from './PositionPrint.tsx';

type Props = {
  trade: Trade;
  opening: Opening;
  /** The place is known by name already: it is not typed. */
  placed: boolean;
  /** What was typed before a reload. */
  draft: { values: FormValues; unit: LengthUnit } | null;
  onTyped: (values: FormValues, unit: LengthUnit) => void;
  /** The stamp as it is typed: what it says comes back in the next `opening`. */
  onStamp: (stamp: string) => void;
  /** What is known of the part by its stamp, in words. */
  stampSaid: ReactNode;
  /** The depth of check as it is chosen: what it asks for comes back in the next `opening`. */
  onDepth: (depth: Depth) => void;
  onSetup: (setup: Setup) => Promise<void>;
  /** Where: a known position, picked. */
  where: ReactNode;
  /** What stands between the place’s name and the stamp: the work. */
  work: ReactNode;
};

/**
 * The answers a job is opened with: place, work and stamp, then the print of the position with its open boxes. What is the way it
 * usually is stands behind one touch; what a later step needs is asked there.
 */
export function OpeningForm(props: Props) {
  const tell = useSay();
  const { trade, opening, placed, draft, onTyped, onStamp, onDepth, stampSaid, onSetup, where, work } = props;
  const { unit } = useSettings();
  const form = useForm<FormValues>({
    defaultValues: toForm(trade, opening.start, unit),
    resolver: (values) => {
      const read = fromForm(trade, values, unit);
      return 'setup' in read
        ? { values, errors: {} }
        : {
            values: {},
            errors: Object.fromEntries(
              Object.entries(read.faults).map(([k, fault]) => [
                k,
                { type: 'value', message: say(fault, unit) },
              ]),
            ),
          };
    },
  });
  const [typedHere, setTypedHere] = useState<ReadonlySet<string>>(
    () => new Set(draft && draft.unit === unit ? Object.keys(draft.values) : []),
  );
  const values = useWatch({ control: form.control }) as FormValues;
  // What was typed before a reload comes back as typed.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, as the form begins
  useEffect(() => {
    if (draft?.unit !== unit) return;
    for (const [name, value] of Object.entries(draft.values))
      form.setValue(name, value, { shouldDirty: true });
  }, []);
  // What is newly known fills what nobody has typed.
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was typed is looked at, not waited for
  useEffect(() => {
    const told = toForm(trade, opening.start, unit);
    for (const [name, value] of Object.entries(told))
      if (!typedHere.has(name) && form.getValues(name) !== value) form.setValue(name, value);
  }, [opening, trade, unit]);
  const heard = useLatest({ onTyped, onStamp });
  useEffect(() => {
    const told = form.watch((all, { name, type }) => {
      if (type !== 'change' || !name) return;
      setTypedHere((before) => (before.has(name) ? before : new Set([...before, name])));
      if (name === 'partNumber') heard.current?.onStamp(all.partNumber ?? '');
    });
    return () => told.unsubscribe();
  }, [form, heard]);
  useEffect(() => {
    if (typedHere.size > 0)
      heard.current?.onTyped(Object.fromEntries([...typedHere].map((n) => [n, values[n] ?? ''])), unit);
  }, [typedHere, values, unit, heard]);

  const touch = (name: string, value: string) => {
    setTypedHere((before) => new Set([...before, name]));
    form.setValue(name, value, { shouldDirty: true, shouldValidate: form.formState.isSubmitted });
  };
  const errors = form.formState.errors;
  const faultOf = (name: string) => errors[formName(name)]?.message;
  const boxes = boxesOf(trade, values, opening.from);
  const onPrint = [...boxes.open, ...boxes.known, ...boxes.free].filter((f) => !(f.inSight && f.options));
  // A box that is being filled stays where it is: the order is the trade’s own, not what is open just now.
  const inOrder = orderOf(trade, values, onPrint);
  const free = new Set(boxes.free.map((f) => f.name));
  const unsaid = boxes.later.filter((f) => (values[formName(f.name)] ?? '').trim() === '');
  const inSight = boxes.usual.filter((f) => f.inSight && f.quantity === 'flag');
  const chosenInSight = fieldsAsked(trade, values).filter((f) => f.inSight && f.options);
  const usualFaults = boxes.usual.filter((f) => !f.inSight && faultOf(f.name)).length;
  const faulty = Object.keys(errors).length;
  const submit = form.handleSubmit(async (all) => {
    const read = fromForm(trade, all, unit);
    if ('setup' in read) await onSetup(read.setup);
  });
  const line = (name: 'machine' | 'position' | 'partNumber', label: string) => (
    <TextField
      label={label}
      strong={name === 'partNumber'}
      value={values[name] ?? ''}
      fault={faultOf(name)}
      onText={(t) => {
        touch(name, t);
        if (name === 'partNumber') onStamp(t);
      }}
    />
  );
  return (
    <form onSubmit={(e) => void submit(e)} noValidate className="flex flex-col gap-3 pb-20">
      <div className="grid gap-x-8 gap-y-3 md:grid-cols-2">
        {where}
        {!placed && (
          <div className="flex flex-col gap-3">
            {line('machine', tell(COMMON.machine))}
            {line('position', tell(COMMON.position))}
          </div>
        )}
      </div>
      {work}
      {chosenInSight.map((f) => (
        <ChoiceRow
          key={f.name}
          field={f}
          chosen={values[formName(f.name)] ?? ''}
          fault={faultOf(f.name)}
          onChoose={(value) => touch(formName(f.name), value)}
        />
      ))}
      <div className="grid items-end gap-x-8 gap-y-2 md:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
        {line('partNumber', tell(COMMON.partAsStamped))}
        <div className="min-h-6 text-[0.95rem]">{stampSaid}</div>
      </div>
      <DepthChoice
        chosen={values.depth ?? ''}
        fault={faultOf('depth')}
        onChoose={(depth) => {
          touch('depth', depth);
          onDepth(depth);
        }}
      />
      {inSight.length > 0 && (
        <fieldset className="m-0 border-0 border-t border-rule p-0 pt-1">
          <legend className="kicker pr-3">
            <Words of={inSight[0]?.group} />
          </legend>
          <FlagRow fields={inSight} values={values} errors={errors as FieldErrors} onFlag={touch} />
        </fieldset>
      )}
      {inOrder.length > 0 && (
        <section aria-label={tell(M.print)}>
          <h2 className="kicker m-0 border-t border-rule pt-2">
            {boxes.open.length === 0
              ? tell(M.nothingOpenLookOver)
              : boxes.open.length === 1
                ? tell(M.oneBoxOpen)
                : tell(M.boxesOpen({ count: boxes.open.length }))}
          </h2>
          <PositionPrint
            pieces={trade.slots.position ?? []}
            fields={inOrder}
            free={free}
            values={values}
            from={opening.from}
            typed={(n) => typedHere.has(formName(n))}
            faultOf={faultOf}
            register={form.register}
            onChoose={touch}
          />
        </section>
      )}
      {unsaid.length > 0 && (
        <p className="m-0 text-muted" data-later>
          {tell(M.askedStepNeeds({ laterSaid: laterSaid(unsaid) }))}
        </p>
      )}
      <Usual
        trade={trade}
        fields={boxes.usual.filter((f) => !f.inSight)}
        later={boxes.later}
        values={values}
        errors={errors as FieldErrors}
        register={form.register}
        onFlag={touch}
        faults={usualFaults}
      />
      <div className="fixed inset-x-0 bottom-[var(--index,0px)] z-20 border-t border-rule bg-paper px-4 py-2 lg:left-[var(--index-side,0px)]">
        <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-4">
          <Button type="submit" weight="solid">
            {tell(M.openSheet)}
          </Button>
          {faulty > 0 && (
            <Fault>{faulty === 1 ? tell(M.oneFieldWantsLook) : tell(M.fieldsWantLook({ faulty }))}</Fault>
          )}
        </div>
      </div>
    </form>
  );
}

/** One of a few answers that decide the work: all in sight, one touch. */
function ChoiceRow({
  field,
  chosen,
  fault,
  onChoose,
}: {
  field: Field;
  chosen: string;
  fault: string | undefined;
  onChoose: (value: string) => void;
}) {
  return (
    <fieldset className="m-0 flex flex-wrap items-center gap-1.5 border-0 p-0">
      <legend className="kicker mb-1">
        <Words of={field.label} />
      </legend>
      {field.options?.map(([value, label]) => (
        <Button
          key={value}
          aria-pressed={chosen === value}
          weight={chosen === value ? 'solid' : 'line'}
          className="!px-2.5 py-0.5 !text-base"
          onClick={() => onChoose(value)}
        >
          <Words of={label} />
        </Button>
      ))}
      {fault && <Fault>{fault}</Fault>}
    </fieldset>
  );
}

const DEPTH_WORDS: Record<Depth, { name: Text; says: Text }> = {
  essential: { name: M.essential, says: M.essentialSays },
  standard: { name: M.standard, says: M.standardSays },
  thorough: { name: M.thorough, says: M.thoroughSays },
};

/** How deep the job is checked: three answers, with what each means. */
function DepthChoice({
  chosen,
  fault,
  onChoose,
}: {
  chosen: string;
  fault: string | undefined;
  onChoose: (depth: Depth) => void;
}) {
  const say = useSay();
  return (
    <fieldset className="m-0 flex flex-wrap items-center gap-1.5 border-0 border-t border-rule p-0 pt-2">
      <legend className="kicker pr-3">{say(COMMON.depthOfCheck)}</legend>
      {DEPTHS.map((depth) => (
        <Button
          key={depth}
          aria-pressed={chosen === depth}
          weight={chosen === depth ? 'solid' : 'line'}
          className="!px-2.5 py-0.5 text-left !text-base"
          onClick={() => onChoose(depth)}
        >
          <Words of={DEPTH_WORDS[depth].name} />
          <span className="block font-text text-[0.8125rem] font-normal leading-tight">
            <Words of={DEPTH_WORDS[depth].says} />
          </span>
        </Button>
      ))}
      {fault && <Fault>{fault}</Fault>}
    </fieldset>
  );
}

/** Fields in the order the trade asks for them. */
function orderOf(trade: Trade, values: FormValues, fields: readonly Field[]): Field[] {
  const boxes = boxesOf(trade, values, {});
  const all = [...boxes.open, ...boxes.known, ...boxes.free, ...boxes.usual, ...boxes.later];
  const names = fields.map((f) => f.name);
  // Sizes on the drawing come first, from left to right.
  const places = placesOf(trade.slots.position ?? []);
  const from = (f: Field) => places[f.name]?.at[0] ?? Number.POSITIVE_INFINITY;
  return all
    .filter((f) => names.includes(f.name))
    .sort(
      (a, b) =>
        (from(a) === from(b) ? 0 : from(a) - from(b)) ||
        textKey(a.group).localeCompare(textKey(b.group)) ||
        textKey(a.label).localeCompare(textKey(b.label)),
    );
}
/** Groups of what is asked later, once each. */
const laterSaid = (fields: readonly Field[]): Text =>
  listOf([...new Map(fields.map((f) => [textKey(f.group), inline(f.group)])).values()], ', ');

/** The way it usually is: shut, a line that says how much; open, every field of it. */
function Usual({
  trade,
  fields,
  later,
  values,
  errors,
  register,
  onFlag,
  faults,
}: {
  trade: Trade;
  fields: readonly Field[];
  later: readonly Field[];
  values: FormValues;
  errors: FieldErrors;
  register: ReturnType<typeof useForm<FormValues>>['register'];
  onFlag: (name: string, value: string) => void;
  faults: number;
}) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const shown = open || faults > 0;
  const all = [...fields, ...later];
  return (
    <section aria-label={say(M.asUsually)} className="border-t border-rule">
      <button
        type="button"
        aria-expanded={shown}
        onClick={() => setOpen(!open)}
        className="flex min-h-12 w-full items-center gap-2 text-left font-label text-lg font-semibold"
      >
        {shown ? <ChevronDown aria-hidden="true" size={20} /> : <ChevronRight aria-hidden="true" size={20} />}
        {say(
          M.asUsually2({
            value: [
              trade.words.changes,
              ...(!trade.words.measuresOnly && all.some((f) => f.name.startsWith('measures.'))
                ? [say(COMMON.whatMeasured)]
                : []),
              say(M.houseRules),
            ]
              .map((x) => say(x))
              .join(', '),
          }),
        )}
      </button>
      {shown && (
        <FieldGroups fields={all} values={values} errors={errors} register={register} onFlag={onFlag} />
      )}
    </section>
  );
}
