import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { curveOf } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { orDash } from '../../steps/came.ts';
import type { WearSetup } from './setup.ts';
import { wearWatch } from './wear-watch.ts';

/** What is said of a seal watched for its wear. */
export const words: TradeWords<WearSetup> = {
  offer: ['Watch a seal', 'wear against its baseline'],
  setup: 'Baseline of the wear',
  changes: 'baseline',
  sheet: 'Wear sheet',
  signed: 'Measured',
  came(state) {
    const wear = wearWatch.valuesOf(reportAt(state, 'wear'));
    const wearMm = wear && wear.points.length > 1 ? (wear.points.at(-1)?.projectionMm ?? null) : null;
    const wearDueOn = wear?.dueOn ?? null;
    return {
      results: { wearMm, wearDueOn },
      rows: [
        ['Baseline', len(state.setup.baselineMm, 2)],
        ['Stands now', orDash(wearMm, 2)],
        ['Service due on', wearDueOn ?? '–'],
      ],
    };
  },
  drawings(state) {
    const { points = [] } = wearWatch.valuesOf(reportAt(state, 'wear')) ?? {};
    if (points.length < 2) return [];
    const { serviceMm } = state.setup;
    return [
      curveOf(
        'Stands proud, since it was fitted',
        points.map((p) => ({ x: p.days, y: p.projectionMm })),
        { y: (v) => len(v, 2), x: (d) => `day ${Math.round(d)}` },
        [{ y: serviceMm, said: `service ${len(serviceMm, 2)}`, ink: 'stop' }],
      ),
    ];
  },
};
