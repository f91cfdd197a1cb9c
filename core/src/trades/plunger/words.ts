import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { M } from './messages.ts';
import { plungerPreloadStep } from './preload.ts';
import type { PlungerSetup } from './setup.ts';

/** What is said of a plunger's V-ring set. */
export const words: TradeWords<PlungerSetup> = {
  offer: [M.setPlunger, M.vRingsTheirPreload],
  setup: COMMON.packingNut,
  changes: COMMON.nut2,
  sheet: M.plungerSheet,
  signed: COMMON.fitted,
  came(state) {
    const preloadDeg = plungerPreloadStep.valuesOf(reportAt(state, 'preload'))?.endDeg ?? null;
    const said =
      preloadDeg === null
        ? '–'
        : state.setup.nutPitchMm === undefined
          ? `${preloadDeg}°`
          : expr`${preloadDeg}° · ${len((state.setup.nutPitchMm * preloadDeg) / 360, 2)}`;
    return { results: { preloadDeg }, rows: [[COMMON.nutFromMark, said]] };
  },
  drawings: (state) => drawnAt(state, 'preload'),
};
