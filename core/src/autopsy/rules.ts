import { SEAL } from './face-seal.ts';
import { PACKING } from './gland-rings.ts';
import { BEARING } from './rolling-bearing.ts';
import type { AutopsyRules } from './rule.ts';

export const AUTOPSY_KINDS = ['face-seal', 'gland-rings', 'rolling-bearing'] as const;
export type AutopsyKind = (typeof AUTOPSY_KINDS)[number];

export const AUTOPSIES: Readonly<Record<AutopsyKind, AutopsyRules>> = {
  'face-seal': SEAL,
  'gland-rings': PACKING,
  'rolling-bearing': BEARING,
};
