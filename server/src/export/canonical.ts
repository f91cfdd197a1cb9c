import { createHash } from 'node:crypto';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import canonicalize from 'canonicalize';

/** A sheet with its content hash; `frozen` says when and by which rules it was laid down, where it was signed. */
export type SealedSheet = FitUpSheet & {
  contentHash: string;
  frozen?: Frozen;
  /** What is kept is not what was signed: its hash is another. It is shown, and says so. */
  altered?: true;
};
export type Frozen = { revision: number; rules: string; origin: 'signed' | 'migrated'; at: string };

/**
 * SHA-256, hex, over canonical JSON (RFC 8785). Anyone can take `contentHash` and `frozen` out of a sheet, canonicalise the
 * rest and compare.
 */
export const hashOf = (canonical: string): string => createHash('sha256').update(canonical).digest('hex');

/** A sheet as canonical JSON: through JSON once, so that what is hashed is what is sent. */
export const canonicalSheet = (sheet: FitUpSheet): string =>
  canonicalize(JSON.parse(JSON.stringify(sheet))) ?? '';

/** A sheet of work in hand by its canonical JSON, with the hash of how it stands now. */
export const sealed = (canonical: string): SealedSheet => ({
  ...(JSON.parse(canonical) as FitUpSheet),
  contentHash: hashOf(canonical),
});

export const sealSheet = (sheet: FitUpSheet): SealedSheet => sealed(canonicalSheet(sheet));
