import type { AngleReading } from '../metrology/harmonics.ts';

/** Sums of a straight line through what was met about a grid angle: x degrees from it, y the value. */
type Bin = { n: number; x: number; y: number; xx: number; xy: number };

const EMPTY: Bin = { n: 0, x: 0, y: 0, xx: 0, xy: 0 };

/**
 * The value at the grid angle itself: the line through what was met about it, so that the first half of a bin and the last half of
 * another, which lie on opposite sides of the same angle, tell the same. The mean where all lie at one angle.
 */
function atAngle({ n, x, y, xx, xy }: Bin): number {
  const spread = xx - (x * x) / n;
  if (n < 2 || spread < 1e-9) return y / n;
  const slope = (xy - (x * y) / n) / spread;
  return (y - slope * x) / n;
}

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
  bins: Array.from({ length: angles + 1 }, () => EMPTY),
  samples: 0,
  turnedDeg: 0,
});

const withOne = (b: Bin, x: number, y: number): Bin => ({
  n: b.n + 1,
  x: b.x + x,
  y: b.y + y,
  xx: b.xx + x * x,
  xy: b.xy + x * y,
});

/**
 * One more value at the angle the shaft is turned to (0 to 360 and a little over). Values farther from a grid angle than a
 * quarter of the spacing are passed over.
 */
export function addToSweep(s: Sweep, angleDeg: number, valueMm: number): Sweep {
  const spacing = 360 / s.angles;
  const turnedDeg = Math.max(s.turnedDeg, angleDeg);
  const i = Math.round(angleDeg / spacing);
  // Where the turn begins and where it closes there is one side only: what is met there reaches farther.
  const end = i === 0 || i === s.angles;
  const near = Math.abs(angleDeg - i * spacing) <= spacing / (end ? 2 : 4);
  if (!near || i < 0 || i > s.angles) return { ...s, samples: s.samples + 1, turnedDeg };
  const bins = s.bins.map((b, k) => (k === i ? withOne(b, angleDeg - i * spacing, valueMm) : b));
  return { ...s, bins, samples: s.samples + 1, turnedDeg };
}

/** The values so far at the grid angles that were met. */
export function sweepReadings(s: Sweep): AngleReading[] {
  return s.bins
    .slice(0, s.angles)
    .flatMap((b, i) =>
      b.n > 0 ? [{ angleDeg: Number(((360 * i) / s.angles).toFixed(1)), valueMm: atAngle(b) }] : [],
    );
}

/** The value back at the first angle, once the turn is round. */
export function sweepClosing(s: Sweep): number | undefined {
  const last = s.bins[s.angles];
  return last && last.n > 0 ? atAngle(last) : undefined;
}

/** Every angle met, and the turn closed. */
export const sweepWhole = (s: Sweep): boolean => s.bins.every((b) => b.n > 0);

/** Values in the bin of a reading, for its raw text. */
export const samplesAt = (s: Sweep, index: number): number => s.bins[index]?.n ?? 0;
