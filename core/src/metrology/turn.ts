import type { HarmonicFit } from './harmonics.ts';

/** Fewer places than this accept no run-out, however small it reads: twice a turn hides between four of them. Geometry. */
export const FEW = 6;
/** A fit is believed where no gap between the angles read is wider, degrees. */
const WIDEST_GAP_DEG = 100;

export type TurnJudged = {
  /** The larger of what was read and what the waves fitted to it come to. mm. */
  tirMm: number;
  /** What so many angles can miss of a once-a-turn wave at the worst. mm. */
  missedMm: number;
  few: boolean;
};

/**
 * Run-out of a turn read at some angles: the highest place may lie between two of them. Judged is the larger of read and fitted;
 * a once-a-turn wave of amplitude A can hide up to A·2(1 − cos(180°/n)). Geometry.
 */
export function judgedTurn(
  tirReadMm: number,
  anglesDeg: readonly number[],
  fit: Pick<HarmonicFit, 'tirFitMm' | 'harmonics'> | null,
): TurnJudged {
  const n = anglesDeg.length;
  const sorted = [...anglesDeg].sort((a, b) => a - b);
  const gaps = sorted.map((a, i) => ((sorted[(i + 1) % n] ?? 0) - a + 360) % 360 || 360);
  const whole = n >= 3 && Math.max(...gaps) <= WIDEST_GAP_DEG + 1e-9;
  const tirMm = whole && fit ? Math.max(tirReadMm, fit.tirFitMm) : tirReadMm;
  const amplitude = (whole ? fit?.harmonics[0]?.amplitudeMm : undefined) ?? tirReadMm / 2;
  return { tirMm, missedMm: 2 * amplitude * (1 - Math.cos(Math.PI / Math.max(2, n))), few: n < FEW };
}

/** Are these too few angles to accept it by, whatever the gauge says? */
export const tooFewFor = (turn: TurnJudged, limitMm: number): boolean => turn.few && turn.tirMm <= limitMm;
