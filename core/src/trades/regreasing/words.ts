import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { temp } from '../../quantities/say.ts';
import { heatDrawing } from '../../steps/drawings.ts';
import { greaseStrokes, greaseWatch } from './greasing.ts';
import type { RegreaseSetup } from './setup.ts';

/** What is said of a bearing regreased. */
export const words: TradeWords<RegreaseSetup> = {
  offer: ['Regrease', 'and watch what it does'],
  setup: 'Bearing and grease',
  changes: 'bearing, grease',
  sheet: 'Greasing sheet',
  signed: 'Greased',
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
        ['Grease given', greaseG === null ? '–' : `${greaseG.toFixed(0)} g`],
        ['Hottest afterwards', hottestC === null ? '–' : temp(hottestC)],
        ['Again in', intervalH === null ? '–' : `${Math.round(intervalH)} hours`],
      ],
    };
  },
  drawings: (state) =>
    heatDrawing('After the strokes', greaseWatch.valuesOf(reportAt(state, 'watch'))?.points ?? []),
};
