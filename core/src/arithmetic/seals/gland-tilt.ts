import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { leastSquares } from '../../metrology/least-squares.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type GlandGap = { angleDeg: number; gapMm: number };

export type GlandTiltInput = {
  /** Gaps gland to box face, at three places or more round, degrees from the top clockwise. */
  gaps: readonly GlandGap[];
  /** How many bolts, and where the first stands, degrees from the top. */
  bolts: number;
  firstBoltDeg?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** A rigid gasket: the spread is held to 0.05 mm. A soft one gives; then it is only told. */
  rigid?: boolean | undefined;
  makerLimitMm?: number | undefined;
  /** The spread that is square, where the sheet gives none; else 0.05 mm. */
  limitMm?: number | undefined;
  /** It is tapped square, not pulled square by its bolts: a follower. */
  tapped?: boolean | undefined;
  /** A spread that stops the work whatever gives: a cocked follower. */
  stopMm?: number | undefined;
};

export type GlandTiltValues = {
  meanMm: number | null;
  spreadMm: number;
  /** Tilt across the gland at the gaps' radius, mm from the narrow side to the wide. */
  tiltMm: number | null;
  /** Where it gapes most, degrees from the top. */
  wideDeg: number | null;
  /** How much each bolt comes in to stand with the narrowest, by number from 1. */
  bringInMm: number[];
  widestBolt: number | null;
};

/** Spread allowed with a rigid gasket: 0.002 in. Common practice, no source. */
export const GLAND_SPREAD_MM = 0.05;
/** Places that leave a wider arc than this unfelt tell no tilt; a gap off the plane by this share of the spread is no tilt. Our own choice. */
const WIDEST_ARC_DEG = 200;
const WARPED_SHARE = 0.3;

/** The widest arc between neighbours round a circle, degrees. */
function widestArc(anglesDeg: readonly number[]): number {
  const at = anglesDeg.map((a) => ((a % 360) + 360) % 360).sort((a, b) => a - b);
  return Math.max(...at.map((a, i) => (at[i + 1] ?? (at[0] ?? 0) + 360) - a));
}

const rad = (deg: number) => (deg * Math.PI) / 180;

/**
 * Gland gaps by feelers at places round it: the tilt as a plane by least squares, which bolt to bring in and by how much, and
 * whether the spread may stay.
 * Source: least squares; 0.05 mm for rigid gaskets by common practice.
 * @throws RangeError for fewer than three places, or places that leave more than half of the gland unfelt
 */
export function glandTilt(input: GlandTiltInput): CalculatorResult<GlandTiltValues> {
  // Two places across tell a difference, and no tilt.
  if (input.gaps.length < 2) throw new MessageError(M.glandFeltThreePlacesLeast);
  if (input.gaps.length > 2 && widestArc(input.gaps.map((g) => g.angleDeg)) > WIDEST_ARC_DEG)
    throw new MessageError(M.placesLieOneSideTilt);
  const fit =
    input.gaps.length < 3
      ? null
      : leastSquares(
          input.gaps.map((g) => [1, Math.cos(rad(g.angleDeg)), Math.sin(rad(g.angleDeg))]),
          input.gaps.map((g) => g.gapMm),
        );
  const [mean = 0, c = 0, s = 0] = fit?.x ?? [];
  const all = input.gaps.map((g) => g.gapMm);
  const spreadMm = Math.max(...all) - Math.min(...all);
  const boltsDeg = Array.from(
    { length: input.bolts },
    (_, i) => (input.firstBoltDeg ?? 0) + (360 * i) / input.bolts,
  );
  const at = boltsDeg.map((deg) => mean + c * Math.cos(rad(deg)) + s * Math.sin(rad(deg)));
  const least = Math.min(...at);
  const bringInMm = fit ? at.map((g) => g - least) : [];
  const most = Math.max(0, ...bringInMm);
  const widestBolt = fit && most > 0 ? bringInMm.indexOf(most) + 1 : null;
  const wideDeg = fit ? ((Math.atan2(s, c) * 180) / Math.PI + 360) % 360 : null;
  const limit = input.makerLimitMm ?? input.limitMm ?? GLAND_SPREAD_MM;
  const one = readingUncertainty(input.resolutionMm, input.hand);
  const d = decide(spreadMm, inQuadrature(one, one), { upper: limit });
  const rigid = input.rigid !== false;
  const closed = all.some((g) => g <= 0) && spreadMm > 0;
  const metal = all.every((g) => g <= 0);
  const square = d.verdict === 'accept';
  // What the plane leaves over, beside what the blades can tell.
  const left = input.gaps.map((g) =>
    Math.abs(g.gapMm - (mean + c * Math.cos(rad(g.angleDeg)) + s * Math.sin(rad(g.angleDeg)))),
  );
  const warped =
    fit !== null && Math.max(...left) > Math.max(2 * input.resolutionMm, WARPED_SHARE * spreadMm);
  const cocked = input.stopMm !== undefined && spreadMm > input.stopMm + 1e-9;
  const finding: Finding = {
    code: 'gland.spread',
    verdict: metal ? 'caution' : square ? 'accept' : cocked ? 'reject' : !rigid ? 'caution' : d.verdict,
    reason: metal
      ? M.closedMetalToMetal
      : square
        ? M.glandStandsSquareBetweenWidest({ spread: len(spreadMm) })
        : d.verdict !== 'reject'
          ? M.betweenWidestNarrowestGapToo({ spread: len(spreadMm), limit: len(limit) })
          : warped
            ? M.gapsDifferNoTiltExplains({ spread: len(spreadMm) })
            : M.glandGapesMoreThanOpposite({ spread: len(spreadMm), wide: (wideDeg ?? 0).toFixed(0) }),
    params: {
      spreadMm: square ? spreadMm : null,
      spreadMm2: square ? null : d.verdict !== 'reject' ? spreadMm : null,
      limit: square ? null : d.verdict !== 'reject' ? limit : null,
      spreadMm3: square ? null : d.verdict !== 'reject' ? null : warped ? spreadMm : null,
      spreadMm4: square ? null : d.verdict !== 'reject' ? null : warped ? null : spreadMm,
      wideDeg: square ? null : d.verdict !== 'reject' ? null : warped ? null : (wideDeg ?? 0),
    },
    limit: expr`${len(limit)}${rigid ? M.rigidGasket : ''}`,
    source: input.makerLimitMm === undefined ? 'practice' : 'maker',
    ...(metal
      ? { remedy: M.checkGasketIsIn }
      : square
        ? {}
        : {
            remedy: input.tapped
              ? M.tapItSquare
              : warped && d.verdict === 'reject'
                ? M.offAgainLookDirtBurr
                : d.verdict !== 'reject'
                  ? M.feelAgainFinerBladesBring
                  : closed
                    ? M.oneSideStopEaseBolt
                    : widestBolt === null
                      ? M.easeAllDrawThemEvenly
                      : M.bringBoltThenFeelAll({ widestBolt, most: len(most) }),
          }),
    acceptable: !cocked,
  };
  return {
    values: {
      meanMm: fit ? mean : null,
      spreadMm,
      tiltMm: fit ? 2 * Math.hypot(c, s) : null,
      wideDeg,
      bringInMm,
      widestBolt,
    },
    findings: [finding],
    working: [
      {
        what: COMMON.spread,
        sum: expr`${num(Math.max(...all))} − ${num(Math.min(...all))} = ${len(spreadMm)}`,
      },
      {
        what: M.tiltLeastSquares,
        sum: M.acrossWidest({ c: len(2 * Math.hypot(c, s)), wide: (wideDeg ?? 0).toFixed(0) }),
      },
      ...bringInMm.map((mm, i) => ({ what: M.bolt({ i: i + 1 }), sum: M.inBy({ mm: len(mm) }) })),
    ],
    beams: [
      {
        label: COMMON.spreadGaps,
        quantity: 'length',
        value: spreadMm,
        target: 0,
        upper: limit,
        expanded: d.expanded,
        doubt: doubtSaid({
          places: 2,
          stepMm: input.resolutionMm,
          hand: input.hand,
          marginMm: limit - spreadMm,
          where: M.widestNarrowest,
        }),
        verdict: finding.verdict,
      },
    ],
  };
}
