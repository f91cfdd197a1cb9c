import { doubtSaid } from '../../judgement/doubt.ts';
import { judgeUpper, upperBeam } from '../../judgement/judge.ts';
import type { Beam, CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, inline, listOf } from '../../message/message.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { doubtOfMean, type Hand, handOf } from '../../metrology/hand.ts';
import { mean } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { type LimitInForce, limitInForce } from '../../sources/limits.ts';
import { type EndPlayMethod, endPlayLimits } from './limits.ts';
import { M } from './messages.ts';

export type PlayInput = {
  /** Indicator on the shaft end: pushed and pulled, one pair a trial. */
  end?: ReadonlyArray<{ pushMm: number; pullMm: number }> | undefined;
  /** Indicator beside the seal: released and lifted, one pair a trial. */
  radial?: ReadonlyArray<{ restMm: number; liftMm: number }> | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  school: EndPlayMethod;
  makerEndMm?: number | undefined;
  makerRadialMm?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type PlayValues = { endPlayMm: number | null; radialPlayMm: number | null };

/** Radial play: accepted to 0.05 mm, with caution to 0.08. Common practice, no source. */
const RADIAL_GOOD_MM = 0.05;
export const RADIAL_PLAY_MM = 0.08;

type Side = {
  name: Text;
  values: number[];
  limit: LimitInForce;
  means: Text;
  remedy: Text;
  where: Text;
};

/**
 * End play and radial play as the mean travel of the trials between push and pull, or rest and lift.
 * Source: common practice, no source; the maker's values outrank it.
 */
export function shaftPlay(input: PlayInput): CalculatorResult<PlayValues> {
  const findings: Finding[] = [];
  const working: WorkingLine[] = [];
  const beams: Beam[] = [];
  const end = (input.end ?? []).map((p) => Math.abs(p.pushMm - p.pullMm));
  const radial = (input.radial ?? []).map((p) => Math.abs(p.liftMm - p.restMm));
  const judge = (code: 'end' | 'radial', side: Side): number | null => {
    if (side.values.length === 0) {
      const reason = COMMON.notMeasuredYet2({ name: side.name });
      findings.push({
        code: `play.${code}`,
        verdict: 'incomplete',
        reason,
        params: {},
        acceptable: false,
      });
      return null;
    }
    const value = mean(side.values);
    const n = side.values.length;
    const hand = handOf(side.values, input.resolutionMm, input.hand?.card);
    // Each travel is the difference of two readings, so the step counts twice.
    const u = doubtOfMean({ ...hand, stepMm: input.resolutionMm, places: 2 });
    const { marginMm: _, ...judged } = judgeUpper({
      code: `play.${code}`,
      what: side.name,
      valueMm: value,
      uncertaintyMm: u,
      limit: side.limit,
      rule: input.rule,
      means: side.means,
      remedy: side.remedy,
      again: {
        where: side.where,
        stepMm: input.resolutionMm,
        count: n,
        hand,
        places: 2,
      },
    });
    const soft = code === 'radial' && judged.verdict === 'accept' && side.limit.source !== 'maker';
    findings.push(
      soft && value > RADIAL_GOOD_MM
        ? {
            ...judged,
            verdict: 'caution',
            reason: M.overStillUnder({
              name: side.name,
              value: len(value),
              radialGoodMm: len(RADIAL_GOOD_MM),
              radialPlayMm: len(RADIAL_PLAY_MM),
            }),
            params: { name: side.name, value, RADIAL_GOOD_MM, RADIAL_PLAY_MM },
            remedy: M.thinkBearingBeforeSeal,
          }
        : judged,
    );
    working.push({
      what: inline(side.name),
      sum: expr`(${listOf(
        side.values.map((v) => num(v)),
        ' + ',
      )}) ÷ ${side.values.length} = ${len(value)}`,
    });
    beams.push(
      upperBeam(
        side.name,
        value,
        COVERAGE[input.rule ?? 'k2'] * u,
        side.limit,
        judged.verdict,
        doubtSaid({
          stepMm: input.resolutionMm,
          hand,
          places: 2,
          marginMm: side.limit.limitMm - value,
          rule: input.rule,
          where: side.where,
        }),
      ),
    );
    return value;
  };
  const endPlayMm = judge('end', {
    name: COMMON.endPlay,
    values: end,
    limit: limitInForce(endPlayLimits(), input.school, input.makerEndMm),
    means: M.sealFacesWouldWorkedOpen,
    remedy: M.thrustBearingNutShimsFirst,
    where: M.pushPull,
  });
  const radialPlayMm = judge('radial', {
    name: COMMON.radialPlay,
    values: radial,
    limit: limitInForce(
      [{ school: 'practice', title: COMMON.commonPractice, limitMm: RADIAL_PLAY_MM, source: 'practice' }],
      'practice',
      input.makerRadialMm,
    ),
    means: M.bearingLetsShaftMoveUnder,
    remedy: M.changeBearingFirstSealLater,
    where: M.liftRelease,
  });
  return { values: { endPlayMm, radialPlayMm }, findings, working, beams };
}
