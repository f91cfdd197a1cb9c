import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { raceFigure } from '../../steps/figures/race.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { axialFigure } from './axial-figure.ts';
import { axialPlace } from './axial-place.ts';
import { races } from './race-gaps.ts';

/** Figures of a split bearing. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  figureOf(races, ({ values, setup, place }) =>
    raceFigure({ values, shaftMm: setup.shaftMm, place: place?.key }),
  ),
  figureOf(axialPlace, ({ values, place }) => axialFigure({ values, place: place?.key })),
];
