import type { Text } from '@fulcrant/core/messages';
import type { Context } from 'koa';
import getRawBody from 'raw-body';
import { M } from './messages.ts';
import { Problem } from './problem.ts';

/** The body of a request as it came. @throws Problem where it is larger than `limit`, or did not arrive whole */
export async function bytesOf(ctx: Context, limit: number, tooLarge: Text): Promise<Buffer> {
  try {
    return await getRawBody(ctx.req, { limit, length: ctx.get('content-length') || null });
  } catch (error) {
    if ((error as { type?: string }).type === 'entity.too.large') throw new Problem(413, tooLarge);
    throw new Problem(400, M.fileDidNotArriveWhole);
  }
}

/** Bytes that came back from a thread, as an answer takes them: the same memory under another name. */
export const asBuffer = (bytes: Uint8Array): Buffer =>
  Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
