import { figureOf, type KindFigure } from '../../engine/figure.ts';
import type { Place } from '../../engine/state.ts';
import { floatFigure } from '../bearing/float-figure.ts';
import { floatRoom } from '../bearing/float-room.ts';
import { greaseFill } from '../bearing/grease-fill.ts';
import { bolts } from '../bolts.ts';
import { beltStep } from '../condition/belts.ts';
import { boxBoreStep } from '../condition/box-bore.ts';
import { boxFaceStep } from '../condition/box-face.ts';
import { couplingStep } from '../condition/coupling.ts';
import { diameters } from '../condition/diameters.ts';
import { envelopeStep } from '../condition/envelope.ts';
import { couplingFigure, housingsFigure, softFootFigure } from '../condition/figures/alignment.ts';
import { beltFigure } from '../condition/figures/belts.ts';
import { boreFigure, envelopeFigure, faceFigure } from '../condition/figures/box.ts';
import { shaftFigure } from '../condition/figures/diameters.ts';
import { finishFigure, playFigure } from '../condition/figures/play-and-finish.ts';
import { runoutFigure } from '../condition/figures/runout.ts';
import { finishStep } from '../condition/finish.ts';
import { housingsStep } from '../condition/housings.ts';
import { playStep } from '../condition/play.ts';
import { runoutStep } from '../condition/runout.ts';
import { softFootStep } from '../condition/soft-foot.ts';
import { gaps } from '../gland-gaps.ts';
import { assemblies } from '../rebuild/assembly.ts';
import { explodedFigure } from '../rebuild/exploded.ts';
import { boltFigure } from './bolt-order.ts';
import { glandFigure } from './gland.ts';
import { fillFigure } from './grease.ts';
import { M } from './messages.ts';

const angleOf = (place: Place | null): number | null => place?.turn?.angleDeg ?? null;

/** Figures of the kinds of step several trades share. */
export const SHARED_FIGURES: readonly KindFigure[] = [
  figureOf(bolts, boltFigure),
  // A trade that feels other gaps draws them by its own figure, listed before these.
  figureOf(gaps, ({ values, place, typed }) =>
    glandFigure({ values, active: place?.key, typed, what: M.glandBox }),
  ),
  figureOf(assemblies, explodedFigure),
  figureOf(floatRoom, ({ values, setup, place }) =>
    floatFigure({ values, place: place?.key, spanMm: setup.float?.spanMm ?? 0 }),
  ),
  figureOf(greaseFill, ({ values, setup }) =>
    fillFigure({ values, housingCm3: setup.grease?.housingCm3 ?? 0 }),
  ),
  figureOf(diameters, ({ values, setup, place }) =>
    shaftFigure({
      values,
      nominalMm: setup.shaftMm,
      active: place?.turn ? { station: place.turn.station, angleDeg: place.turn.angleDeg } : null,
    }),
  ),
  figureOf(runoutStep, ({ values, before, setup, place }) =>
    runoutFigure({
      values,
      before,
      shaftMm: setup.shaftMm,
      seatMm: setup.seatMm,
      active: place?.turn ?? null,
    }),
  ),
  figureOf(boxFaceStep, ({ values, before, setup, place }) =>
    faceFigure({ values, before, shaftMm: setup.shaftMm, active: angleOf(place) }),
  ),
  figureOf(boxBoreStep, ({ values, before, setup, place }) =>
    boreFigure({ values, before, shaftMm: setup.shaftMm, active: angleOf(place) }),
  ),
  figureOf(finishStep, ({ values, place }) => finishFigure({ values, place: place?.key })),
  figureOf(playStep, ({ values, place }) => playFigure({ values, place: place?.key })),
  figureOf(envelopeStep, ({ values, place }) => envelopeFigure({ values, place: place?.key })),
  figureOf(softFootStep, ({ values, before, place }) =>
    softFootFigure({ values, before, place: place?.key }),
  ),
  figureOf(housingsStep, ({ values, place }) => housingsFigure({ values, place: place?.key })),
  figureOf(beltStep, ({ values, place }) => beltFigure({ values, place: place?.key })),
  figureOf(couplingStep, ({ values, place }) => couplingFigure({ values, place: place?.key })),
];
