import type { FormValues } from '@fulcrant/core/job';
import type { LengthUnit } from '@fulcrant/core/units';
import type { StoredPosition } from '../data/site.ts';

/** A form that was begun: kept in this window through a reload, until the sheet is opened. */
export type OpeningDraft = {
  kind: string;
  position: StoredPosition | null;
  values: FormValues;
  /** The unit its lengths were typed in. */
  unit: LengthUnit;
};
const KEY = 'fulcrant.opening';

export function openingDraft(): OpeningDraft | null {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(KEY) ?? 'null');
    return kept && typeof kept === 'object' && 'values' in kept && 'kind' in kept
      ? (kept as OpeningDraft)
      : null;
  } catch {
    return null;
  }
}
export const keepOpening = (draft: OpeningDraft): void => sessionStorage.setItem(KEY, JSON.stringify(draft));
export const dropOpening = (): void => sessionStorage.removeItem(KEY);
