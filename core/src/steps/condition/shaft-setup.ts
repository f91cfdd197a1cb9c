import type { Setup } from '../../engine/setup.ts';
import type { Condition } from './condition.ts';

/** Values of the maker's sheet a shaft and what is round it are judged by. mm, µm of roughness, degrees. */
export type ShaftMaker = {
  [K in
    | 'shaftLowerMm'
    | 'shaftUpperMm'
    | 'runoutMm'
    | 'finishUm'
    | 'endPlayMm'
    | 'radialPlayMm'
    | 'faceMm'
    | 'boreMm'
    | 'softFootMm'
    | 'abilityDeg'
    | 'offsetMm'
    | 'anglePer100Mm']?: number | undefined;
};

/** What a job that measures a shaft says of it. mm. */
export type ShaftSetup = Setup & {
  shaftSystem: 'metric' | 'inch';
  shaftMm: number;
  seatMm: number;
  stations: number;
  angles: number;
  condition?: Condition | undefined;
  maker: ShaftMaker;
};

/** What a job measures before (or instead of) fitting; older jobs asked only for the diameters. */
export const conditionOf = (setup: Pick<ShaftSetup, 'condition'>): Condition =>
  setup.condition ?? { measures: ['shaft'] };
