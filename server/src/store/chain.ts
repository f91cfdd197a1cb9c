import { createHash } from 'node:crypto';

/**
 * The link of an event in its job's chain: SHA-256, hex, over the link before it and the event as it is stored, byte for byte.
 * The first stands on the job's own id, so that a whole chain cannot be moved to another job.
 */
export const linkOf = (before: string, body: string): string =>
  createHash('sha256').update(before).update('\n').update(body).digest('hex');
