import type { AngleReading } from '../../metrology/harmonics.ts';

/** Which side of a round part the indicator feels: the outside of a bar or hub, or the inside of a bore. */
export type SweptSide = 'outside' | 'inside';

/**
 * Take the sag of the bracket out of a sweep. `sagMm` is what the set-up reads at the bottom, zeroed at the top, hung on a
 * stiff bar (felt from outside): at θ from the top the bracket alone reads S/2·(1 − cos θ). Felt from inside a bore the sign
 * turns over.
 * Source: geometry, common practice.
 *
 * @example withoutSag([{ angleDeg: 180, valueMm: 0 }], -0.1, 'outside')[0].valueMm // 0.1
 */
export function withoutSag(
  readings: readonly AngleReading[],
  sagMm: number,
  side: SweptSide,
): AngleReading[] {
  const sign = side === 'outside' ? 1 : -1;
  return readings.map((r) => ({
    ...r,
    valueMm: r.valueMm - (sign * sagMm * (1 - Math.cos((r.angleDeg * Math.PI) / 180))) / 2,
  }));
}
