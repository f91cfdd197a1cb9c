import { number, type Schema, string } from 'yup';
import { M } from './messages.ts';

/** `?limit=<1..200>`, 100 where nothing is said. */
const LIMIT = M.limitWholeNumberFrom1;
export const limit = number().typeError(LIMIT).integer(LIMIT).min(1, LIMIT).max(200, LIMIT).default(100);

/** `?q=`, what somebody typed to find something; `typed` is empty where nothing is said. */
export const search = string().max(80, M.searchMost80CharactersLong);
export const typed = search.default('');

/** `?after=`, the last row of the page before: pages by key, so that a row added meanwhile shifts nothing. */
export const afterRow = string().matches(/^(\d{1,15}\.)?[0-9a-f-]{36}$/, {
  message: M.afterWhatPageBeforeGave,
});

/** `?position=<id>`, or nothing. */
export const position = string().matches(/^[0-9a-f-]{36}$/, { message: M.positionIdPosition });

/** Units a file is written in. */
export const units: Schema<'mm' | 'in'> = string()
  .oneOf(['mm', 'in'] as const, M.unitsMm)
  .default('mm') as never;
