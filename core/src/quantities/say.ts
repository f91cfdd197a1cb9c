import { formatText, type Language, spokenLanguage, textIn } from '../message/language.ts';
import { type Amount, type Arg, isKept, isMessage, isSayable, type Text } from '../message/message.ts';
import { formatForce } from './force.ts';
import { formatLength, type LengthUnit, lengthDigits } from './length.ts';
import { formatPressure } from './pressure.ts';
import { formatRoughness } from './roughness.ts';
import { formatTemperature } from './temperature.ts';
import { formatTorque } from './torque.ts';
import { formatVelocity } from './velocity.ts';

/** A length with its unit, inside a sentence. */
export const len = (mm: number, digits = 3): Amount => ({ mm, digits });
/**
 * The digits of a length, no unit: for sums such as (0.077 + 0.076)/2.
 * @param inches digits in inches, where one more than in millimetres will not do
 */
export const num = (mm: number, digits = 3, inches?: number): Amount => ({
  mm,
  digits,
  ...(inches === undefined ? {} : { inches }),
  bare: true,
});
/** A roughness in µm, with its unit. */
export const rough = (um: number): Amount => ({ um });
/** A torque with its unit. */
export const tor = (nm: number): Amount => ({ nm });
/** A pressure with its unit. */
export const pres = (mpa: number): Amount => ({ mpa });
/** A temperature with its unit. */
export const temp = (celsius: number): Amount => ({ celsius });
/** The unit of lengths itself, where a figure says what its numbers are in. */
export const UNIT: Amount = { unitOf: 'length' };
/** How much warmer or colder: a difference of temperatures, with its unit. */
export const warmer = (kelvin: number): Amount => ({ kelvin });
/** An area in mm², with its unit. */
export const area = (mm2: number): Amount => ({ mm2 });
/** A force in N, with its unit. */
export const force = (newton: number): Amount => ({ newton });
/** A vibration velocity in mm/s rms, with its unit. */
export const velocity = (mmPerS: number): Amount => ({ mmPerS });

const formatArea = (mm2: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${mm2.toFixed(1)} mm²` : `${(mm2 / 25.4 ** 2).toFixed(4)} in²`;
const formatWarmer = (k: number, unit: LengthUnit): string =>
  unit === 'mm' ? `${k.toFixed(0)} K` : `${((k * 9) / 5).toFixed(0)} °F`;

/** A quantity in people's units. */
function sayAmount(a: Amount, unit: LengthUnit): string {
  if ('unitOf' in a) return unit;
  if ('nm' in a) return formatTorque(a.nm, unit);
  if ('um' in a) return formatRoughness(a.um, unit);
  if ('mpa' in a) return formatPressure(a.mpa, unit);
  if ('celsius' in a) return formatTemperature(a.celsius, unit);
  if ('kelvin' in a) return formatWarmer(a.kelvin, unit);
  if ('mm2' in a) return formatArea(a.mm2, unit);
  if ('mmPerS' in a) return formatVelocity(a.mmPerS, unit);
  if ('newton' in a) return formatForce(a.newton, unit);
  // One digit more is shown in inches than is said here.
  const own = unit === 'in' && a.inches !== undefined ? a.inches - 1 : (a.digits ?? 3);
  return a.bare ? lengthDigits(a.mm, unit, own) : formatLength(a.mm, unit, own);
}

/**
 * Say a text: quantities first, in the reader's units, then the words, in the reader's language.
 * @example say(len(0.035), 'in') // '0.0014 in'
 */
export function say(text: Arg, unit: LengthUnit, language: Language = spokenLanguage()): string {
  if (typeof text === 'string') return text;
  if (typeof text === 'number') return String(text);
  if ('in' in text) return text[unit];
  if ('id' in text) {
    const args: Record<string, string | number> = {};
    for (const [name, arg] of Object.entries(text.params))
      args[name] = typeof arg === 'number' ? arg : say(arg ?? '', unit, language);
    return formatText(textIn(text.id, language), args, language);
  }
  if ('parts' in text) return text.parts.map((p) => say(p, unit, language)).join(text.between);
  if ('inline' in text) return language.inline(say(text.inline, unit, language), text.at);
  return sayAmount(text, unit);
}

/** Whether what a person typed is what a text is called: how a table brought in names its columns and choices. */
export const isCalled = (text: Text | undefined, typed: string): boolean =>
  text !== undefined && say(text, 'mm') === typed;

/** A text of a record, kept or not. */
export type Said = Text;

/** A kept text in the reader's unit. */
export const sayIn = (text: Said, unit: LengthUnit): string => say(text, unit);

/** How a text is kept: with its id and params beside the words, or the words alone. */
export type KeptAs = 'facts' | 'words';

/** Keep a text as it is read now: said in both units, once where they are the same. */
export function keepSaid(text: Text, as: KeptAs = 'facts'): Text {
  if (typeof text === 'string') return text;
  if (isKept(text) && as === 'facts') return text;
  const [mm, inches] = [say(text, 'mm'), say(text, 'in')];
  if (as === 'facts' && isMessage(text)) return { ...text, mm, in: inches };
  return mm === inches ? mm : { mm, in: inches };
}

/** `keepSaid` through a whole result: every text in a plain JSON value is kept as it is read now. */
export function keepAllSaid<T>(value: T, as: KeptAs = 'facts'): T {
  if (isSayable(value)) return keepSaid(value, as) as T;
  if (Array.isArray(value)) return value.map((v) => keepAllSaid(v, as)) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, keepAllSaid(v, as)])) as T;
  return value;
}

/** What a value is once its texts are words. */
export type Worded<T> =
  T extends Exclude<Text, string>
    ? string
    : T extends ReadonlyArray<infer E>
      ? Array<Worded<E>>
      : T extends object
        ? { [K in keyof T]: Worded<T[K]> }
        : T;

/** `say` through a whole result: every text in a plain JSON value. */
export function sayAll<T>(value: T, unit: LengthUnit): Worded<T> {
  if (isSayable(value)) return say(value, unit) as Worded<T>;
  if (Array.isArray(value)) return value.map((v) => sayAll(v, unit)) as Worded<T>;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, sayAll(v, unit)])) as Worded<T>;
  return value as Worded<T>;
}
