import type { Text } from '@fulcrant/core/messages';
import { ApiFault } from './api.ts';
import { M } from './messages.ts';

export type Faults = Record<string, Text>;

/** What the server said is wrong, by field; what belongs to none stands under the empty name. */
export function faultsOf(error: unknown, away = M.noConnectionServerNothingChanged): Faults {
  if (!(error instanceof ApiFault)) return { '': away };
  return error.faults.length > 0
    ? Object.fromEntries([...error.faults].reverse().map((f) => [f.path, f.message]))
    : { '': error.title };
}
