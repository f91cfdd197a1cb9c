import {
  check,
  conditionOf,
  type JobKind,
  kindOf,
  type LengthUnit,
  lengthDigits,
  parseLength,
  parseRoughness,
  parseTorque,
  parseTypedNumber,
  type Setup,
  schoolsOf,
  setupSchema,
} from '@fulcrant/core';
import { type Field, type FormValues, fieldsOf, formName } from './field-lists.ts';

/** A setup to start a form from: not all of it need be there. */
export type StartSetup = Partial<Setup> & { procedure?: Setup['procedure'] };

function valueAt(setup: StartSetup, name: string): unknown {
  const [head, tail] = name.split('.') as [string, string?];
  if (head === 'measures') return conditionOf(setup as Setup).measures.some((m) => m === tail) ? 'yes' : '';
  const v = (setup as Record<string, unknown>)[head];
  return tail ? (v as Record<string, unknown> | undefined)?.[tail] : v;
}

function show(field: Field, v: unknown, unit: LengthUnit): string {
  if (field.name === 'holdBefore') return (v as string[] | undefined)?.[0] ?? '';
  if (v === undefined || v === null) return '';
  if (field.kind === 'length' && typeof v === 'number')
    return `${Number(lengthDigits(v, unit, Math.max(3, field.decimals ?? 3)))} ${unit}`;
  if (field.kind === 'torque') return `${v} N·m`;
  if (field.kind === 'roughness') return `${v} µm`;
  return String(v);
}

/** A setup as the form shows it, lengths in the unit in force. */
export function toForm(start: StartSetup, unit: LengthUnit): FormValues {
  const setup = { ...start, schools: schoolsOf(start as Setup) };
  return Object.fromEntries(
    fieldsOf(kindOf(setup as Setup)).map((field) => [
      formName(field.name),
      show(field, valueAt(setup, field.name), unit),
    ]),
  );
}

export type FormFaults = Record<string, string>;

function readField(field: Field, text: string, unit: LengthUnit): { value: unknown } | { message: string } {
  if (field.name === 'holdBefore') return { value: text === '' ? [] : [text] };
  if (text === '') return field.optional ? { value: undefined } : { message: `${field.label} is missing.` };
  switch (field.kind) {
    case 'length': {
      const r = parseLength(text, unit);
      return r.ok ? { value: Number(r.mm.toFixed(6)) } : { message: r.message };
    }
    case 'torque': {
      const r = parseTorque(text, unit);
      return r.ok ? { value: Number(r.nm.toFixed(3)) } : { message: r.message };
    }
    case 'roughness': {
      const r = parseRoughness(text, unit);
      return r.ok ? { value: Number(r.um.toFixed(4)) } : { message: r.message };
    }
    case 'number': {
      const r = parseTypedNumber(text);
      return r ? { value: r.value } : { message: `${field.label} is a number.` };
    }
    case 'choice':
      return { value: field.name === 'taper' ? Number(text) : text };
    case 'flag':
    case 'text':
      return { value: text };
  }
}

/** The fields asked for as the form stands. */
export const fieldsAsked = (kind: JobKind, values: FormValues): Field[] =>
  fieldsOf(kind).filter((field) => !field.when || field.when(values));

/** The form as a setup, or a sentence for each field that is not right. */
export function fromForm(
  values: FormValues,
  unit: LengthUnit,
  kind: JobKind = 'sleeve-bearing.feelers',
): { setup: Setup } | { faults: FormFaults } {
  const faults: FormFaults = {};
  const condition: Record<string, unknown> = { measures: [] as string[] };
  const setup: Record<string, unknown> = { maker: {}, schools: {}, condition };
  if (kind === 'condition.survey') setup.procedure = kind;
  const asked = fieldsAsked(kind, values);
  for (const field of asked) {
    const read = readField(field, (values[formName(field.name)] ?? '').trim(), unit);
    if ('message' in read) faults[formName(field.name)] = read.message;
    else if (read.value !== undefined) {
      const [head, tail] = field.name.split('.') as [string, string?];
      if (head === 'measures') (condition.measures as string[]).push(tail ?? '');
      else if (tail) (setup[head] as Record<string, unknown>)[tail] = read.value;
      else setup[head] = read.value;
    }
  }
  if (kind === 'sleeve-bearing.feelers' && !(condition.measures as string[]).includes('shaft'))
    faults['measures:shaft'] = 'Nothing is fitted to a shaft that was not measured: leave the diameters in.';
  if ((condition.measures as string[]).length === 0)
    faults['measures:look'] = 'Nothing is to be measured yet.';
  if (Object.keys(faults).length > 0) return { faults };
  const checked = check(setupSchema, setup);
  if (checked.ok) return { setup: checked.value };
  for (const { path, message } of checked.faults) {
    const field = asked.find((x) => x.name === path);
    faults[field ? formName(field.name) : 'shaftMm'] = field ? message.replace(path, field.label) : message;
  }
  return { faults };
}
