import { type Field, fieldsOf, valueIn } from '../engine/asked.ts';
import type { Setup } from '../engine/setup.ts';
import type { Trade } from '../engine/trade.ts';
import { sameText, type Text } from '../message/message.ts';
import type { LengthUnit } from '../quantities/length.ts';
import { readField, type StartSetup, showField } from './setup-form.ts';

export type PartValues = Record<string, number | string>;

/** What a card of a part can say for a trade: fields its maker’s sheet fills. Flags, lists and house rules are the job’s own. */
export const partFields = (trade: Trade): Field[] =>
  fieldsOf(trade.schema).filter(
    (f) =>
      trade.slots.part?.groups.some((g) => sameText(g, f.group)) &&
      f.quantity !== 'flag' &&
      f.quantity !== 'list' &&
      f.quantity !== 'text' &&
      !f.name.startsWith('schools.') &&
      f.rule === undefined,
  );

/** A value of a card as people read it. */
export const showPart = (field: Field, value: number | string, unit: LengthUnit): Text =>
  field.options?.find(([v]) => v === String(value))?.[1] ?? showField(field, value, unit);

/** What was typed on a card, or a sentence for each field that is not right. Empty fields say nothing. */
export function readPart(
  trade: Trade,
  text: Readonly<Record<string, string>>,
  unit: LengthUnit,
): { values: PartValues } | { faults: Record<string, Text> } {
  const values: PartValues = {};
  const faults: Record<string, Text> = {};
  for (const field of partFields(trade)) {
    const typed = (text[field.name] ?? '').trim();
    if (typed === '') continue;
    const read = readField(field, typed, unit);
    if ('message' in read) faults[field.name] = read.message;
    else if (typeof read.value === 'number' || typeof read.value === 'string')
      values[field.name] = read.value;
  }
  return Object.keys(faults).length > 0 ? { faults } : { values };
}

/** A setup with what a card says of its part put in; what is not the card’s stays. */
export function withPart(setup: StartSetup, values: PartValues): StartSetup {
  const out: Record<string, unknown> = { ...setup };
  for (const [name, value] of Object.entries(values)) {
    const [head = '', tail] = name.split('.') as [string, string?];
    if (tail === undefined) out[head] = value;
    else out[head] = { ...((out[head] as object | undefined) ?? {}), [tail]: value };
  }
  return out as StartSetup;
}

/** Of what a card says, the fields where a setup now says something else. */
export const leftOf = (setup: Partial<Setup>, values: PartValues): string[] =>
  Object.entries(values).flatMap(([name, v]) => (valueIn(setup, name) === v ? [] : [name]));
