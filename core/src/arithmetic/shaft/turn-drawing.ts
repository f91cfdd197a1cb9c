import { type AngleReading, byAngle, fitHarmonics } from '../../metrology/harmonics.ts';
import { mean } from '../../metrology/uncertainty.ts';

export type TurnDrawing = {
  /** How many times larger than the shaft itself its deviations are drawn. */
  times: number;
  meanMm: number;
  /** Radius on the drawing at each angle read. */
  points: Array<{ angleDeg: number; valueMm: number; r: number }>;
  /** The fitted curve, every 3°; empty where nothing is fitted. */
  curve: Array<{ angleDeg: number; r: number }>;
};

/** The largest of 1, 2, 5, 10 … that is not over a number; 1 at least. */
export function roundedDown(n: number): number {
  if (!(n > 1)) return 1;
  const power = 10 ** Math.floor(Math.log10(n));
  const lead = n / power;
  return (lead >= 5 ? 5 : lead >= 2 ? 2 : 1) * power;
}

/** Exaggerated no further than this: beyond it the grain of the gauge would look like a shape. */
const TIMES_MOST = 2000;

/**
 * Readings of one turn as they are drawn round a circle that is the shaft to scale: deviations from their mean, all enlarged by
 * the same round number, which is said beside the drawing.
 */
export function turnDrawing(o: {
  radiusMm: number;
  radiusPx: number;
  roomPx: number;
  readings: readonly AngleReading[];
}): TurnDrawing {
  const grouped = byAngle(o.readings);
  if (grouped.length === 0) return { times: 1, meanMm: 0, points: [], curve: [] };
  const fit = fitHarmonics(o.readings, 0);
  const meanMm = fit?.meanMm ?? mean(grouped.map((g) => g.valueMm));
  const most = Math.max(1e-4, ...grouped.map((g) => Math.abs(g.valueMm - meanMm)));
  const scale = o.radiusPx / o.radiusMm;
  const times = Math.min(TIMES_MOST, roundedDown(o.roomPx / (most * scale)));
  const r = (mm: number) => o.radiusPx + (mm - meanMm) * scale * times;
  return {
    times,
    meanMm,
    points: grouped.map((g) => ({ angleDeg: g.angleDeg, valueMm: g.valueMm, r: r(g.valueMm) })),
    curve: fit ? Array.from({ length: 120 }, (_, i) => ({ angleDeg: 3 * i, r: r(fit.at(3 * i)) })) : [],
  };
}
