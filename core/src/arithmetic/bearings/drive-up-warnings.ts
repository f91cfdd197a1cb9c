import type { Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import type { FittedLine } from '../../metrology/line.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { len, num } from '../../quantities/say.ts';
import type { DriveUpTargetValues } from './drive-up-target.ts';
import { M } from './messages.ts';
import { K_QUERIED } from './travel.ts';

/** Mean of all readings at one nut angle. */
export type DriveUpPoint = {
  angleDeg: number;
  clearanceMm: number;
  reductionMm: number;
  /** What it scatters by, a standard deviation; and half of what holds 95 in 100. */
  u: number;
  doubtMm: number;
  rowDifferenceMm: number;
  /** Pairs felt here while the ring was tilted, before both rows were felt again. */
  setAside: number;
  inFit: boolean;
};

type Situation = {
  points: DriveUpPoint[];
  target: DriveUpTargetValues;
  line: FittedLine | null;
  tilted: boolean;
  rowsLimitMm: number;
  measuredK: number | null;
  overDriven: boolean;
  nextReductionMm: number | null;
  nextExpandedMm: number | null;
  stepDeg: number;
};

const caution = (code: string, reason: Text, remedy: Text, limit?: Text): Finding => ({
  code,
  verdict: 'caution',
  reason,
  params: {},
  remedy,
  source: 'practice',
  ...(limit ? { limit } : {}),
  acceptable: false,
});

/**
 * What a careful hand would say aloud between two eighths, gravest first: the rows have parted, the next turn could pass the limit,
 * the clearance does not fall, or it falls too fast. Common practice, no source; the band's limits by `target`.
 */
export function driveUpWarnings(s: Situation): Finding[] {
  // Nothing is told of pace or pitch by rows that do not belong together.
  if (s.tilted) return [tilted(s)].filter((f): f is Finding => f !== null);
  return [aboutToPass(s), ...pace(s), queriedK(s), feltAgain(s)].filter((f): f is Finding => f !== null);
}

function tilted({ points, rowsLimitMm }: Situation): Finding | null {
  const last = points.at(-1);
  if (!last) return null;
  return {
    code: 'driveup.rows',
    verdict: 'reject',
    reason: M.rowsDifferOuterRingTilted({ rowDifference: len(last.rowDifferenceMm) }),
    params: { rowDifferenceMm: last.rowDifferenceMm },
    limit: M.asBenchOneBlade({ rowsLimit: len(rowsLimitMm) }),
    source: 'practice',
    remedy: M.squareOuterRingFeelBoth,
    acceptable: true,
  };
}

function feltAgain({ points }: Situation): Finding | null {
  const last = points.at(-1);
  if (!last || last.setAside === 0) return null;
  const { setAside: n } = last;
  return caution(
    'driveup.rows-again',
    M.feltRingTiltedNoMore({
      angle: sayNutAngle(last.angleDeg),
      n: n === 1 ? M.onePair : M.pairsWere({ n }),
      n2: n,
    }),
    M.lookRingStaysSquareWhile,
  );
}

function aboutToPass(s: Situation): Finding | null {
  const max = s.target.reductionMaxMm;
  const last = s.points.at(-1);
  if (s.overDriven || max === null || s.nextReductionMm === null || s.nextExpandedMm === null || !last)
    return null;
  if (s.nextReductionMm + s.nextExpandedMm <= max) return null;
  const turn = s.stepDeg === 45 ? 'eighth' : s.stepDeg === 22.5 ? 'sixteenth' : 'turn';
  return caution(
    'driveup.about-to-pass',
    M.nextWouldBringAboutCould({
      turn,
      nextReduction: num(s.nextReductionMm),
      nextExpanded: len(s.nextExpandedMm),
      max: len(max),
    }),
    s.target.aimMm !== null && last.reductionMm >= s.target.aimMm
      ? M.stopHereLookLock
      : M.goSixteenthsFeelingAfterEach,
    len(max),
  );
}

/** Clearance that does not fall, or falls too fast, over the last two turns against what taper and pitch promise. */
function pace(s: Situation): Finding[] {
  const last = s.points.at(-1);
  const before = s.points.at(-3) ?? s.points.at(-2);
  if (!last || !before || last.angleDeg === before.angleDeg) return [];
  const eighths = (last.angleDeg - before.angleDeg) / 45;
  const fell = before.clearanceMm - last.clearanceMm;
  const expected = s.target.reductionPerEighthMm * eighths;
  const noise = 2 * Math.hypot(last.u, before.u);
  const over = M.overLast({ angle: sayNutAngle(last.angleDeg - before.angleDeg) });
  // Under two turns the sleeve may still be biting: silence is no evidence yet.
  if (s.points.length >= 3 && fell < 0.25 * expected && expected > noise / 2) {
    return [
      caution(
        'driveup.not-falling',
        M.clearanceFellOnlyExpected({ value: len(Math.max(0, fell)), over, expected: len(expected) }),
        M.nutPullingSleeveSleeveTurning,
      ),
    ];
  }
  if (fell > 1.5 * expected + noise) {
    return [
      caution(
        'driveup.too-fast',
        M.clearanceFellWhereExpected({ fell: len(fell), over, expected: len(expected) }),
        M.wrongTaperBoreJobTilted,
      ),
    ];
  }
  return [];
}

function queriedK({ line, measuredK, target, points }: Situation): Finding | null {
  if (!line || measuredK === null || points.filter((p) => p.inFit).length < 4) return null;
  const doubt = line.slope === 0 ? 0 : Math.abs((2 * line.slopeUncertainty) / line.slope) * measuredK;
  if (measuredK + doubt >= K_QUERIED.lower && measuredK - doubt <= K_QUERIED.upper) return null;
  return caution(
    'driveup.k',
    M.nutFeelersGiveKWhere({
      measuredK: measuredK.toFixed(2),
      lower: K_QUERIED.lower.toFixed(2),
      upper: K_QUERIED.upper.toFixed(2),
      k: target.k.toFixed(2),
    }),
    M.checkPitchTaperTypedInto,
  );
}
