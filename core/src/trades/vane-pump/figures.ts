import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { pileFigure } from '../../steps/figures/pile.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { M } from './messages.ts';
import { thicknessesOf } from './setup.ts';
import { shimFloats } from './shims.ts';

/** Figures of a vane pump: the shims under a cap now, and those the float asks for. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  figureOf(shimFloats, ({ values: v, setup }) => {
    const pile = (heap: readonly number[]) =>
      thicknessesOf(setup).map((thicknessMm, i) => ({ thicknessMm, count: heap[i] ?? 0 }));
    return [
      pileFigure({ pile: pile(v.off), title: M.underCapNow }),
      ...(v.told?.stack
        ? [pileFigure({ pile: pile(v.told.stack.counts), title: M.floatAsks, tone: 'brass' })]
        : []),
    ];
  }),
];
