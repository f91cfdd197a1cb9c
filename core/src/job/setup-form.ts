import { type Field, type FormValues, fieldsOf, formName, lacking, valueIn } from '../engine/asked.ts';
import { DEPTHS } from '../engine/depth.ts';
import type { Setup } from '../engine/setup.ts';
import type { Trade } from '../engine/trade.ts';
import { rulesWith } from '../engine/trades.ts';
import { check, withLabel } from '../judgement/sentences.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { parseAngle } from '../quantities/angle.ts';
import { pressureAsTyped, torqueRangeAsTyped } from '../quantities/as-typed.ts';
import { type LengthUnit, lengthDigits, parseLength, parseTypedNumber } from '../quantities/length.ts';
import { parsePressure } from '../quantities/pressure.ts';
import { parseRoughness } from '../quantities/roughness.ts';
import { parseDifference, parseTemperature } from '../quantities/temperature.ts';
import { parseTorque, parseTorqueRange } from '../quantities/torque.ts';
import { M } from './messages.ts';

/** A setup to start a form from: not all of it need be there. */
export type StartSetup = Partial<Setup> & Record<string, unknown>;

const UNIT: Partial<Record<Field['quantity'], string>> = {
  roughness: 'µm',
  temperature: '°C',
};

/** @param most the upper end of a range, where one is kept */
export function showField(field: Field, v: unknown, unit: LengthUnit, most?: unknown): string {
  if (field.name === 'holdBefore') return String((v as string[] | undefined)?.[0] ?? '');
  if (v === undefined || v === null) return field.fallback ?? '';
  if (typeof v === 'boolean') return v ? 'yes' : '';
  if (field.quantity === 'length' && typeof v === 'number')
    return `${Number(lengthDigits(v, unit, Math.max(3, field.decimals ?? 3)))} ${unit}`;
  if (Array.isArray(v)) return v.join(' ');
  if (typeof v === 'number' && field.quantity === 'difference')
    return unit === 'mm' ? `${v} K` : `${Number(((v * 9) / 5).toFixed(2))} °F`;
  if (typeof v === 'number' && field.quantity === 'angle') return `${v}°`;
  if (typeof v === 'number' && field.quantity === 'pressure') return pressureAsTyped(v);
  if (typeof v === 'number' && field.quantity === 'torque')
    return torqueRangeAsTyped(v, typeof most === 'number' ? most : undefined);
  const said = UNIT[field.quantity];
  return said ? `${v} ${said}` : String(v);
}

/** A setup as the form shows it, lengths in the unit in force; what it leaves unsaid, as the house rules have it. */
export function toForm(trade: Trade, start: StartSetup, unit: LengthUnit): FormValues {
  const schools = rulesWith(start);
  const setup = { ...start, schools };
  return Object.fromEntries(
    fieldsOf(trade.schema).map((field) => [
      formName(field.name),
      showField(
        field,
        valueIn(setup, field.name) ?? (field.rule ? schools[field.rule] : undefined),
        unit,
        field.upTo ? valueIn(setup, field.upTo) : undefined,
      ),
    ]),
  );
}

export type FormFaults = Record<string, Text>;
/** A value as the setup holds it; `most` the upper end of a range. */
type Read = { value: unknown; most?: number } | { message: Text };

/** Without what the sum of a conversion leaves behind; a limit is never rounded to fewer digits than were typed. */
const rounded = (n: number, digits: number): { value: number } => ({ value: Number(n.toFixed(digits)) });

/** Numbers with blanks or semicolons between them. */
function readList(field: Field, text: string): Read {
  const all = text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map(parseTypedNumber);
  return all.every((n) => n !== null)
    ? { value: all.map((n) => n.value) }
    : {
        message: /Deg$/.test(field.name)
          ? M.degreesBlanksBetweenThemSuch({ label: field.label })
          : M.numbersBlanksBetweenThemSuch({ label: field.label }),
      };
}

/** What is typed in a field, as the setup holds it, or what is wrong with it as a sentence. */
export function readField(field: Field, text: string, unit: LengthUnit): Read {
  if (field.name === 'holdBefore') return { value: text === '' ? [] : [text] };
  if (text === '')
    return field.optional ? { value: undefined } : { message: COMMON.missing({ label: field.label }) };
  switch (field.quantity) {
    case 'length': {
      const r = parseLength(text, unit);
      return r.ok ? rounded(r.mm, 6) : { message: r.message };
    }
    case 'torque': {
      const r = field.upTo ? parseTorqueRange(text, unit) : parseTorque(text, unit);
      if (!r.ok) return { message: r.message };
      const mostNm = 'mostNm' in r ? (r as { mostNm?: number }).mostNm : undefined;
      const most = mostNm === undefined ? {} : { most: rounded(mostNm, 10).value };
      return { ...rounded(r.nm, 10), ...most };
    }
    case 'roughness': {
      const r = parseRoughness(text, unit);
      return r.ok ? rounded(r.um, 10) : { message: r.message };
    }
    case 'pressure': {
      const r = parsePressure(text, unit);
      return r.ok ? rounded(r.mpa, 10) : { message: r.message };
    }
    case 'temperature': {
      const r = parseTemperature(text, unit);
      return r.ok ? rounded(r.c, 2) : { message: r.message };
    }
    case 'difference': {
      const r = parseDifference(text, unit);
      return r.ok ? rounded(r.k, 3) : { message: r.message };
    }
    case 'angle': {
      const r = parseAngle(text);
      return r.ok ? rounded(r.deg, 4) : { message: r.message };
    }
    case 'number': {
      const r = parseTypedNumber(text);
      return r ? { value: r.value } : { message: M.number({ label: field.label }) };
    }
    case 'list':
      return readList(field, text);
    case 'choice':
      return { value: field.numbered ? Number(text) : text };
    case 'flag':
      return { value: true };
    case 'text':
      return { value: text };
  }
}

/** The fields asked for as the form stands. */
export const fieldsAsked = (trade: Trade, values: FormValues): Field[] =>
  fieldsOf(trade.schema).filter((field) => !field.when || field.when(values));

type Draft = Record<string, unknown> & { condition?: { measures: string[] } };

/** Put a value into the setup under its name. */
function put(setup: Draft, name: string, value: unknown): void {
  const [head, tail] = name.split('.') as [string, string?];
  const part = setup[head];
  if (head === 'measures') setup.condition?.measures.push(tail ?? '');
  else if (head === 'with' && tail) setup[tail] = { ...(setup[tail] ?? {}) };
  else if (tail) setup[head] = { ...(part ?? {}), [tail]: value };
  else setup[head] = value;
}

/** A setup with one field changed; an undefined value leaves the field out. A part is put in or taken out by its flag. */
export function putField(setup: Setup, name: string, value: unknown): Setup {
  const copy = JSON.parse(JSON.stringify(setup)) as Record<string, unknown>;
  const [head = '', tail] = name.split('.') as [string, string?];
  const part = copy[head] as Record<string, unknown> | undefined;
  if (head === 'measures') {
    const condition = (copy.condition ?? {}) as { measures?: string[] };
    const others = (condition.measures ?? ['shaft']).filter((m) => m !== tail);
    copy.condition = { ...condition, measures: value === true ? [...others, tail] : others };
  } else if (head === 'with' && tail) {
    if (value === true) copy[tail] ??= {};
    else delete copy[tail];
  } else if (tail && (part !== undefined || value !== undefined)) {
    const { [tail]: _, ...rest } = part ?? {};
    copy[head] = value === undefined ? rest : { ...rest, [tail]: value };
  } else if (value === undefined) delete copy[head];
  else copy[head] = value;
  return copy as unknown as Setup;
}

/** A part that says nothing but what holds anyway is left unsaid, so that an older setup read back is the same setup. */
function dropUnsaid(setup: Draft, asked: readonly Field[]): void {
  const flagged = asked.flatMap((f) => (f.name.startsWith('with.') ? [f.name.slice(5)] : []));
  for (const [part, value] of Object.entries(setup)) {
    if (flagged.includes(part) || value === null || typeof value !== 'object' || Array.isArray(value))
      continue;
    // A part that waits to be said at its step stays, however little it says now.
    if (asked.some((f) => f.later && f.name.startsWith(`${part}.`))) continue;
    const said = Object.entries(value);
    const holds = said.every(
      ([key, v]) => asked.find((f) => f.name === `${part}.${key}`)?.fallback === String(v),
    );
    if (said.length > 0 && holds) delete setup[part];
  }
}

/** A bound of a field as the quantity the field is of: said in the unit people type in. */
const boundOf =
  ({ quantity }: Field) =>
  (bound: number): Text | null =>
    quantity === 'length'
      ? { mm: bound, digits: Number.isInteger(bound) ? 0 : 3 }
      : quantity === 'torque'
        ? { nm: bound }
        : quantity === 'pressure'
          ? { mpa: bound }
          : quantity === 'temperature'
            ? { celsius: bound }
            : quantity === 'difference'
              ? { kelvin: bound }
              : quantity === 'roughness'
                ? { um: bound }
                : null;

/** The form as a setup, or a sentence for each field that is not right. */
export function fromForm(
  trade: Trade,
  values: FormValues,
  unit: LengthUnit,
): { setup: Setup } | { faults: FormFaults } {
  const faults: FormFaults = {};
  const asked = fieldsAsked(trade, values);
  const measuring = fieldsOf(trade.schema).some((f) => f.name.startsWith('measures.'));
  const setup: Draft = {
    maker: {},
    holdBefore: [],
    ...(measuring ? { schools: {}, condition: { measures: [] } } : {}),
    ...(trade.oldest ? {} : { procedure: trade.id }),
  };
  for (const field of asked) {
    const read = readField(field, (values[formName(field.name)] ?? '').trim(), unit);
    if ('message' in read) faults[formName(field.name)] = read.message;
    else if (read.value !== undefined) {
      put(setup, field.name, read.value);
      if (field.upTo && read.most !== undefined) put(setup, field.upTo, read.most);
    }
  }
  // What the sheet or the machine must give is said with the rest, not only once all else is right.
  for (const { path, message } of lacking(trade.schema, setup)) faults[formName(path)] ??= message;
  dropUnsaid(setup, asked);
  const measures = setup.condition?.measures ?? [];
  // At the least depth some trades only feel the shaft.
  const depth = DEPTHS.find((d) => d === values.depth) ?? 'thorough';
  const usual = (trade.usualAt?.(depth) as { condition?: { measures: string[] } } | undefined)?.condition;
  const needsShaft = usual === undefined || usual.measures.includes('shaft');
  if (measuring && needsShaft && !trade.words.measuresOnly && !measures.includes('shaft'))
    faults['measures:shaft'] = M.nothingFittedShaftNotMeasured;
  if (measuring && measures.length === 0) faults['measures:look'] = M.nothingMeasuredYet;
  const checked = check(trade.schema, trade.completed?.(setup as unknown as Setup) ?? setup);
  if (checked.ok && Object.keys(faults).length === 0) return { setup: checked.value as Setup };
  // What does not go together is said beside what is missing, each at its field; what has none, under the first.
  const only = Object.keys(faults).length === 0;
  for (const { path, message } of checked.ok ? [] : checked.faults) {
    const field = asked.find((x) => x.name === path);
    if (field) faults[formName(field.name)] ??= withLabel(message, path, field.label, boundOf(field));
    else if (only) faults.machine ??= message;
  }
  return { faults };
}
