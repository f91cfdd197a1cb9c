import { COMMON } from '../message/common/messages.ts';
import { expr } from '../message/message.ts';
import { COVERAGE, type DecisionRule, decide } from '../metrology/decision.ts';
import { deviationOfMean, doubtOfMean, HANDS, type Hand, handOf, handScatter } from '../metrology/hand.ts';
import { saySettle, settle } from '../metrology/settle.ts';
import { inQuadrature, mean, resolutionUncertainty, studentT95 } from '../metrology/uncertainty.ts';
import { len, num } from '../quantities/say.ts';
import { M } from './messages.ts';
import type { CalculatorResult, Finding } from './result.ts';

export type DecisionSumInput = {
  /** Repeats of one value; or differences, where each reading is the difference of two. */
  readingsMm: readonly number[];
  stepMm: number;
  lowerMm?: number | undefined;
  upperMm?: number | undefined;
  /** Each reading is a difference of two: the step counts twice. */
  difference?: boolean | undefined;
  /** Standard uncertainty from elsewhere that repeats do not shrink, such as the calibration's. */
  otherMm?: number | undefined;
  rule?: DecisionRule | undefined;
  /** The hand card of whoever read it; without one the hand is known by its repeats alone. */
  hand?: Pick<Hand, 'card'> | undefined;
};

export type DecisionSumValues = {
  meanMm: number;
  standardMm: number;
  expandedMm: number;
  marginMm: number | null;
  /** Readings more that would settle it; 0 where it is settled, null where none would. */
  moreReadings: number | null;
  finestStepMm: number | null;
};

/**
 * What may be said of repeated readings beside a limit: u from step, scatter and calibration in quadrature, Student's factor in it
 * where the scatter is estimated, expanded by the rule, then accept, too close to call or reject; and how many readings more would settle it.
 * Source: GUM (JCGM 100) 4.2, 4.3.7, 5.1.2; ISO 14253-1.
 */
export function decisionSum(input: DecisionSumInput): CalculatorResult<DecisionSumValues> {
  const v = [...input.readingsMm];
  const m = mean(v);
  const places = input.difference ? 2 : 1;
  const hand = handOf(v, input.stepMm, input.hand?.card);
  const seen = { ...hand, stepMm: input.stepMm, places } as const;
  const step = Math.sqrt(places) * resolutionUncertainty(input.stepMm);
  const counted = hand.scattered ? Math.min(v.length, HANDS.most) : 1;
  const own = handScatter(seen);
  const { deviation, free } = deviationOfMean(seen);
  const doubt = doubtOfMean(seen);
  const standardMm = inQuadrature(doubt, input.otherMm ?? 0);
  const rule = input.rule ?? 'k2';
  const d = decide(m, standardMm, { lower: input.lowerMm, upper: input.upperMm }, rule);
  const bounded = input.lowerMm !== undefined || input.upperMm !== undefined;
  const answer =
    d.verdict === 'too-close' && input.otherMm === undefined
      ? settle({
          marginMm: d.marginMm,
          stepMm: input.stepMm,
          count: v.length,
          hand,
          places,
          rule,
        })
      : null;
  const limitText =
    input.lowerMm !== undefined && input.upperMm !== undefined
      ? COMMON.to3({ lower: num(input.lowerMm), upper: len(input.upperMm) })
      : input.lowerMm !== undefined
        ? COMMON.more({ lower: len(input.lowerMm) })
        : COMMON.less({ upper: len(input.upperMm ?? 0) });
  const said = M.mean({ m: len(m, 4), expanded: len(d.expanded, 4) });
  const finding: Finding = {
    code: 'decision',
    verdict: bounded ? d.verdict : 'incomplete',
    source: rule === 'one-sided' ? 'iso-14253' : 'gum',
    acceptable: true,
    ...(bounded ? { limit: limitText } : {}),
    reason: !bounded
      ? M.giveLimitJudge({ said })
      : d.verdict === 'accept'
        ? M.liesInsideLimitDoubtAll({ said })
        : d.verdict === 'reject'
          ? M.liesOutsideLimitDoubtAll({ said })
          : M.reachesOverLimitTooClose({ said }),
    params: {
      said: !bounded ? said : null,
      said2: !bounded ? null : d.verdict === 'accept' ? said : null,
      said3: !bounded ? null : d.verdict === 'accept' ? null : d.verdict === 'reject' ? said : null,
      said4: !bounded ? null : d.verdict === 'accept' ? null : d.verdict === 'reject' ? null : said,
    },
    ...(answer ? { remedy: saySettle(answer, COMMON.there) } : {}),
  };
  return {
    values: {
      meanMm: m,
      standardMm,
      expandedMm: d.expanded,
      marginMm: bounded ? d.marginMm : null,
      moreReadings: !bounded ? null : d.verdict === 'too-close' ? (answer?.more ?? null) : 0,
      finestStepMm: answer?.stepMm ?? null,
    },
    findings: [finding],
    working: [
      {
        what: M.stepsShare,
        sum: expr`${places === 2 ? '√2 × ' : ''}r/√12, r = ${len(input.stepMm, 4)} → ${len(step, 5)}${hand.scattered || v.length < 2 ? '' : M.allOneStepDoesNot}`,
      },
      {
        what: M.scattersShare,
        sum:
          own.from === 'unknown'
            ? M.handNotKnownTakenAs({ unknown: HANDS.unknown, doubt: len(2 * doubt, 5) })
            : M.handScattersPooled({
                from: own.from,
                scatter: num(own.hand, 5),
                free: own.free,
                count: counted,
                deviation: num(deviation, 5),
                t: studentT95(free).toFixed(2),
                factor: HANDS.factor,
              }),
      },
      { what: 'u, U', sum: expr`${num(standardMm, 5)} × ${COVERAGE[rule]} = ${len(d.expanded, 5)}` },
    ],
    beams: [],
  };
}
