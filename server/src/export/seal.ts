import { createHash } from 'node:crypto';
import type { FitUpSheet } from '@fulcrant/core';
import canonicalize from 'canonicalize';

export type SealedSheet = FitUpSheet & { contentHash: string };

/**
 * The sheet with its content hash: SHA-256, hex, over the canonical JSON (RFC 8785) of everything but the hash itself.
 * Anyone can take the hash out, canonicalise the rest and compare.
 */
export function sealSheet(sheet: FitUpSheet): SealedSheet {
  // Through JSON once, so that what is hashed is what is sent: undefined fields are gone from both.
  const plain = JSON.parse(JSON.stringify(sheet)) as FitUpSheet;
  return {
    ...plain,
    contentHash: createHash('sha256')
      .update(canonicalize(plain) ?? '')
      .digest('hex'),
  };
}
