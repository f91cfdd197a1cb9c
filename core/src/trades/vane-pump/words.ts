import { sayStack } from '../../arithmetic/rebuild/gaskets.ts';
import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { type Drawing, type Shape, small, text } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { boltsCame, boltsRow } from '../../steps/came.ts';
import { largest } from '../../steps/wrench-reach.ts';
import { sparesOf, thicknessesOf, type VanePumpSetup } from './setup.ts';
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
  comes: 'shut',
  torqueNm: (setup) => largest(setup.headNm, setup.capNm),
  kit: (setup) =>
    thicknessesOf(setup).flatMap((t, i) => {
      const count = sparesOf(setup)[i] ?? 0;
      return count > 0 ? [{ group: 'shims' as const, item: len(t, 2), count, unit: 'piece' as const }] : [];
    }),
  tasks: [
    {
      id: 'side1',
      name: 'First head: off, sealed, on',
      steps: ['safe', 'relief', '*1'],
      skill: 'pumps',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [60, 90, 150],
      pauses: true,
      finds: { what: 'a head is scored', odds: 0.1, minutes: [90, 180, 360] },
    },
    {
      id: 'side2',
      name: 'Second head: off, sealed, on',
      steps: ['*2'],
      skill: 'pumps',
      hands: 1,
      tools: ['torque wrench'],
      minutes: [50, 75, 130],
      pauses: true,
    },
    {
      id: 'start',
      name: 'Greased and brought up',
      steps: ['tags', 'grease', 'start', 'store'],
      skill: 'pumps',
      hands: 1,
      minutes: [25, 35, 60],
    },
  ],
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
