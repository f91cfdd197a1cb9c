import type { Context } from 'koa';
import { Problem } from './problem.ts';

const one = (v: string | string[] | undefined) => (Array.isArray(v) ? v[0] : v);

/** `?after=<last id seen>&limit=<1..200>`: pages by key, so that a row added meanwhile shifts nothing. */
export function pageOf(ctx: Context): { after: string | undefined; limit: number } {
  const after = one(ctx.query.after);
  const limit = Number(one(ctx.query.limit) ?? 100);
  if (!Number.isInteger(limit) || limit < 1 || limit > 200)
    throw new Problem(400, 'limit is a whole number from 1 to 200.');
  if (after !== undefined && !/^[0-9a-f-]{36}$/.test(after))
    throw new Problem(400, 'after is the id of the last row seen.');
  return { after, limit };
}
