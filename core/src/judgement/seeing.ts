import { COVERAGE } from '../metrology/decision.ts';
import { HANDS } from '../metrology/hand.ts';
import { expectedDoubt, type SettleInput } from '../metrology/settle.ts';

/** Steps gauges come in, mm, coarse to fine. Common practice, no source. */
const STEPS_MM = [0.05, 0.02, 0.01, 0.005, 0.002, 0.001, 0.0005] as const;

/**
 * The step of a gauge with which so narrow a limit could be seen at all; null where the one in hand does: where the doubt that five
 * readings in a usual hand would leave is as wide as the whole limit, no number of them tells one side from the other.
 * @param limitMm the limit, or half the width of a band
 * @example seesWith(0.006, { stepMm: 0.01, places: 2 }) // 0.002
 */
export function seesWith(
  limitMm: number,
  by: Pick<SettleInput, 'stepMm' | 'places' | 'rule'>,
): number | null {
  // Of the gauge alone: who repeats badly with it is no reason to let anything pass.
  const hand = { card: { scatter: HANDS.usual * by.stepMm, free: 9 } };
  const left = COVERAGE[by.rule ?? 'k2'] * expectedDoubt(HANDS.most, { ...by, hand });
  if (left <= limitMm) return null;
  const wanted = (by.stepMm * limitMm) / left;
  return usualStep(wanted);
}

/** The coarsest step gauges come in that is no coarser than this. */
export const usualStep = (mm: number): number => STEPS_MM.find((s) => s <= mm) ?? mm;
