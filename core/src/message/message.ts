/**
 * What people read, before it is read: ids and numbers, no language. Facts, refusals and labels carry these; `say` turns one into
 * words at the edge, in the reader's language and units. Nothing in the product compares, cuts or stores the words themselves.
 */

/** A sentence or a label by its id, with what it names. */
export type Message = {
  readonly id: string;
  readonly params: Readonly<Record<string, Arg | null | undefined>>;
};

/**
 * A quantity by its value in the unit inside, and how finely it is said: `digits` places in metric units, one more in inches
 * unless `inches` says otherwise. `bare` leaves the unit out, for sums such as (0.077 + 0.076)/2.
 */
export type Amount =
  | { readonly mm: number; readonly digits?: number; readonly inches?: number; readonly bare?: true }
  | { readonly um: number }
  | { readonly nm: number }
  | { readonly mpa: number }
  | { readonly celsius: number }
  | { readonly kelvin: number }
  | { readonly mm2: number }
  | { readonly newton: number }
  | { readonly mmPerS: number }
  /** The unit of lengths itself, where a figure says what its numbers are in. */
  | { readonly unitOf: 'length' };

/** Texts one after another: a list with what stands between, or an expression as data. */
export type Parts = { readonly parts: readonly Arg[]; readonly between: string };

/**
 * A label as it is said inside a sentence, or at its start; how that differs from the label alone is the language's to know.
 * `first`: only its first letter gives way, as where a name stands in it.
 */
export type Inline = { readonly inline: Text; readonly at?: 'first' | 'start' };

/** A text as a record keeps it: as it was read in each unit; beside it, where it was a message, what it said by id and params. */
export type Kept = { readonly mm: string; readonly in: string };

/** Anything that can be said. A plain string is a name, a designation, or what a person typed: it is said as it is. */
export type Text = string | Message | Amount | Parts | Inline | Kept;
/** What a message may name: a text, or a count. */
export type Arg = Text | number;

const AMOUNTS: ReadonlySet<string> = new Set([
  'mm',
  'um',
  'nm',
  'mpa',
  'celsius',
  'kelvin',
  'mm2',
  'newton',
  'mmPerS',
]);
const HOW: ReadonlySet<string> = new Set(['digits', 'inches', 'bare']);

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a value is a message: an id with its params and nothing else. */
export function isMessage(value: unknown): value is Message {
  if (!isPlain(value) || typeof value.id !== 'string' || !isPlain(value.params)) return false;
  return Object.keys(value).length === 2;
}

/** Whether a value is a quantity and nothing else. */
export function isAmount(value: unknown): value is Amount {
  if (!isPlain(value)) return false;
  if (value.unitOf === 'length') return true;
  const keys = Object.keys(value);
  const [first] = keys;
  return (
    first !== undefined &&
    AMOUNTS.has(first) &&
    typeof value[first] === 'number' &&
    keys.slice(1).every((k) => HOW.has(k))
  );
}

/** Whether a value is a row of texts. */
export const isParts = (value: unknown): value is Parts =>
  isPlain(value) && Array.isArray(value.parts) && typeof value.between === 'string';

/** Whether a value is a label inside a sentence. */
export const isInline = (value: unknown): value is Inline =>
  isPlain(value) && 'inline' in value && Object.keys(value).every((k) => k === 'inline' || k === 'at');

/** Whether a value is a text as a record keeps it. */
export const isKept = (value: unknown): value is Kept =>
  isPlain(value) && typeof value.mm === 'string' && typeof value.in === 'string';

/** Whether a value can be said and is no plain string: what a kept record has to put into words. */
export const isSayable = (value: unknown): value is Exclude<Text, string> =>
  isKept(value) || isMessage(value) || isAmount(value) || isParts(value) || isInline(value);

/** A list of texts, with what stands between them. */
export const listOf = (parts: readonly Arg[], between: string): Parts => ({ parts, between });

/** Whether a value is a text of any kind, where it may be something else too: a place, or why there is none. */
export const isText = (value: unknown): value is Text => typeof value === 'string' || isSayable(value);

/** A label as said inside a sentence. */
export const inline = (text: Text, at?: 'first'): Inline => ({ inline: text, ...(at ? { at } : {}) });

/** A label as said where a sentence begins with it. */
export const starting = (text: Text): Inline => ({ inline: text, at: 'start' });

/**
 * An expression without language, as data: the signs as they stand, the quantities to be said in the reader's units.
 * @example expr`(${num(0.077)} + ${num(0.076)})/2`
 */
export const expr = (signs: TemplateStringsArray, ...args: readonly Arg[]): Parts => ({
  parts: signs.flatMap((sign, i) => [...(sign ? [sign] : []), ...(i < args.length ? [args[i] ?? ''] : [])]),
  between: '',
});

/** Whether two texts say the same, by their ids and params. */
export const sameText = (a: Arg | null | undefined, b: Arg | null | undefined): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * A text as a key: the same for the same ids and params, whatever the language. A plain string is its own.
 * @example textKey({ id: 'bolts.pass', params: { n: 2 } }) // 'bolts.pass(n=2)'
 */
export function textKey(text: Arg | null | undefined): string {
  if (text === null || text === undefined) return '';
  if (typeof text !== 'object') return String(text);
  if ('id' in text) {
    const named = Object.entries(text.params).map(([name, arg]) => `${name}=${textKey(arg)}`);
    return named.length === 0 ? text.id : `${text.id}(${named.join(',')})`;
  }
  if ('parts' in text) return text.parts.map(textKey).join(text.between);
  if ('inline' in text) return textKey(text.inline);
  return Object.entries(text)
    .map(([name, v]) => `${name}:${v}`)
    .join(' ');
}
