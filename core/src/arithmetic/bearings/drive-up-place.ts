import type { Finding } from '../../judgement/result.ts';
import { decide, SLACK_MM, type Verdict } from '../../metrology/decision.ts';
import { len, num } from '../../quantities/say.ts';
import type { DriveUpTargetValues } from './drive-up-target.ts';
import type { DriveUpPoint } from './drive-up-warnings.ts';
import { M } from './messages.ts';

/** `past`: read past the end of the band, by less than the feelers can tell. */
export type DriveUpPlace = 'not-begun' | 'short' | 'in-band' | 'past' | 'over-driven';

/** Where the reduction stands in its band, and how surely; `u` its doubt. */
export function placeOf(
  last: DriveUpPoint | undefined,
  target: DriveUpTargetValues,
  u: number,
): { place: DriveUpPlace; verdict: Verdict } {
  if (
    !last ||
    target.reductionMinMm === null ||
    target.reductionMaxMm === null ||
    target.leastResidualMm === null
  ) {
    return { place: 'not-begun', verdict: 'incomplete' };
  }
  const over = decide(last.reductionMm, u, { upper: target.reductionMaxMm }).verdict;
  const under = decide(last.clearanceMm, last.doubtMm, { lower: target.leastResidualMm }).verdict;
  if (over === 'reject' || under === 'reject') return { place: 'over-driven', verdict: 'reject' };
  // What was read says where it stands; what the feelers cannot tell says only how surely.
  if (
    last.reductionMm > target.reductionMaxMm + SLACK_MM ||
    last.clearanceMm < target.leastResidualMm - SLACK_MM
  )
    return { place: 'past', verdict: 'too-close' };
  if (last.reductionMm < target.reductionMinMm - SLACK_MM) return { place: 'short', verdict: 'incomplete' };
  const lower = decide(last.reductionMm, u, { lower: target.reductionMinMm }).verdict;
  // Too much is guarded by the whole doubt. Of too little the reading decides: the lock turns forward, never back.
  const verdict = [over, under].includes('too-close')
    ? 'too-close'
    : lower === 'too-close'
      ? 'caution'
      : 'accept';
  return { place: 'in-band', verdict };
}

/** What is said of where it stands. @param step the next turn of the nut, degrees */
export function placeFinding(
  stand: { place: DriveUpPlace; verdict: Verdict },
  last: DriveUpPoint | undefined,
  target: DriveUpTargetValues,
  u: number,
  step: number,
): Finding {
  const limit = M.reductionResidualLeast2({
    reductionMin: num(target.reductionMinMm ?? 0),
    reductionMax: len(target.reductionMaxMm ?? 0),
    leastResidual: len(target.leastResidualMm ?? 0),
  });
  const base = { code: 'driveup.place', limit, source: target.limitSource } as const;
  if (!last) {
    return {
      ...base,
      verdict: 'incomplete',
      reason: M.noReadingYetNutSnug,
      params: {},
      remedy: M.nutHandUntilSnugThen,
      acceptable: false,
    };
  }
  if (stand.place === 'over-driven') {
    const residual = last.clearanceMm < (target.leastResidualMm ?? 0);
    return {
      ...base,
      code: 'driveup.over-driven',
      verdict: 'reject',
      reason: residual
        ? M.overDrivenLeftUnderLeast({
            clearance: len(last.clearanceMm),
            leastResidual: len(target.leastResidualMm ?? 0),
          })
        : M.overDrivenTakenOutOver({
            reduction: len(last.reductionMm),
            reductionMax: len(target.reductionMaxMm ?? 0),
          }),
      params: {
        clearanceMm: residual ? last.clearanceMm : null,
        leastResidualMm: residual ? (target.leastResidualMm ?? 0) : null,
        reductionMm: residual ? null : last.reductionMm,
        reductionMaxMm: residual ? null : (target.reductionMaxMm ?? 0),
      },
      remedy: M.backingNutOffGivesNothing,
      acceptable: false,
    };
  }
  if (stand.place === 'short') {
    return {
      ...base,
      verdict: 'incomplete',
      reason: M.takenOutNotYet({ reduction: len(last.reductionMm), aim: len(target.aimMm ?? 0) }),
      params: { reductionMm: last.reductionMm, aimMm: target.aimMm ?? 0 },
      remedy: step === 22.5 ? M.turnNutOneSixteenthThen : M.turnNutOneEighthThen,
      acceptable: false,
    };
  }
  if (stand.place === 'past')
    return {
      ...base,
      verdict: 'too-close',
      reason: M.takenOutLeftPastEnd({
        reduction: len(last.reductionMm),
        u: len(2 * u),
        clearance: len(last.clearanceMm),
      }),
      params: { reductionMm: last.reductionMm, u: 2 * u, clearanceMm: last.clearanceMm },
      remedy: M.stopTurningFeelBothRows,
      acceptable: true,
    };
  const short = stand.verdict === 'caution';
  return {
    ...base,
    verdict: stand.verdict,
    reason:
      stand.verdict === 'accept'
        ? M.takenOutLeftBand({ reduction: len(last.reductionMm), clearance: len(last.clearanceMm) })
        : short
          ? M.takenOutNearLowEnd({ reduction: len(last.reductionMm), u: len(2 * u) })
          : M.takenOutTooCloseEnd({ reduction: len(last.reductionMm), u: len(2 * u) }),
    params: {
      reductionMm: stand.verdict === 'accept' ? last.reductionMm : null,
      clearanceMm: stand.verdict === 'accept' ? last.clearanceMm : null,
      reductionMm2: stand.verdict === 'accept' ? null : last.reductionMm,
      u: stand.verdict === 'accept' ? null : 2 * u,
    },
    ...(stand.verdict === 'accept'
      ? {}
      : { remedy: short ? M.lockTurnsForwardAdds : M.feelBothRowsAgainAngle }),
    acceptable: true,
  };
}
