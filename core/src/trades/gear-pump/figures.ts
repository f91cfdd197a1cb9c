import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { endClearance } from './clearance.ts';
import { clearanceFigure } from './clearance-figure.ts';

/** Figures of a gear pump. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  figureOf(endClearance, ({ values, place, typed }) =>
    clearanceFigure({ values, active: place?.key, typed }),
  ),
];
