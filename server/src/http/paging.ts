import { number, type Schema, string } from 'yup';

/** `?limit=<1..200>`, 100 where nothing is said. */
const LIMIT = 'limit is a whole number from 1 to 200.';
export const limit = number().typeError(LIMIT).integer(LIMIT).min(1, LIMIT).max(200, LIMIT).default(100);

/** `?q=`, what somebody typed to find something; `typed` is empty where nothing is said. */
export const search = string().max(80, 'A search is at most 80 characters long.');
export const typed = search.default('');

/** `?after=`, the last row of the page before: pages by key, so that a row added meanwhile shifts nothing. */
export const afterRow = string().matches(
  /^(\d{1,15}\.)?[0-9a-f-]{36}$/,
  'after is what the page before gave as next.',
);

/** `?position=<id>`, or nothing. */
export const position = string().matches(/^[0-9a-f-]{36}$/, 'position is the id of a position.');

/** Units a file is written in. */
export const units: Schema<'mm' | 'in'> = string()
  .oneOf(['mm', 'in'] as const, 'units is mm or in.')
  .default('mm') as never;
