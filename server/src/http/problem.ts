import type { Context } from 'koa';

/** A fault the caller can act on, said as RFC 9457 `application/problem+json`. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly faults: ReadonlyArray<{ path: string; message: string }> = [],
  ) {
    super(title);
  }
}

/** Write a problem as the response. */
export function sayProblem(
  ctx: Context,
  status: number,
  title: string,
  faults: Problem['faults'] = [],
): void {
  ctx.status = status;
  ctx.body = { type: 'about:blank', title, status, ...(faults.length ? { faults } : {}) };
  ctx.type = 'application/problem+json';
}
