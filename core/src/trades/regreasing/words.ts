import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { temp } from '../../quantities/say.ts';
import { heatDrawing } from '../../steps/drawings.ts';
import { greaseStrokes, greaseWatch } from './greasing.ts';
import { M } from './messages.ts';
import type { RegreaseSetup } from './setup.ts';

/** What is said of a bearing regreased. */
export const words: TradeWords<RegreaseSetup> = {
  offer: [M.regrease, M.watchWhatDoes],
  setup: M.bearingGrease,
  changes: M.bearingGrease2,
  sheet: M.greasingSheet,
  signed: M.greased,
  came(state) {
    const watched = greaseWatch.valuesOf(reportAt(state, 'watch'));
    const results = {
      greaseG: greaseStrokes.valuesOf(reportAt(state, 'strokes'))?.gramsGiven ?? null,
      hottestC: watched?.hottestC ?? null,
      intervalH: watched?.intervalHours ?? null,
    };
    const { greaseG, hottestC, intervalH } = results;
    return {
      results,
      rows: [
        [M.greaseGiven, greaseG === null ? '–' : `${greaseG.toFixed(0)} g`],
        [M.hottestAfterwards, hottestC === null ? '–' : temp(hottestC)],
        [M.again, intervalH === null ? '–' : M.hours({ intervalH: Math.round(intervalH) })],
      ],
    };
  },
  drawings: (state) =>
    heatDrawing(M.afterStrokes, greaseWatch.valuesOf(reportAt(state, 'watch'))?.points ?? []),
};
