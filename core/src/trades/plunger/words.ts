import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { len } from '../../quantities/say.ts';
import { plungerPreloadStep } from './preload.ts';
import type { PlungerSetup } from './setup.ts';

/** What is said of a plunger's V-ring set. */
export const words: TradeWords<PlungerSetup> = {
  offer: ['Set a plunger', 'V-rings and their preload'],
  setup: 'Packing nut',
  changes: 'nut',
  sheet: 'Plunger sheet',
  signed: 'Fitted',
  came(state) {
    const preloadDeg = plungerPreloadStep.valuesOf(reportAt(state, 'preload'))?.endDeg ?? null;
    const said =
      preloadDeg === null ? '–' : `${preloadDeg}° · ${len((state.setup.nutPitchMm * preloadDeg) / 360, 2)}`;
    return { results: { preloadDeg }, rows: [['Nut from its mark', said]] };
  },
  drawings: (state) => drawnAt(state, 'preload'),
};
