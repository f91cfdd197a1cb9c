import type { Params } from '../judgement/result.ts';
import { textKey } from '../message/message.ts';
import { textOfBefore } from '../quantities/marks-of-before.ts';
import { say } from '../quantities/say.ts';

/** What a finding names as an event carries it: a text by its ids and numbers, never its words. */
const coded = (v: Params[string]): string | number | boolean | null =>
  v === null || v === undefined ? null : typeof v === 'number' || typeof v === 'boolean' ? v : textKey(v);

/** Are two values of a parameter the same? Sums done in another order may differ in their last digit. */
const same = (a: Params[string], b: Params[string]): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a))
    : coded(a) === coded(b);

/** Do two findings of one code name the same things? What one leaves out and the other has empty is the same. */
export const sameParams = (a: Params, b: Params): boolean =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));

/** Whether an event of before may name its parameters in words: they have blanks between them, which ids have not. */
export const inWords = (params: Params): boolean =>
  Object.values(params).some((v) => typeof v === 'string' && / /.test(v));

/**
 * Does what was kept in the English of before name what a finding names now? A rule may have named more then, or
 * otherwise: what both name has to be the same, and there has to be something both name, unless neither names anything.
 */
export const sameInWords = (kept: Params, now: Params): boolean => {
  const both = Object.keys(kept).filter((key) => key in now);
  if (both.length === 0) return Object.keys(kept).length === 0 && Object.keys(now).length === 0;
  return both.every((key) => {
    const [a, b] = [kept[key], now[key]];
    if (same(a, b)) return true;
    return (
      typeof a === 'string' &&
      typeof b === 'object' &&
      b !== null &&
      say(textOfBefore(a), 'mm') === say(b, 'mm')
    );
  });
};

/** So many parameters one finding names at the most, and so long a text. */
const MOST = 60;
const LONGEST = 6000;

/** Is it a list of parameters: names with plain values, as JSON carries them? */
export const isParams = (value: unknown): value is Params =>
  value !== null &&
  typeof value === 'object' &&
  !Array.isArray(value) &&
  Object.keys(value).length <= MOST &&
  Object.entries(value).every(
    ([key, v]) =>
      key.length <= 60 &&
      (v === null ||
        typeof v === 'boolean' ||
        (typeof v === 'number' && Number.isFinite(v)) ||
        (typeof v === 'string' && v.length <= LONGEST)),
  );

/** Parameters as an event carries them: what is left out, or is no number, is null. */
export const paramsToSend = (params: Params): Params =>
  Object.fromEntries(
    Object.entries(params).map(([key, v]) => [
      key,
      v === undefined || (typeof v === 'number' && !Number.isFinite(v))
        ? null
        : v !== null && (typeof v === 'object' || typeof v === 'string')
          ? coded(v)
          : v,
    ]),
  );
