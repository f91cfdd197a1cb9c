import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { greaseStrokes } from './greasing.ts';
import { strokesFigure } from './strokes-figure.ts';

/** Figures of a regreasing. */
export const figures: readonly KindFigure[] = [...SHARED_FIGURES, figureOf(greaseStrokes, strokesFigure)];
