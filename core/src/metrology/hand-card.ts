import { type HandCard, spreadOver } from './hand.ts';
import { sampleDeviation } from './uncertainty.ts';

/** So many readings make a hand card. */
export const CARD_READINGS = 10;
/** Ten readings leave a scatter within these shares of it, in 95 of 100. Source: chi square of 9, √(9/19.02) and √(9/2.700). */
export const CARD_WITHIN = { below: 0.31, above: 0.83 } as const;
/** A gauge that shows more than so many steps from one reading to the next of the same thing was moved, or misread. Our own choice. */
const STRAYS_STEPS = 25;

export type CardTold =
  | ({ ok: true; steps: number; low: number; high: number; same: boolean } & HandCard)
  | { ok: false; why: 'count' | 'strays' };

/**
 * What ten readings of one thing say of a hand with a gauge: its scatter, a standard deviation in the gauge's unit and in steps, and
 * between what it lies in 95 of 100.
 * @example handCard([0.05, 0.06, …], 0.01)
 */
export function handCard(values: readonly number[], stepMm: number): CardTold {
  if (values.length !== CARD_READINGS) return { ok: false, why: 'count' };
  if (Math.max(...values) - Math.min(...values) > STRAYS_STEPS * stepMm) return { ok: false, why: 'strays' };
  const scatter = Number(sampleDeviation([...values]).toPrecision(6));
  return {
    ok: true,
    scatter,
    free: CARD_READINGS - 1,
    steps: scatter / stepMm,
    low: (1 - CARD_WITHIN.below) * scatter,
    high: (1 + CARD_WITHIN.above) * scatter,
    same: !spreadOver(values, stepMm),
  };
}
