import type { Fed, Series, SeriesQuantity } from '../engine/slots.ts';

/** Numbers several trades feed, each followed under one name over the years of a position. */
const series = (id: string, label: string, quantity: SeriesQuantity = 'length'): Series => ({
  id,
  label,
  quantity,
});

export const BENCH_CLEARANCE = series('bench', 'Bench clearance');
export const RESIDUAL = series('residual', 'Residual clearance');
export const REDUCTION = series('reduction', 'Reduction');
export const DRIVE_UP_TRAVEL = series('travel', 'Drive-up');
export const GAP_SPREAD = series('gap-spread', 'Spread of the gaps');
export const COMPRESSION = series('compression', 'Compression');
/** Scatter of a depth read on the end of a seal, and its step. Common practice, no source. */
export const STANDS_PROUD: Series = {
  ...series('proud', 'Stands proud'),
  sits: { stepsBy: 0.02, scatterMm: 0.026 },
};
export const LEAKAGE_DROPS = series('leakage', 'Leakage', 'drops');
export const TORQUE = series('torque', 'Bolts drawn to', 'torque');
export const HOTTEST = series('hottest', 'Hottest', 'temperature');
export const VIBRATION = series('vibration', 'Vibration', 'velocity');

/** The diameters of a shaft. */
export const SHAFT_HISTORY: Readonly<Record<string, Fed>> = {
  largestMm: { series: series('shaft-largest', 'Shaft, largest') },
  smallestMm: { series: series('shaft-smallest', 'Shaft, smallest') },
};

/** The measures of a shaft and what is round it. Scatter of a run-out, and its step: common practice, no source. */
export const CONDITION_HISTORY: Readonly<Record<string, Fed>> = {
  runoutMm: {
    series: {
      ...series('runout', 'Run-out, largest TIR'),
      sits: { stepsBy: 0.01, scatterMm: 0.003 },
    },
  },
  endPlayMm: { series: series('end-play', 'End play') },
  radialPlayMm: { series: series('radial-play', 'Radial play') },
  faceMm: { series: series('box-face', 'Box face, TIR') },
  boreMm: { series: series('box-bore', 'Box bore, TIR') },
};
