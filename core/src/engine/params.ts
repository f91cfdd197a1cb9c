import type { Params } from '../judgement/result.ts';

/** Are two values of a parameter the same? Sums done in another order may differ in their last digit. */
const same = (a: Params[string], b: Params[string]): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a))
    : (a ?? null) === (b ?? null);

/** Do two findings of one code name the same things? What one leaves out and the other has empty is the same. */
export const sameParams = (a: Params, b: Params): boolean =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));

/** So many parameters one finding names at the most, and so long a text. */
const MOST = 60;
const LONGEST = 1200;

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
        : typeof v === 'string'
          ? v.slice(0, LONGEST)
          : v,
    ]),
  );
