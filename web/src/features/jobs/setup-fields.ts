import {
  check,
  conditionOf,
  type HouseRules,
  type JobKind,
  kindOf,
  type LengthUnit,
  lengthDigits,
  parseLength,
  parsePressure,
  parseRoughness,
  parseTemperature,
  parseTorque,
  parseTypedNumber,
  type Setup,
  schoolsOf,
  setupSchema,
} from '@fulcrant/core';
import { type Field, type FormValues, formName } from './field.ts';
import { fieldsOf } from './field-lists.ts';

/** A setup to start a form from: not all of it need be there. */
export type StartSetup = Partial<Setup> & { procedure?: Setup['procedure'] };

function valueAt(setup: StartSetup, name: string): unknown {
  const [head, tail] = name.split('.') as [string, string?];
  if (head === 'measures') return conditionOf(setup as Setup).measures.some((m) => m === tail) ? 'yes' : '';
  const whole = setup as Record<string, unknown>;
  // Whether a part is asked for is told by its being there.
  if (head === 'with') return whole[tail ?? ''] === undefined ? '' : 'yes';
  const v = whole[head];
  return tail ? (v as Record<string, unknown> | undefined)?.[tail] : v;
}

function show(field: Field, v: unknown, unit: LengthUnit): string {
  if (field.name === 'holdBefore') return (v as string[] | undefined)?.[0] ?? '';
  if (v === undefined || v === null) return field.fallback ?? '';
  if (v === true) return 'yes';
  if (v === false) return '';
  if (field.kind === 'length' && typeof v === 'number')
    return `${Number(lengthDigits(v, unit, Math.max(3, field.decimals ?? 3)))} ${unit}`;
  if (field.kind === 'angles') return (v as number[]).join(' ');
  if (field.kind === 'torque') return `${v} N·m`;
  if (field.kind === 'roughness') return `${v} µm`;
  if (field.kind === 'pressure') return `${v} MPa`;
  if (field.kind === 'temperature') return `${v} °C`;
  return String(v);
}

/** Fields whose start a house rule gives where the setup says nothing. */
const BY_RULE: Record<string, keyof HouseRules> = { 'grease.school': 'fill' };

/** A setup as the form shows it, lengths in the unit in force. */
export function toForm(start: StartSetup, unit: LengthUnit): FormValues {
  const setup = { ...start, schools: schoolsOf(start as Setup) };
  return Object.fromEntries(
    fieldsOf(kindOf(setup as Setup)).map((field) => [
      formName(field.name),
      show(field, valueAt(setup, field.name) ?? ruled(field.name, setup.schools), unit),
    ]),
  );
}

const ruled = (name: string, rules: HouseRules): unknown => {
  const rule = BY_RULE[name];
  return rule ? rules[rule] : undefined;
};

export type FormFaults = Record<string, string>;
type Read = { value: unknown } | { message: string };

const rounded = (n: number, digits: number): { value: number } => ({ value: Number(n.toFixed(digits)) });

/** Angles with blanks or semicolons between them. */
function readAngles(field: Field, text: string): Read {
  const all = text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map(parseTypedNumber);
  return all.every((n) => n !== null)
    ? { value: all.map((n) => n.value) }
    : { message: `${field.label}: degrees with blanks between them, such as 0 90 200.` };
}

/** Choices that are numbers. */
const NUMBERED = new Set(['taper', 'staggerDeg']);

function readField(field: Field, text: string, unit: LengthUnit): Read {
  if (field.name === 'holdBefore') return { value: text === '' ? [] : [text] };
  if (text === '') return field.optional ? { value: undefined } : { message: `${field.label} is missing.` };
  switch (field.kind) {
    case 'length': {
      const r = parseLength(text, unit);
      return r.ok ? rounded(r.mm, 6) : { message: r.message };
    }
    case 'torque': {
      const r = parseTorque(text, unit);
      return r.ok ? rounded(r.nm, 3) : { message: r.message };
    }
    case 'roughness': {
      const r = parseRoughness(text, unit);
      return r.ok ? rounded(r.um, 4) : { message: r.message };
    }
    case 'pressure': {
      const r = parsePressure(text, unit);
      return r.ok ? rounded(r.mpa, 4) : { message: r.message };
    }
    case 'temperature': {
      const r = parseTemperature(text, unit);
      return r.ok ? rounded(r.c, 2) : { message: r.message };
    }
    case 'number': {
      const r = parseTypedNumber(text);
      return r ? { value: r.value } : { message: `${field.label} is a number.` };
    }
    case 'angles':
      return readAngles(field, text);
    case 'choice':
      return { value: NUMBERED.has(field.name) ? Number(text) : text };
    case 'flag':
      return { value: true };
    case 'text':
      return { value: text };
  }
}

/** The fields asked for as the form stands. */
export const fieldsAsked = (kind: JobKind, values: FormValues): Field[] =>
  fieldsOf(kind).filter((field) => !field.when || field.when(values));

/** Lay a value into the setup under its name. */
function lay(setup: Record<string, unknown>, name: string, value: unknown): void {
  const [head, tail] = name.split('.') as [string, string?];
  if (head === 'measures') (setup.condition as { measures: string[] }).measures.push(tail ?? '');
  else if (head === 'with') setup[tail ?? ''] = { ...(setup[tail ?? ''] as object | undefined) };
  else if (tail) setup[head] = { ...(setup[head] as object | undefined), [tail]: value };
  else setup[head] = value;
}

/** What says nothing but what holds anyway is left unsaid, so that an older setup read back is the same setup. */
function unsaid(setup: Record<string, unknown>): void {
  const only = (part: string, key: string, value: string) => {
    const p = setup[part] as Record<string, unknown> | undefined;
    if (p && Object.keys(p).length === 1 && p[key] === value) delete setup[part];
  };
  only('driveUp', 'school', 'feelers');
  only('lock', 'by', 'washer');
}

const MEASURING: readonly JobKind[] = [
  'sleeve-bearing',
  'split-bearing',
  'seal',
  'packing',
  'condition.survey',
];

/** The form as a setup, or a sentence for each field that is not right. */
export function fromForm(
  values: FormValues,
  unit: LengthUnit,
  kind: JobKind = 'sleeve-bearing',
): { setup: Setup } | { faults: FormFaults } {
  const faults: FormFaults = {};
  const measuring = MEASURING.includes(kind);
  const setup: Record<string, unknown> = {
    maker: {},
    ...(measuring ? { schools: {}, condition: { measures: [] } } : {}),
    ...(kind === 'sleeve-bearing' ? {} : { procedure: kind }),
  };
  const asked = fieldsAsked(kind, values);
  for (const field of asked) {
    const read = readField(field, (values[formName(field.name)] ?? '').trim(), unit);
    if ('message' in read) faults[formName(field.name)] = read.message;
    else if (read.value !== undefined) lay(setup, field.name, read.value);
  }
  unsaid(setup);
  const measures = (setup.condition as { measures: string[] } | undefined)?.measures ?? [];
  if (measuring && kind !== 'condition.survey' && !measures.includes('shaft'))
    faults['measures:shaft'] = 'Nothing is fitted to a shaft that was not measured: leave the diameters in.';
  if (measuring && measures.length === 0) faults['measures:look'] = 'Nothing is to be measured yet.';
  if (!('holdBefore' in setup)) setup.holdBefore = [];
  if (Object.keys(faults).length > 0) return { faults };
  const checked = check(setupSchema, setup);
  if (checked.ok) return { setup: checked.value };
  for (const { path, message } of checked.faults) {
    const field = asked.find((x) => x.name === path);
    faults[field ? formName(field.name) : 'machine'] = field ? message.replace(path, field.label) : message;
  }
  return { faults };
}
