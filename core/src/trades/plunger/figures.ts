import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { nutMarkFigure } from '../../steps/figures/nut-mark.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { M } from './messages.ts';
import { plungerPreloadStep } from './preload.ts';

/** Figures of a plunger. */
export const figures: readonly KindFigure[] = [
  ...SHARED_FIGURES,
  // The nut against its mark, backed off and back.
  figureOf(plungerPreloadStep, ({ values: v, setup, place, typed }) => {
    const deg = (place?.key === 'end' ? typed : null) ?? v.endDeg;
    const back = (place?.key === 'back' ? typed : null) ?? v.backDeg;
    const { nutPitchMm: pitch } = setup;
    const travel = (of: number) =>
      pitch === undefined ? '' : M.thatIs({ travel: ((pitch * Math.abs(of)) / 360).toFixed(2) });
    return nutMarkFigure({
      slots: 6,
      turnedDeg: deg ?? (back === null ? 0 : -back),
      band: { minDeg: -45, maxDeg: 45 },
      marked: true,
      note:
        deg !== null
          ? M.markMm({ deg: Math.abs(deg), deg2: deg < 0 ? 'short' : 'past', travel: travel(deg) })
          : M.backedOffMm({ back: back ?? 0, travel: travel(back ?? 0) }),
    });
  }),
];
