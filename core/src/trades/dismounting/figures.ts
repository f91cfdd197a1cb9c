import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { letGo } from './let-go.ts';
import { nutBack } from './nut-back.ts';
import { letGoFigure, nutBackFigure } from './off-figures.ts';

/** Figures of a bearing taken off. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  figureOf(nutBack, nutBackFigure),
  figureOf(letGo, letGoFigure),
];
