import type { Rig } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import type { Action, Shown } from '@fulcrant/practice';
import { createContext, useContext } from 'react';
import type { Seen } from './use-sheet.ts';

/** The bench under the hands, as it lies beside the sheet: told apart from the sheet, so that a tap at a dial draws no sheet anew. */
export type BenchHere = {
  rig: Rig;
  seen: Seen | null;
  looked: Readonly<Record<string, Text>>;
  nutDeg: number;
  busy: boolean;
  onAct: (action: Action) => Promise<Shown | null>;
  onCall: () => void;
};

export const BenchContext = createContext<BenchHere | null>(null);

export function useBenchHere(): BenchHere {
  const here = useContext(BenchContext);
  if (!here) throw new Error('No bench lies here.');
  return here;
}
