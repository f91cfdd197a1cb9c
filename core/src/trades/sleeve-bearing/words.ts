import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt } from '../../engine/trades.ts';
import { boltsCame, boltsRow, firstHoursCame, orDash, type Row, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { firstHoursDrawing } from '../../steps/drawings.ts';
import { endedAt } from './ended.ts';
import type { SleeveSetup } from './setup.ts';

/** What is said of a bearing fitted on its sleeve. */
export const words: TradeWords<SleeveSetup> = {
  offer: ['Fit a bearing', 'on its adapter sleeve'],
  setup: 'Bearing, shaft, bolts',
  changes: 'bearing, bolts',
  sheet: 'Fit-up sheet',
  signed: 'Fitted',
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
        ['Bench clearance', orDash(results.benchMm)],
        ['Reduction', orDash(results.reductionMm)],
        ['Residual clearance', orDash(results.residualMm)],
        ...(results.travelMm === null ? [] : [['Drive-up', orDash(results.travelMm)] as Row]),
        ['Nut from snug', results.nutDeg === null ? '–' : `${(results.nutDeg / 360).toFixed(2)} turn`],
        boltsRow('Cap bolts', `${boltCount} × ${boltSize} ${boltGrade}`, results.torqueNm),
        ...firstHours.rows,
      ],
    };
  },
  drawings: (state) => [...drawnAt(state, 'lock'), ...turnDrawings(state), ...firstHoursDrawing(state)],
};
