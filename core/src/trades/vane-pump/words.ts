import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import type { Drawing } from '../../judgement/drawing.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { boltsCame, boltsRow } from '../../steps/came.ts';
import { pileFigure } from '../../steps/figures/pile.ts';
import { M } from './messages.ts';
import type { VanePumpSetup } from './setup.ts';
import { type ShimCountValues, shimCounts } from './shims.ts';

/** The shims of a side as a pile, each as thick as it is; nothing where none are counted. */
const pile = (title: Text, v: ShimCountValues | null): Drawing[] =>
  v?.on?.some((n) => n > 0)
    ? [
        pileFigure({
          title,
          pile: v.thicknessesMm.map((thicknessMm, i) => ({ thicknessMm, count: v.on?.[i] ?? 0 })),
        }),
      ]
    : [];

const counted = (state: Parameters<TradeWords<VanePumpSetup>['came']>[0], n: 1 | 2) =>
  shimCounts.valuesOf(reportAt(state, `shimson${n}`));

const thick = (v: ShimCountValues | null): number | null =>
  v?.on ? Number(v.thicknessesMm.reduce((s, t, i) => s + t * (v.on?.[i] ?? 0), 0).toFixed(4)) : null;

/** What is said of a vane pump whose seals were changed. */
export const words: TradeWords<VanePumpSetup> = {
  offer: [M.changeVanePumpsSeals, M.headsSideSide],
  setup: M.pumpShimsTorques,
  changes: M.shimsTorques,
  sheet: M.sealChangeSheet,
  signed: COMMON.changed,
  came(state) {
    const [first, second] = [thick(counted(state, 1)), thick(counted(state, 2))];
    const torqueNm = boltsCame(state, 'headbolts1');
    const said = (mm: number | null) => (mm === null ? '–' : len(mm));
    return {
      results: { shims1Mm: first, shims2Mm: second, torqueNm },
      rows: [
        [M.shimsFirstSide, said(first)],
        ...(state.setup.sides === 'both'
          ? [[M.shimsSecondSide, said(second)] as [Text, Text]]
          : [[M.secondSideLeft, state.setup.leftBecause ?? ''] as [Text, string]]),
        boltsRow(M.headBolts4, String(state.setup.headBolts), torqueNm),
      ],
    };
  },
  drawings: (state) => [
    ...pile(M.shimsFirstSide, counted(state, 1)),
    ...pile(M.shimsSecondSide, counted(state, 2)),
  ],
};
