import type { TradeTask } from '../../engine/slots.ts';
import { MEASURES } from './condition.ts';
import { LAST_MEASURES } from './condition-steps.ts';
import { M } from './messages.ts';

/** Measures taken before a part goes on. */
const FIRST: readonly string[] = MEASURES.filter((m) => !LAST_MEASURES.includes(m));

/**
 * The first piece of a job that fits something: made safe, what is the trade’s own, and the shaft or box measured. What is measured last,
 * before anything turns, belongs to the piece that closes.
 * @param own steps of the trade that come before the measuring
 */
export const measured = (own: readonly string[], piece: Partial<TradeTask> = {}): TradeTask => ({
  id: 'measured',
  name: M.shaftLookedMeasured,
  steps: ['safe', ...own, ...FIRST],
  skill: 'measuring',
  hands: 1,
  tools: ['dial on a base'],
  minutes: [25, 40, 75],
  pauses: true,
  finds: { what: M.shaftFails, odds: 0.08, minutes: [180, 300, 600] },
  ...piece,
});
