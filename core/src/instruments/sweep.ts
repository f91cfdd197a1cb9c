import type { AngleReading } from '../metrology/harmonics.ts';

type Bin = { sum: number; count: number };

/** Readings of a turning shaft gathered at even angles as they stream in. */
export type Sweep = {
  angles: number;
  /** One a grid angle, and a last one for the closing of the turn. */
  bins: readonly Bin[];
  samples: number;
  /** How far the shaft has been turned, degrees. */
  turnedDeg: number;
};

/** A sweep with nothing in it yet. @example startSweep(24) */
export const startSweep = (angles: number): Sweep => ({
  angles,
  bins: Array.from({ length: angles + 1 }, () => ({ sum: 0, count: 0 })),
  samples: 0,
  turnedDeg: 0,
});

/**
 * One more value at the angle the shaft is turned to (0 to 360 and a little over). Values farther from a grid angle than a
 * quarter of the spacing are passed over: a mean over that window takes under 0.8 % from three waves a turn.
 */
export function addToSweep(s: Sweep, angleDeg: number, valueMm: number): Sweep {
  const spacing = 360 / s.angles;
  const turnedDeg = Math.max(s.turnedDeg, angleDeg);
  const i = Math.round(angleDeg / spacing);
  const near = Math.abs(angleDeg - i * spacing) <= spacing / 4;
  if (!near || i < 0 || i > s.angles) return { ...s, samples: s.samples + 1, turnedDeg };
  const bins = s.bins.map((b, k) => (k === i ? { sum: b.sum + valueMm, count: b.count + 1 } : b));
  return { ...s, bins, samples: s.samples + 1, turnedDeg };
}

/** The means so far at the grid angles that were met. */
export function sweepReadings(s: Sweep): AngleReading[] {
  return s.bins
    .slice(0, s.angles)
    .flatMap((b, i) =>
      b.count > 0 ? [{ angleDeg: Number(((360 * i) / s.angles).toFixed(1)), valueMm: b.sum / b.count }] : [],
    );
}

/** The mean back at the first angle, once the turn is round. */
export function sweepClosing(s: Sweep): number | undefined {
  const last = s.bins[s.angles];
  return last && last.count > 0 ? last.sum / last.count : undefined;
}

/** Every angle met, and the turn closed. */
export const sweepWhole = (s: Sweep): boolean => s.bins.every((b) => b.count > 0);

/** Values in the bin of a reading, for its raw text. */
export const samplesAt = (s: Sweep, index: number): number => s.bins[index]?.count ?? 0;
