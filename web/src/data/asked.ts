import type { Text } from '@fulcrant/core/messages';
import { ApiFault } from './api.ts';

export type Faults = Record<string, Text>;

/** What the server said is wrong, by field; what belongs to none stands under the empty name. */
export function faultsOf(error: unknown, away = 'No connection to the server: nothing was changed.'): Faults {
  if (!(error instanceof ApiFault)) return { '': away };
  return error.faults.length > 0
    ? Object.fromEntries([...error.faults].reverse().map((f) => [f.path, f.message]))
    : { '': error.title };
}
