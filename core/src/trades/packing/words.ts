import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { leakRows, orDash, shaftCame, spreadCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { leakDrawing } from '../../steps/drawings.ts';
import { breakIn } from './breaking-in.ts';
import { ringsLoop } from './rings-in.ts';
import type { PackingSetup } from './setup.ts';

/** What is said of a stuffing box packed. */
export const words: TradeWords<PackingSetup> = {
  offer: ['Pack a box', 'and break it in'],
  setup: 'Box, shaft, packing',
  changes: 'box, packing',
  sheet: 'Packing sheet',
  signed: 'Packed',
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
        ['Rings in', results.rings === null ? '–' : String(results.rings)],
        ['Cut to', orDash(results.ringCutMm, 1)],
        ['Follower, spread of its gaps', orDash(results.glandSpreadMm)],
        ['Flats turned', results.flats === null ? '–' : String(results.flats)],
        ...leakRows(results.dropsPerMin),
      ],
    };
  },
  drawings(state) {
    const points = breakIn.valuesOf(reportAt(state, 'breakin'))?.points ?? [];
    return [
      ...turnDrawings(state),
      ...drawnAt(state, 'rings', 'follower'),
      ...leakDrawing('Break-in', points),
    ];
  },
};
