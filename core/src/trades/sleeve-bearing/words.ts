import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import { boltsCame, boltsRow, firstHoursCame, orDash, type Row, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { firstHoursDrawing } from '../../steps/drawings.ts';
import { endedAt } from './ended.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

/** What is said of a bearing fitted on its sleeve. */
export const words: TradeWords<SleeveSetup> = {
  offer: [M.fitBearing, M.adapterSleeve],
  setup: M.bearingShaftBolts,
  changes: M.bearingBolts,
  sheet: COMMON.fitUpSheet,
  signed: COMMON.fitted,
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const { boltCount, boltSize, boltGrade } = state.setup;
    const firstHours = firstHoursCame(state);
    const results = {
      ...shaft,
      ...conditionCame(state),
      ...endedAt(state),
      torqueNm: boltsCame(state, 'bolts'),
      ...firstHours.results,
    };
    return {
      results,
      rows: [
        row,
        [COMMON.benchClearance, orDash(results.benchMm)],
        [COMMON.reduction, orDash(results.reductionMm)],
        [COMMON.residualClearance, orDash(results.residualMm)],
        ...(results.travelMm === null ? [] : [[COMMON.driveUp, orDash(results.travelMm)] as Row]),
        [M.nutFromSnug, results.nutDeg === null ? '–' : M.turn({ nut: (results.nutDeg / 360).toFixed(2) })],
        boltsRow(COMMON.capBolts, `${boltCount} × ${boltSize} ${boltGrade}`, results.torqueNm),
        ...firstHours.rows,
      ],
    };
  },
  drawings: (state) => [...drawnAt(state, 'lock'), ...turnDrawings(state), ...firstHoursDrawing(state)],
};
