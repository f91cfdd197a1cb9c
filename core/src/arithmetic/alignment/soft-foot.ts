import { doubtSaid } from '../../judgement/doubt.ts';
import { judgeUpper, upperBeam } from '../../judgement/judge.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { listOf } from '../../message/message.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { len, num } from '../../quantities/say.ts';
import { limitInForce } from '../../sources/limits.ts';
import { M } from './messages.ts';

export type SoftFootInput = {
  /** Gap or rise at each foot, at one to four places under it; an empty list where not felt yet. */
  feet: readonly (readonly number[])[];
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  makerLimitMm?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type SoftFootValues = {
  /** Worst gap of each foot; null where not felt. */
  worstMm: Array<number | null>;
  /** How much the gap changes from one side of the foot to the other. */
  wedgeMm: Array<number | null>;
  /** Full shim to lay under each foot, from stock of 0.05 mm steps; 0 for none. */
  shimMm: number[];
};

/** Gap allowed at a foot. Common practice, no source. */
export const SOFT_FOOT_MM = 0.05;
const SHIM_STOCK_MM = 0.05;

/**
 * Soft foot: each foot's bolt loosened in turn, the rise read or the gap felt. A parallel gap wants a full shim under the
 * whole foot; a wedge does not go away with one.
 * Source: common practice for the limit.
 */
export function softFoot(input: SoftFootInput): CalculatorResult<SoftFootValues> {
  const limit = limitInForce(
    [{ school: 'practice', title: COMMON.commonPractice, limitMm: SOFT_FOOT_MM, source: 'practice' }],
    'practice',
    input.makerLimitMm,
  );
  const u = readingUncertainty(input.resolutionMm, input.hand);
  const worstMm = input.feet.map((f) => (f.length ? Math.max(...f) : null));
  const wedgeMm = input.feet.map((f) => (f.length > 1 ? Math.max(...f) - Math.min(...f) : null));
  const findings: Finding[] = [];
  const shimMm = input.feet.map((f, i) => {
    const worst = worstMm[i];
    if (worst === null || worst === undefined) return 0;
    const wedge = wedgeMm[i] ?? 0;
    const angled = wedge > limit.limitMm;
    const full = Math.floor((Math.min(...f) + 1e-9) / SHIM_STOCK_MM) * SHIM_STOCK_MM;
    const { marginMm: _, ...judged } = judgeUpper({
      code: `softfoot.${i + 1}`,
      what: M.footWidestGap({ i: i + 1 }),
      valueMm: worst,
      uncertaintyMm: u,
      limit,
      rule: input.rule,
      means: angled ? M.standsEdgeFromSideSide({ wedge: len(wedge) }) : M.tighteningBendsFrame,
      remedy: angled
        ? M.wedgeScrapedMachinedSteppedNot
        : full > 0
          ? M.layFullShimUnderWhole({ full: len(full) })
          : M.noFullShimGoesUnder,
      again: { where: M.foot({ i: i + 1 }), stepMm: input.resolutionMm, count: 1 },
    });
    findings.push(judged);
    if (judged.verdict !== 'accept' && f.length === 1)
      findings.push({
        code: `softfoot.${i + 1}.corners`,
        verdict: 'caution',
        reason: M.footFeltOnePlaceParallel({ i: i + 1 }),
        params: { i },
        source: 'practice',
        remedy: M.feelOtherCornersFoot,
        acceptable: false,
      });
    return judged.verdict === 'reject' && !angled ? full : 0;
  });
  const unread = worstMm.filter((w) => w === null).length;
  if (unread > 0)
    findings.push({
      code: 'softfoot.unread',
      verdict: 'incomplete',
      reason: M.feetStillFelt({ unread, count: input.feet.length }),
      params: { unread, length: input.feet.length },
      acceptable: false,
    });
  const worst = worstMm.reduce<number | null>((a, b) => (b !== null && (a === null || b > a) ? b : a), null);
  return {
    values: { worstMm, wedgeMm, shimMm },
    findings,
    working: input.feet.flatMap((f, i) =>
      f.length
        ? [
            {
              what: M.foot2({ i: i + 1 }),
              sum: M.widest({
                f: listOf(
                  f.map((v) => num(v)),
                  ', ',
                ),
                value: len(Math.max(...f)),
              }),
            },
          ]
        : [],
    ),
    beams:
      worst === null
        ? []
        : [
            upperBeam(
              M.widestGap,
              worst,
              COVERAGE[input.rule ?? 'k2'] * u,
              limit,
              findings.find((f) => f.code === `softfoot.${worstMm.indexOf(worst) + 1}`)?.verdict ??
                'incomplete',
              doubtSaid({
                stepMm: input.resolutionMm,
                hand: input.hand,
                marginMm: limit.limitMm - worst,
                rule: input.rule,
                where: M.foot3,
              }),
            ),
          ],
  };
}
