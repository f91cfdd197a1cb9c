import type { Chance } from './chance.ts';

/**
 * A gauge in a hand: what it shows of a truth. The hand scatters by itself, whatever the gauge steps by; what is shown lies on a step;
 * an indicator that was pushed the other way shows a little less of it.
 */
export type Gauge = {
  stepMm: number;
  scatterMm: number;
  /** How far it lags behind where it comes from, mm. */
  hysteresisMm?: number;
};

/** How much hands scatter, in steps of the gauge: a quiet one, usual ones, one in a hurry. */
export const SCATTERS = [0.15, 0.3, 0.5, 0.8] as const;

export function shown(gauge: Gauge, truth: number, chance: Chance, from = truth): number {
  const lag = (gauge.hysteresisMm ?? 0) * Math.sign(truth - from);
  const seen = truth - lag + chance.bell(gauge.scatterMm);
  return Math.round(seen / gauge.stepMm) * gauge.stepMm;
}
