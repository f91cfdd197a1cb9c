import { askedOf, type Field, valueIn } from '../engine/asked.ts';
import type { Setup } from '../engine/setup.ts';
import { rulesWith, tradeOf } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import { expr, listOf, textKey } from '../message/message.ts';
import { sayNutAngle } from '../quantities/angle.ts';
import { measured, QUANTITIES, type Quantity } from '../quantities/measured.ts';
import { len, pres, rough, temp, tor, warmer } from '../quantities/say.ts';
import type { SheetReading } from './form.ts';

/**
 * A value of a setup as its field has it said, without the field's name.
 * @param most the upper end of a range, where one is kept
 */
export function sayValue(field: Field, v: unknown, most?: unknown): Text {
  if (Array.isArray(v))
    return listOf(
      v.map((x) => field.options?.find(([o]) => o === x)?.[1] ?? x),
      ', ',
    );
  if (field.options) return field.options.find(([o]) => o === String(v))?.[1] ?? String(v);
  if (typeof v !== 'number') return String(v);
  switch (field.quantity) {
    case 'length':
      return len(v, field.decimals ?? 3);
    case 'torque':
      return typeof most === 'number' ? expr`${tor(v)} – ${tor(most)}` : tor(v);
    case 'pressure':
      return pres(v);
    case 'roughness':
      return rough(v / 1000);
    case 'temperature':
      return temp(v);
    case 'difference':
      return warmer(v);
    case 'angle':
      return sayNutAngle(v);
    default:
      return String(v);
  }
}

/** A field of a setup with its value; a flag that is on is only named. */
const sayField = (field: Field, v: unknown, most: unknown): Text =>
  field.quantity === 'flag' ? field.label : expr`${field.label}: ${sayValue(field, v, most)}`;

/** The upper end a field keeps, where it may keep one. */
export const mostOf = (setup: object, field: Field): unknown =>
  field.upTo ? valueIn(setup, field.upTo) : undefined;

/** Said in the sheet's head already. */
const HEAD: readonly string[] = ['machine', 'position'];

/** What was worked on, and by which rules: what its setup was asked for, a line a group, in the order it is asked. */
export function setupLines(setup: Setup): Array<[Text, Text]> {
  const lines = new Map<string, { group: Text; said: Text[] }>();
  // What a setup leaves unsaid is said as it holds.
  const whole = { ...setup, schools: rulesWith(setup) };
  for (const field of askedOf(tradeOf(setup).schema, setup)) {
    const v = valueIn(whole, field.name) ?? field.fallback;
    const silent = v === undefined || v === null || v === false || (Array.isArray(v) && v.length === 0);
    if (silent || HEAD.includes(field.name)) continue;
    const key = textKey(field.group);
    const line = lines.get(key) ?? { group: field.group, said: [] };
    lines.set(key, { ...line, said: [...line.said, sayField(field, v, mostOf(whole, field))] });
  }
  return [...lines.values()].map(({ group, said }) => [group, listOf(said, '; ')]);
}

const BY_UNIT: ReadonlyMap<string, Quantity> = new Map(QUANTITIES.map((q) => [measured(q).open.unit, q]));

/** A reading's value with its unit; what is counted, by the unit it is counted in. */
export function saySheetReading({ value, unit }: Pick<SheetReading, 'value' | 'unit'>): Text {
  const quantity = BY_UNIT.get(unit) ?? 'count';
  if (quantity === 'count') return `${value} ${unit}`;
  const { mark, open } = measured(quantity);
  return mark(value / open.factor);
}
