import type { Fed, Series, SeriesQuantity } from '../engine/slots.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';

/** Numbers several trades feed, each followed under one name over the years of a position. */
const series = (id: string, label: Text, quantity: SeriesQuantity = 'length'): Series => ({
  id,
  label,
  quantity,
});

export const BENCH_CLEARANCE = series('bench', COMMON.benchClearance);
export const RESIDUAL = series('residual', COMMON.residualClearance);
export const REDUCTION = series('reduction', COMMON.reduction);
export const DRIVE_UP_TRAVEL = series('travel', COMMON.driveUp);
export const GAP_SPREAD = series('gap-spread', COMMON.spreadGaps);
export const COMPRESSION = series('compression', COMMON.compression);
/** Scatter of a depth read on the end of a seal, and its step. Common practice, no source. */
export const STANDS_PROUD: Series = {
  ...series('proud', M.standsProud),
  sits: { stepsBy: 0.02, scatterMm: 0.026 },
};
export const LEAKAGE_DROPS = series('leakage', COMMON.leakage, 'drops');
export const TORQUE = series('torque', M.boltsDrawn, 'torque');
export const HOTTEST = series('hottest', M.hottest, 'temperature');
export const VIBRATION = series('vibration', M.vibration, 'velocity');

/** The diameters of a shaft. */
export const SHAFT_HISTORY: Readonly<Record<string, Fed>> = {
  largestMm: { series: series('shaft-largest', M.shaftLargest) },
  smallestMm: { series: series('shaft-smallest', M.shaftSmallest) },
};

/** The measures of a shaft and what is round it. Scatter of a run-out, and its step: common practice, no source. */
export const CONDITION_HISTORY: Readonly<Record<string, Fed>> = {
  runoutMm: {
    series: {
      ...series('runout', COMMON.runOutLargestTir),
      sits: { stepsBy: 0.01, scatterMm: 0.003 },
    },
  },
  endPlayMm: { series: series('end-play', COMMON.endPlay) },
  radialPlayMm: { series: series('radial-play', COMMON.radialPlay) },
  faceMm: { series: series('box-face', COMMON.boxFaceTir) },
  boreMm: { series: series('box-bore', COMMON.boxBoreTir) },
};
