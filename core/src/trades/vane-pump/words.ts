import { sayStack } from '../../arithmetic/rebuild/gaskets.ts';
import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { type Drawing, type Shape, small, text } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { boltsCame, boltsRow } from '../../steps/came.ts';
import type { VanePumpSetup } from './setup.ts';
import { type ShimCountValues, shimCounts } from './shims.ts';

/** Points a millimetre of shims is drawn with. */
const POINTS_A_MM = 22;

/** The shims of a side as a pile, each as thick as it is, all enlarged alike. */
function pile(title: string, v: ShimCountValues): Drawing[] {
  const { on } = v;
  if (!on || on.every((n) => n === 0)) return [];
  let y = 104;
  const shims = v.thicknessesMm.flatMap((t, i) =>
    Array.from({ length: on[i] ?? 0 }, (): Shape => {
      const thick = Math.max(1, t * POINTS_A_MM);
      y -= thick;
      return {
        shape: 'line',
        points: [
          [40, y],
          [140, y],
          [140, y + thick],
          [40, y + thick],
        ],
        ink: 'ink',
        width: 0.5,
        closed: true,
        fill: i % 2 === 0 ? 'metal' : 'steel-light',
      };
    }),
  );
  if (y < 4) return [];
  const pieces = v.thicknessesMm.map((thicknessMm, i) => ({ thicknessMm, count: on[i] ?? 0 }));
  return [
    {
      title,
      width: 180,
      height: 132,
      shapes: [
        ...shims,
        text([90, 116], title),
        small([90, 127], `${sayStack(pieces, on)}; ×${Math.round(POINTS_A_MM / 2.83)}`),
      ],
    },
  ];
}

const counted = (state: Parameters<TradeWords<VanePumpSetup>['came']>[0], n: 1 | 2) =>
  shimCounts.valuesOf(reportAt(state, `shimson${n}`));

const thick = (v: ShimCountValues | null): number | null =>
  v?.on ? Number(v.thicknessesMm.reduce((s, t, i) => s + t * (v.on?.[i] ?? 0), 0).toFixed(4)) : null;

/** What is said of a vane pump whose seals were changed. */
export const words: TradeWords<VanePumpSetup> = {
  offer: ['Change a vane pump’s seals', 'in its heads, side by side'],
  setup: 'Pump, shims, torques',
  changes: 'shims, torques',
  sheet: 'Seal change sheet',
  signed: 'Changed',
  came(state) {
    const [first, second] = [thick(counted(state, 1)), thick(counted(state, 2))];
    const torqueNm = boltsCame(state, 'headbolts1');
    const said = (mm: number | null) => (mm === null ? '–' : len(mm));
    return {
      results: { shims1Mm: first, shims2Mm: second, torqueNm },
      rows: [
        ['Shims, first side', said(first)],
        ...(state.setup.sides === 'both'
          ? [['Shims, second side', said(second)] as [string, string]]
          : [['Second side left', state.setup.leftBecause ?? ''] as [string, string]]),
        boltsRow('Head bolts', String(state.setup.headBolts), torqueNm),
      ],
    };
  },
  drawings(state) {
    const [first, second] = [counted(state, 1), counted(state, 2)];
    return [
      ...(first ? pile('Shims, first side', first) : []),
      ...(second ? pile('Shims, second side', second) : []),
    ];
  },
};
