import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { pres } from '../../quantities/say.ts';
import { orDash } from '../../steps/came.ts';
import { asFound } from './as-found.ts';
import { letGo } from './let-go.ts';
import type { DismountSetup } from './setup.ts';

/** What is said of a bearing taken off. */
export const words: TradeWords<DismountSetup> = {
  offer: ['Take a bearing off', 'by the design of its sleeve'],
  setup: 'Sleeve and nut',
  changes: 'sleeve',
  sheet: 'Dismounting sheet',
  signed: 'Taken off',
  came(state) {
    const gone = letGo.valuesOf(reportAt(state, 'letgo'));
    const letGoMpa = gone?.free ? (gone.rounds.at(-1)?.peakMpa ?? null) : null;
    const found = asFound.valuesOf(reportAt(state, 'residual'));
    return {
      results: { letGoMpa, ...(found ? { foundMm: found.foundMm } : {}) },
      rows: [
        ...(found ? [['Clearance as found', orDash(found.foundMm)] as [string, string]] : []),
        ['Let go at', letGoMpa === null ? '–' : pres(letGoMpa)],
      ],
    };
  },
  drawings: (state) => drawnAt(state, 'nutback', 'letgo'),
};
