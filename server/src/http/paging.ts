import type { Context } from 'koa';
import { Problem } from './problem.ts';

const one = (v: string | string[] | undefined) => (Array.isArray(v) ? v[0] : v);

/** `?limit=<1..200>`, 100 where nothing is said. */
export function limitOf(ctx: Context): number {
  const limit = Number(one(ctx.query.limit) ?? 100);
  if (!Number.isInteger(limit) || limit < 1 || limit > 200)
    throw new Problem(400, 'limit is a whole number from 1 to 200.');
  return limit;
}

/** `?q=`, what somebody typed to find something; empty where nothing is said. */
export function typedOf(ctx: Context): string {
  const typed = one(ctx.query.q) ?? '';
  if (typed.length > 80) throw new Problem(400, 'A search is at most 80 characters long.');
  return typed;
}

/** `?after=<last seen>&limit=<1..200>`: pages by key, so that a row added meanwhile shifts nothing. */
export function pageOf(ctx: Context): { after: string | undefined; limit: number } {
  const after = one(ctx.query.after);
  if (after !== undefined && !/^(\d{1,15}\.)?[0-9a-f-]{36}$/.test(after))
    throw new Problem(400, 'after is what the page before gave as next.');
  return { after, limit: limitOf(ctx) };
}

/** `?position=<id>`, or nothing. */
export function positionOf(ctx: Context): string | undefined {
  const position = one(ctx.query.position);
  if (position !== undefined && !/^[0-9a-f-]{36}$/.test(position))
    throw new Problem(400, 'position is the id of a position.');
  return position;
}
