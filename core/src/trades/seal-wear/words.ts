import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { curveOf } from '../../judgement/drawing.ts';
import { COMMON } from '../../message/common/messages.ts';
import { len } from '../../quantities/say.ts';
import { orDash } from '../../steps/came.ts';
import { M } from './messages.ts';
import type { WearSetup } from './setup.ts';
import { wearWatch } from './wear-watch.ts';

/** What is said of a seal watched for its wear. */
export const words: TradeWords<WearSetup> = {
  offer: [M.watchSeal, M.wearAgainstBaseline],
  setup: M.baselineWear,
  changes: M.baseline,
  sheet: M.wearSheet,
  signed: COMMON.measured,
  came(state) {
    const wear = wearWatch.valuesOf(reportAt(state, 'wear'));
    const wearMm = wear && wear.points.length > 1 ? (wear.points.at(-1)?.projectionMm ?? null) : null;
    const wearDueOn = wear?.dueOn ?? null;
    return {
      results: { wearMm, wearDueOn },
      rows: [
        [M.baseline2, len(state.setup.baselineMm, 2)],
        [M.standsNow, orDash(wearMm, 2)],
        [M.serviceDue3, wearDueOn ?? '–'],
      ],
    };
  },
  drawings(state) {
    const { points = [] } = wearWatch.valuesOf(reportAt(state, 'wear')) ?? {};
    if (points.length < 2) return [];
    const { serviceMm } = state.setup;
    return [
      curveOf(
        M.standsProudSinceFitted,
        points.map((p) => ({ x: p.days, y: p.projectionMm })),
        { y: (v) => len(v, 2), x: (d) => M.day({ d: Math.round(d) }) },
        [{ y: serviceMm, said: M.service2({ service: len(serviceMm, 2) }), ink: 'stop' }],
      ),
    ];
  },
};
