import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { len, num } from '../../quantities/say.ts';
import { boltsCame, boltsRow, orDash } from '../../steps/came.ts';
import { endClearance } from './clearance.ts';
import type { GearPumpSetup } from './setup.ts';

/** What is said of a gear pump rebuilt. */
export const words: TradeWords<GearPumpSetup> = {
  offer: ['Rebuild a gear pump', 'its end clearance by gaskets'],
  setup: 'Pump, gaskets, torques',
  changes: 'gaskets, torques',
  sheet: 'Rebuild sheet',
  signed: 'Rebuilt',
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
    const clearance = told ? `${num(told.smallestMm)} to ${len(told.largestMm)}` : '–';
    return {
      results,
      rows: [
        ['End clearance, under torque', clearance],
        ['Gasket stack, loose', orDash(results.stackMm)],
        boltsRow('End plates', `${state.setup.plateBolts}`, results.torqueNm),
        boltsRow('Shaft nut', '1', results.nutNm),
      ],
    };
  },
  drawings: (state) => drawnAt(state, 'clearance'),
};
