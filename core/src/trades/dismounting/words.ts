import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import type { Text } from '../../message/message.ts';
import { pres } from '../../quantities/say.ts';
import { orDash } from '../../steps/came.ts';
import { asFound } from './as-found.ts';
import { letGo } from './let-go.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

/** What is said of a bearing taken off. */
export const words: TradeWords<DismountSetup> = {
  offer: [M.takeBearingOff, M.designSleeve],
  setup: M.sleeveNut,
  changes: M.sleeve,
  sheet: M.dismountingSheet,
  signed: M.takenOff2,
  came(state) {
    const gone = letGo.valuesOf(reportAt(state, 'letgo'));
    const letGoMpa = gone?.free ? (gone.rounds.at(-1)?.peakMpa ?? null) : null;
    const found = asFound.valuesOf(reportAt(state, 'residual'));
    return {
      results: { letGoMpa, ...(found ? { foundMm: found.foundMm } : {}) },
      rows: [
        ...(found ? [[M.clearanceAsFound, orDash(found.foundMm)] as [Text, Text]] : []),
        [M.letGo2, letGoMpa === null ? '–' : pres(letGoMpa)],
      ],
    };
  },
  drawings: (state) => drawnAt(state, 'nutback', 'letgo'),
};
