import { mountingLimits, mountingRanges, type TaperRatio } from '../arithmetic/bearings/clearance-table.ts';
import { interferenceFit } from '../arithmetic/bearings/interference.ts';

/** One row of the drive-up table beside what the model of thick rings makes of the same reduction. */
export type ModelRow = {
  overMm: number;
  uptoMm: number;
  taper: TaperRatio;
  reductionMm: readonly [number, number];
  tabledMm: readonly [number, number];
  modelMm: readonly [number, number];
  /** Model over table, less one: of the least, and of the most. */
  off: readonly [number, number];
  /** How far the model’s band lies outside the table’s, mm; 0 where they overlap as far as either is wide. */
  apartMm: number;
};

/** Mean raceway of the inner ring over its bore, medium series. Common practice, no source. */
const RACEWAY_OVER_BORE = 1.24;
/** What the slit sleeve takes from the ring’s own growth. Common practice, no source: 0.01 to 0.02. */
const SLEEVE_TAKES = 0.015;
/** Axial settling of sleeve and surfaces, mm. Common practice, no source: 0.02 to 0.04. */
const SETTLING_MM = 0.03;

/** Axial travel the model needs for a reduction: thick rings on a solid steel shaft, the sleeve’s share, settling on top. */
export function modelTravel(boreMm: number, reductionMm: number, taper: TaperRatio): number {
  const { k } = interferenceFit({
    jointMm: boreMm,
    racewayMm: RACEWAY_OVER_BORE * boreMm,
    widthMm: 0.4 * boreMm,
    reductionMm,
    taper,
  }).values;
  return (taper * reductionMm) / (k - SLEEVE_TAKES) + SETTLING_MM * (taper / 12);
}

/** Every row of the table over its whole range, at both tapers, beside the model at the middle of the row’s bores. */
export function modelAgainstTable(): ModelRow[] {
  return ([12, 30] as const).flatMap((taper) =>
    mountingRanges().flatMap(({ over, upto }) => {
      const limits = mountingLimits(upto, 'CN', taper);
      if (!limits?.travelMm) return [];
      const bore = (over + upto) / 2;
      const reductionMm = [limits.reductionMinMm, limits.reductionMaxMm] as const;
      const modelMm = [
        modelTravel(bore, reductionMm[0], taper),
        modelTravel(bore, reductionMm[1], taper),
      ] as const;
      const tabledMm = limits.travelMm;
      return [
        {
          overMm: over,
          uptoMm: upto,
          taper,
          reductionMm,
          tabledMm,
          modelMm,
          off: [modelMm[0] / tabledMm[0] - 1, modelMm[1] / tabledMm[1] - 1] as const,
          apartMm: Math.max(0, modelMm[0] - tabledMm[1], tabledMm[0] - modelMm[1]),
        },
      ];
    }),
  );
}

/** The row where model and table disagree most, at either end of its band. */
export const largestDisagreement = (rows: readonly ModelRow[]): ModelRow =>
  rows.reduce((a, b) => (Math.max(...b.off.map(Math.abs)) > Math.max(...a.off.map(Math.abs)) ? b : a));
