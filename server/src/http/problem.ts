import type { Text } from '@fulcrant/core/messages';
import { keepSaid, say } from '@fulcrant/core/units';
import type { Context } from 'koa';

/** A fault the caller can act on, said as RFC 9457 `application/problem+json`. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: Text,
    readonly faults: ReadonlyArray<{ path: string; message: Text }> = [],
  ) {
    super(say(title, 'mm'));
  }
}

/** A text of an answer: in words, and beside them what it says by id and params, for who says it in another unit or language. */
export const told = (text: Text): { text: string; said?: Text } => ({
  text: say(text, 'mm'),
  ...(typeof text === 'string' ? {} : { said: keepSaid(text) }),
});

/** Write a problem as the response. */
export function sayProblem(ctx: Context, status: number, title: Text, faults: Problem['faults'] = []): void {
  ctx.status = status;
  const { text, said } = told(title);
  ctx.body = {
    type: 'about:blank',
    title: text,
    ...(said ? { said } : {}),
    status,
    ...(faults.length
      ? {
          faults: faults.map((f) => {
            const fault = told(f.message);
            return { path: f.path, message: fault.text, ...(fault.said ? { said: fault.said } : {}) };
          }),
        }
      : {}),
  };
  ctx.type = 'application/problem+json';
}
