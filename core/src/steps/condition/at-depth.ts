import type { Depth } from '../../engine/depth.ts';
import type { Measure } from './condition.ts';

/** Which measures a depth asks for; each depth asks for those before it too. */
export type MeasuresAt = Readonly<Record<Depth, readonly Measure[]>>;

type Usual = {
  stations: number;
  angles: number;
  condition: { measures: Measure[]; turnBy: 'swing' | 'angles'; runoutStations: number };
};

/**
 * What a new job asks of its shaft at a depth: one swing and two diameters across at two places, or all by angles.
 * Common practice, no source.
 */
export const shaftAt =
  (measures: MeasuresAt) =>
  (depth: Depth): Usual => ({
    stations: depth === 'thorough' ? 3 : 2,
    angles: depth === 'thorough' ? 3 : 2,
    condition: {
      measures: [...measures[depth]],
      turnBy: depth === 'thorough' ? 'angles' : 'swing',
      runoutStations: depth === 'thorough' ? 2 : 1,
    },
  });

/** A bearing's seat: clean, round, of its size; its swing; then all that can be measured of it. */
export const BEARING_MEASURES: MeasuresAt = {
  essential: ['look', 'shaft'],
  standard: ['look', 'shaft', 'runout'],
  thorough: ['look', 'shaft', 'runout', 'housings'],
};

/** Shaft and box of a face seal. */
export const SEAL_MEASURES: MeasuresAt = {
  essential: ['look', 'shaft', 'runout', 'play'],
  standard: ['look', 'shaft', 'finish', 'runout', 'play', 'face'],
  thorough: ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore', 'envelope'],
};
