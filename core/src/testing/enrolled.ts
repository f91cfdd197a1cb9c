import type { Trade } from '../engine/trade.ts';
import { enrol } from '../engine/trades.ts';

/**
 * Every test knows every trade, as every program does that enters by the registry. Where only the tests of one trade are run
 * (`npm run test:unit -- core/src/trades/packing`), that trade alone is loaded: reading them all in takes longer than its tests.
 */
const only = process.env.FULCRANT_TRADE;
if (only) {
  const parts: Record<string, unknown> = await import(`../trades/${only}/index.ts`);
  enrol(Object.values(parts).filter(isTrade));
} else await import('../trades/registry.ts');

function isTrade(part: unknown): part is Trade {
  return typeof part === 'object' && part !== null && 'procedure' in part && 'schema' in part;
}
