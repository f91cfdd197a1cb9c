import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { len, num } from '../../quantities/say.ts';
import { boltsCame, boltsRow, orDash } from '../../steps/came.ts';
import { endClearance } from './clearance.ts';
import { M } from './messages.ts';
import type { GearPumpSetup } from './setup.ts';

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
        [M.gasketStackLoose, orDash(results.stackMm)],
        boltsRow(M.endPlates3, `${state.setup.plateBolts}`, results.torqueNm),
        boltsRow(M.shaftNut2, '1', results.nutNm),
      ],
    };
  },
  drawings: (state) => drawnAt(state, 'clearance'),
};
