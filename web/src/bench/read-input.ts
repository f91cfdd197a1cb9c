import { type LengthUnit, parseLength, parseTypedNumber } from '@fulcrant/core/units';
import { M } from './messages.ts';

/** What the bench reads of a calculator's JSON Schema. */
export type Property = {
  type?: string;
  enum?: Array<string | number>;
  items?: Property;
  properties?: Record<string, Property>;
};
export type FlatSchema = { properties?: Record<string, Property>; required?: string[] };

const words = (line: string) =>
  line
    .trim()
    .split(/[\s;]+/)
    .filter(Boolean);
const lines = (text: string) => text.split('\n').filter((l) => l.trim() !== '');

/** A number as typed; a word that is none stays a word, so that the schema can say what it wants. */
const number = (word: string): number | string => parseTypedNumber(word)?.value ?? word;
const numbers = (line: string) => words(line).map(number);

/** Is an input several named numbers, a name and its number a line? */
const isNamed = (p: Property): boolean =>
  p.type === 'object' && p.properties !== undefined && !('count' in p.properties);

/** Is an input typed as several lines? */
export const isLines = (p: Property): boolean =>
  isNamed(p) || (p.type === 'array' && (p.items?.type === 'object' || p.items?.type === 'array'));

const isNumber = (p: Property): boolean =>
  p.type === 'number' || p.type === 'integer' || typeof p.enum?.[0] === 'number';

/** Is an input one length, read in the unit in force? */
export const isLength = (key: string, p: Property): boolean => key.endsWith('Mm') && isNumber(p) && !p.enum;

/** Is an input several numbers? Lengths among them are millimetres, whatever the unit in force. */
export const isList = (p: Property): boolean =>
  isLines(p) || (p.type === 'array' && p.items?.type === 'number');

/**
 * What was typed while one unit was in force, as it is typed in another: a length that named no unit names the one it was typed in.
 * @example inOtherUnit({ boreMm: '100' }, schema, 'mm', 'in') // { boreMm: '100 mm' }
 */
export function inOtherUnit(
  values: Readonly<Record<string, string>>,
  properties: Readonly<Record<string, Property>>,
  typedIn: LengthUnit,
  now: LengthUnit,
): Record<string, string> {
  if (typedIn === now) return { ...values };
  return Object.fromEntries(
    Object.entries(values).map(([key, text]) => {
      const p = properties[key];
      const plain = p && isLength(key, p) && parseTypedNumber(text.trim());
      // A fraction is inches wherever it is typed.
      return [key, plain && !plain.fraction ? `${text.trim()} ${typedIn}` : text];
    }),
  );
}

/**
 * What is typed in one field, as its calculator takes it: a choice, yes or no, a number (a length in people's units where its
 * name ends in Mm), a list of numbers, rows of numbers, records with their numbers in the order the schema names them, or
 * named numbers, one a line.
 */
export function readInput(key: string, text: string, p: Property, unit: LengthUnit): unknown {
  if (text.trim() === '') return undefined;
  // One number is a count; several are the angles of an uneven pattern.
  if (p.properties?.count)
    return words(text).length > 1 ? { anglesDeg: numbers(text) } : { count: number(text) };
  if (isNamed(p))
    return Object.fromEntries(
      lines(text).map((l) => {
        const [name = '', value = ''] = words(l);
        return [name, number(value)];
      }),
    );
  if (p.type === 'array') {
    if (p.items?.type === 'object') {
      const keys = Object.keys(p.items.properties ?? {});
      return lines(text).map((l) =>
        Object.fromEntries(numbers(l).map((v, i) => [keys[i] ?? M.value({ i: i + 1 }), v])),
      );
    }
    return p.items?.type === 'array' ? lines(text).map(numbers) : numbers(text);
  }
  if (p.type === 'boolean') return text === 'true';
  if (p.enum && typeof p.enum[0] === 'string') return text;
  if (isNumber(p)) {
    if (key.endsWith('Mm')) {
      const r = parseLength(text, unit);
      return r.ok ? r.mm : text;
    }
    return number(text);
  }
  return text;
}
