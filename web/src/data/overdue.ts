import { type Instrument, outOfDate } from '@fulcrant/core/instruments';
import { today } from './today.ts';

/** Whether a gauge is past the date its calibration holds to. */
export const isOverdue = (g: Instrument): boolean => outOfDate(g, today());
