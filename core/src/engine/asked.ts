import { type Schema, string, type TestContext, ValidationError } from 'yup';
import type { Text } from '../message/message.ts';
import '../judgement/sentences.ts';

/** What a form holds: text a field, by its form name. */
export type FormValues = Record<string, string>;
type When = (form: FormValues) => boolean;
type Options = ReadonlyArray<readonly [string, Text]>;

/** What a person is asked for a field of a setup. */
export type Asked = {
  group: Text;
  label: Text;
  /** Digits a length is shown with. */
  decimals?: number;
  options?: Options;
  /** An angle of a nut: typed in degrees, turns or fractions of a turn. */
  turn?: true;
  /** What is chosen where a setup does not say. */
  fallback?: string;
  /** The method that says so, by its id. */
  rule?: string;
  /** Nothing is usual here: a new job begins without it, and it is chosen by whoever has it in front of him. */
  decided?: boolean;
  /** It is the work itself: chosen in sight when a job is opened, not folded away with what is usual. */
  inSight?: boolean;
  /** It is the place’s, whatever the work: other work done there tells it to a new job. */
  ofPlace?: true;
  /** A job may be opened without it: the step that needs it asks for it there (`needs` of the step). */
  later?: boolean;
  /** The field its upper end is kept under, where a range may be typed. */
  upTo?: string;
  /** When it is wanted, in a few words under its label. */
  hint?: Text;
  /** Asked only where the form so far says so. */
  when?: When;
  /** It cannot be left out where it is asked, though the shape has it optional: the sentence then said; undefined where it can. */
  needed?: Text | ((form: FormValues) => Text | undefined);
};

declare module 'yup' {
  interface CustomSchemaMetadata {
    asked?: Asked;
    /** The part of the setup is asked for as a whole, by a flag of this name; its fields only where it is on. */
    part?: { group: Text; label: Text };
    /** Each of a list is a flag of its own: the values asked for, and what they are called. */
    flags?: { group: Text; options: Options; inSight?: boolean };
    /** Not asked for, though it has what would be asked. */
    silent?: boolean;
  }
}

/** What is asked for a field, to hang on its schema. */
export const ask = (group: Text, label: Text, more: Partial<Asked> = {}) => ({
  asked: { group, label, ...more },
});

/** Choices that are called what they are. */
export const same = (values: readonly string[]): Options => values.map((v) => [v, v] as const);

/** A choice among words, each with what it is called. */
export const choice = <K extends string>(
  group: Text,
  label: Text,
  words: Readonly<Record<K, Text>> | readonly K[],
  more: Partial<Asked> = {},
) => {
  const list = Array.isArray(words);
  const values = (list ? words : Object.keys(words)) as K[];
  const options = list ? same(values) : (Object.entries(words) as Array<[K, Text]>);
  return string()
    .oneOf(values)
    .meta(ask(group, label, { options, ...more }));
};

/** How a value is typed. */
export type Quantity =
  | 'text'
  | 'length'
  | 'number'
  | 'list'
  | 'torque'
  | 'roughness'
  | 'pressure'
  | 'temperature'
  | 'difference'
  | 'angle'
  | 'choice'
  | 'flag';

export type Field = Asked & {
  /** Its place in the setup: `boreMm`, `maker.torqueNm`, `measures.look`, `with.grease`. */
  name: string;
  quantity: Quantity;
  optional: boolean;
  /** Its choices are numbers. */
  numbered: boolean;
};

/** Fields of a part travel in a form with a colon: form libraries read a dot as nesting. */
export const formName = (name: string): string => name.replace('.', ':');

/** Does a choice in the form stand so? */
export const chosen =
  (name: string, ...values: string[]): When =>
  (form) =>
    values.includes(form[formName(name)] ?? '');
/** Is a part of the sheet asked for in the form as it stands? */
const withPart = (part: string): When => chosen(`with.${part}`, 'yes');
/** Is one of these measures asked for in the form as it stands? */
export const measured =
  (...measures: string[]): When =>
  (form) =>
    measures.some((m) => form[`measures:${m}`] === 'yes');

/** Inside there is one set of units, and a field's name ends in its own: how it is typed is read from there. */
const BY_UNIT: ReadonlyArray<readonly [RegExp, Quantity]> = [
  [/Mm$/, 'length'],
  [/Nm$/, 'torque'],
  [/Mpa$/, 'pressure'],
  [/Um$/, 'roughness'],
  [/[a-z]C$/, 'temperature'],
  [/[a-z]K$/, 'difference'],
];

type AnyField = Schema & { type: string; spec: { optional: boolean }; fields?: Record<string, AnyField> };

function quantityOf(name: string, schema: AnyField, asked: Asked): Quantity {
  if (asked.options) return 'choice';
  if (schema.type === 'boolean') return 'flag';
  if (schema.type === 'array') return 'list';
  if (schema.type === 'string') return 'text';
  if (asked.turn) return 'angle';
  return BY_UNIT.find(([unit]) => unit.test(name))?.[1] ?? 'number';
}

const both = (a: When | undefined, b: When | undefined): When | undefined =>
  a && b ? (form) => a(form) && b(form) : (a ?? b);

function walk(fields: Record<string, AnyField>, under: string, when?: When): Field[] {
  return Object.entries(fields).flatMap(([key, schema]): Field[] => {
    const meta = schema.meta() ?? {};
    const name = under ? `${under}.${key}` : key;
    const flag = (field: string, group: Text, label: Text): Field => ({
      name: field,
      group,
      label,
      quantity: 'flag',
      optional: true,
      numbered: false,
      ...(when ? { when } : {}),
    });
    if (meta.flags) {
      const { group, options, inSight } = meta.flags;
      return options.map(([value, label]) => ({
        ...flag(`${key}.${value}`, group, label),
        ...(inSight ? { inSight } : {}),
      }));
    }
    if (meta.silent) return [];
    if (schema.fields) {
      const inner = walk(schema.fields, key, meta.part ? withPart(key) : when);
      return meta.part ? [flag(`with.${key}`, meta.part.group, meta.part.label), ...inner] : inner;
    }
    if (!meta.asked) return [];
    const asks = both(when, meta.asked.when);
    return [
      {
        ...meta.asked,
        name,
        quantity: quantityOf(key, schema, meta.asked),
        optional: schema.spec.optional && meta.asked.fallback === undefined,
        numbered: schema.type === 'number',
        ...(asks ? { when: asks } : {}),
      },
    ];
  });
}

const known = new WeakMap<Schema, readonly Field[]>();

/** What is asked for a setup of this shape, in the order of its fields. */
export function fieldsOf(schema: Schema): readonly Field[] {
  const before = known.get(schema);
  if (before) return before;
  const fields = walk((schema as AnyField).fields ?? {}, '');
  known.set(schema, fields);
  return fields;
}

/** What stands in a setup under a field's name; true for a flag that is on. */
export function valueIn(setup: object, name: string): unknown {
  const [head, tail] = name.split('.') as [string, string?];
  const whole = setup as Record<string, unknown>;
  if (head === 'measures') {
    const { measures } = (whole.condition ?? {}) as { measures?: readonly string[] };
    return (measures ?? ['shaft']).includes(tail ?? '') || undefined;
  }
  // Whether a part is asked for is told by its being there.
  if (head === 'with') return whole[tail ?? ''] !== undefined || undefined;
  const v = whole[head];
  return tail ? (v as Record<string, unknown> | null | undefined)?.[tail] : v;
}

const word = (v: unknown, field: Field): string =>
  v === undefined || v === null ? (field.fallback ?? '') : v === true ? 'yes' : v === false ? '' : String(v);

/** A setup as a form would stand that says the same, as far as it is asked what to ask. */
export const standsAs = (fields: readonly Field[], setup: object): FormValues =>
  Object.fromEntries(fields.map((f) => [formName(f.name), word(valueIn(setup, f.name), f)]));

/** The fields asked for with a setup as it stands. */
export function askedOf(schema: Schema, setup: object): Field[] {
  const fields = fieldsOf(schema);
  const form = standsAs(fields, setup);
  return fields.filter((f) => !f.when || f.when(form));
}

/** What a setup lacks that is asked for it: the field and a sentence each. */
export function lacking(schema: Schema, setup: object): Array<{ path: string; message: Text }> {
  const fields = fieldsOf(schema);
  const form = standsAs(fields, setup);
  return fields.flatMap((f) => {
    if (!f.needed || f.later || (f.when && !f.when(form)) || valueIn(setup, f.name) !== undefined) return [];
    const message = typeof f.needed === 'function' ? f.needed(form) : f.needed;
    return message ? [{ path: f.name, message }] : [];
  });
}

/** A test for the shape of a whole setup: nothing that is needed is missing. */
export const isWhole = (setup: unknown, context: TestContext): true | ValidationError => {
  if (setup === null || typeof setup !== 'object') return true;
  const faults = lacking(context.schema as Schema, setup);
  return faults.length === 0 ? true : new ValidationError(faults.map((f) => context.createError(f)));
};
