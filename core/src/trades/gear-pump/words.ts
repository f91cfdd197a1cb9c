import { sayStack } from '../../arithmetic/rebuild/gaskets.ts';
import { bestStack } from '../../arithmetic/rebuild/stack.ts';
import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { len, num } from '../../quantities/say.ts';
import { boltsCame, boltsRow, orDash } from '../../steps/came.ts';
import { endClearance } from './clearance.ts';
import { M } from './messages.ts';
import { type GearPumpSetup, piecesOf } from './setup.ts';

/** A stack is read loose to so much: half the thinnest gasket in common use. mm. */
const STACK_READ_WITHIN_MM = 0.025;

/** The stack in place as measured, and the pieces on hand that come nearest to it. */
function sayStackIn(setup: GearPumpSetup, stackMm: number | null): Text {
  if (stackMm === null) return orDash(stackMm);
  const pieces = piecesOf(setup);
  const near = bestStack(pieces, {
    leastMm: Math.max(0, stackMm - STACK_READ_WITHIN_MM),
    mostMm: stackMm + STACK_READ_WITHIN_MM,
    aimMm: stackMm,
  });
  return near && near.pieces > 0 ? expr`${len(stackMm)} (${sayStack(pieces, near.counts)})` : len(stackMm);
}

/** What is said of a gear pump rebuilt. */
export const words: TradeWords<GearPumpSetup> = {
  offer: [M.rebuildGearPump, M.endClearanceGaskets],
  setup: M.pumpGasketsTorques,
  changes: M.gasketsTorques,
  sheet: M.rebuildSheet,
  signed: M.rebuilt,
  came(state) {
    const v = endClearance.valuesOf(reportAt(state, 'clearance'));
    const told = v?.told ?? null;
    const results = {
      clearanceMinMm: told?.smallestMm ?? null,
      clearanceMaxMm: told?.largestMm ?? null,
      stackMm: v?.stackMm ?? null,
      torqueNm: boltsCame(state, 'rearbolts'),
      nutNm: boltsCame(state, 'nuttorque'),
    };
    const clearance = told ? M.to({ smallest: num(told.smallestMm), largest: len(told.largestMm) }) : '–';
    return {
      results,
      rows: [
        [M.endClearanceUnderTorque, clearance],
        [M.gasketStackLoose, sayStackIn(state.setup, results.stackMm)],
        boltsRow(M.endPlates3, `${state.setup.plateBolts}`, results.torqueNm),
        boltsRow(M.shaftNut2, '1', results.nutNm),
      ],
    };
  },
  drawings: (state) => drawnAt(state, 'clearance'),
};
