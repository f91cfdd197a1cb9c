import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import { leakRows, orDash, shaftCame, spreadCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { leakDrawing } from '../../steps/drawings.ts';
import { breakIn } from './breaking-in.ts';
import { M } from './messages.ts';
import { ringsLoop } from './rings-in.ts';
import type { PackingSetup } from './setup.ts';

/** What is said of a stuffing box packed. */
export const words: TradeWords<PackingSetup> = {
  offer: [M.packBox, M.break2],
  setup: M.boxShaftPacking,
  changes: M.boxPacking,
  sheet: M.packingSheet,
  signed: M.packed,
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const rings = ringsLoop.valuesOf(reportAt(state, 'rings'));
    const broken = breakIn.valuesOf(reportAt(state, 'breakin'));
    const results = {
      ...shaft,
      ...conditionCame(state),
      rings: rings?.jointsDeg.length ?? null,
      ringCutMm: rings?.plan.cutMm ?? null,
      glandSpreadMm: spreadCame(state, 'follower'),
      flats: broken?.points.length ? broken.flats : null,
      dropsPerMin: broken?.points.at(-1)?.dropsPerMin ?? null,
    };
    return {
      results,
      rows: [
        row,
        [M.rings3, results.rings === null ? '–' : String(results.rings)],
        [M.cut3, orDash(results.ringCutMm, 1)],
        [M.followerSpreadGaps, orDash(results.glandSpreadMm)],
        [M.flatsTurned, results.flats === null ? '–' : String(results.flats)],
        ...leakRows(results.dropsPerMin),
      ],
    };
  },
  drawings(state) {
    const points = breakIn.valuesOf(reportAt(state, 'breakin'))?.points ?? [];
    return [
      ...turnDrawings(state),
      ...drawnAt(state, 'rings', 'follower'),
      ...leakDrawing(COMMON.break, points),
    ];
  },
};
