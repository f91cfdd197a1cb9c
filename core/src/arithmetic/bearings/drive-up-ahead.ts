import { tidy } from '../shaft/tolerance.ts';
import { type Advice, advise, type Belief, believe, foresee } from './drive-up-belief.ts';
import type { DriveUpTargetValues } from './drive-up-target.ts';
import type { DriveUpPoint } from './drive-up-warnings.ts';

/** Relative doubt of the rate where the pitch is only supposed: 2 mm may be 8 threads an inch, half as much again. Our own choice. */
const UNSEEN_PITCH_DOUBT = 0.4;

/** The bench clearance, and how it was and is felt. */
type Clearance = {
  benchMm: number;
  bladeStepMm: number;
  pitchAssumed?: boolean | undefined;
  stepDeg?: number | undefined;
};

/** What model and readings together make likely; null before anything is felt. */
export const beliefOf = (
  input: Clearance,
  target: DriveUpTargetValues,
  points: DriveUpPoint[],
  benchU: number,
): Belief | null =>
  points.length === 0
    ? null
    : believe({
        benchMm: input.benchMm,
        benchU,
        expectedPerDegMm: target.reductionPerEighthMm / 45,
        bladeStepMm: input.bladeStepMm,
        slopeDoubt: input.pitchAssumed ? UNSEEN_PITCH_DOUBT : undefined,
        points,
      });

/** What they advise, where there is a band to end in. */
export function adviceOf(
  target: DriveUpTargetValues,
  belief: Belief | null,
  last: DriveUpPoint | undefined,
): Advice | null {
  const { reductionMinMm, reductionMaxMm, leastResidualMm } = target;
  if (!last || !belief || reductionMinMm === null || reductionMaxMm === null || leastResidualMm === null)
    return null;
  return advise(belief, { reductionMinMm, reductionMaxMm, leastResidualMm }, last.angleDeg);
}

/** What is left to turn, and what the next turn should show. */
/**
 * Of what lies ahead 95 in 100 lie within so many standard deviations: the tails are those of a few readings, not of many. Our own
 * choice, measured by `npm run proof -- uncertainty`.
 */
const AHEAD = 2.45;

export type Ahead = {
  /** Eighths from the last reading to the aim, and to the two ends of the band; never negative. */
  eighthsToAim: number | null;
  eighthsToAimExpanded: number | null;
  eighthsToBand: number | null;
  eighthsToPass: number | null;
  nextReductionMm: number | null;
  nextReductionExpandedMm: number | null;
  suggestedStepDeg: 45 | 22.5 | 0;
  /** The line and its expanded uncertainty, every sixteenth of a turn as far as the band's end: for the chart. */
  curve: Array<{ angleDeg: number; clearanceMm: number; expandedMm: number }>;
};

/** Look ahead from the last reading: model and feelers weighed together, as the advice is. */
export function look(
  input: Clearance,
  target: DriveUpTargetValues,
  belief: Belief | null,
  last: DriveUpPoint | undefined,
): Ahead {
  const none: Ahead = {
    eighthsToAim: null,
    eighthsToAimExpanded: null,
    eighthsToBand: null,
    eighthsToPass: null,
    nextReductionMm: null,
    nextReductionExpandedMm: null,
    suggestedStepDeg: 45,
    curve: [],
  };
  const { aimMm, reductionMinMm, reductionMaxMm } = target;
  if (!last || !belief || aimMm === null || reductionMinMm === null || reductionMaxMm === null) return none;
  const perDeg = belief.mean[2];
  const at = (deg: number) => foresee(belief, last.angleDeg + deg);
  const here = at(0).reductionMm;
  const eighths = (toMm: number) => Math.max(0, (toMm - here) / perDeg / 45);
  const toAim = eighths(aimMm);
  const end = last.angleDeg + 45 * (eighths(reductionMaxMm) + 0.5);
  const curve = Array.from({ length: Math.min(200, Math.ceil(end / 22.5) + 1) }, (_, i) => {
    const p = foresee(belief, 22.5 * i);
    // Before the sleeve bites nothing closes.
    const closed = p.reductionMm > 0;
    return {
      angleDeg: 22.5 * i,
      clearanceMm: tidy(closed ? p.residualMm : belief.mean[0]),
      expandedMm: tidy(AHEAD * p.residualU),
    };
  });
  const passes = (deg: number) => at(deg).reductionMm + 2 * at(deg).reductionU > reductionMaxMm;
  const step = input.stepDeg ?? 45;
  return {
    eighthsToAim: toAim,
    eighthsToAimExpanded: (AHEAD * at(toAim * 45).reductionU) / perDeg / 45,
    eighthsToBand: eighths(reductionMinMm),
    eighthsToPass: eighths(reductionMaxMm),
    nextReductionMm: tidy(at(step).reductionMm),
    nextReductionExpandedMm: tidy(AHEAD * at(step).reductionU),
    // Forecast or blade, whichever says first that the aim is reached.
    suggestedStepDeg: Math.max(here, last.reductionMm) >= aimMm ? 0 : passes(45) ? 22.5 : 45,
    curve,
  };
}
