import type { Text } from '../message/message.ts';
import type { LengthUnit, ParseFault } from './length.ts';

/** What was typed, read: the value in the unit inside, and said back in the units people know. */
export type Read = { ok: true; value: number; said: Text } | ParseFault;

/** All that is known of a quantity a gauge may show. Its values are in the unit inside. */
export type Measured = {
  /** What it is called in a sentence. */
  name: string;
  /** The unit open data carries it in, and how many of them one inside is. */
  open: { unit: string; factor: number };
  read(text: string, unit: LengthUnit): Read;
  /** How a graduation is read, where it is not read as a value is: a step of 1 °C is not 1 °C. */
  readStep?(text: string): Read;
  /** A value with its unit. */
  format(value: number, unit: LengthUnit): string;
  /** What stands in the empty field. */
  empty: Record<LengthUnit, string>;
  /** Keys beside the digits: a sign or a fraction's stroke, and units, the one inside first. */
  keys: { sign?: '/' | '-'; units: readonly string[] };
  /** Units a gauge may send, in small letters, and what one of them is inside. */
  sends: Readonly<Record<string, number>>;
};

/** Both ways of saying a value, as it is said back to whoever typed it. */
export const inBoth = (format: Measured['format'], value: number): string =>
  `${format(value, 'mm')} · ${format(value, 'in')}`;
