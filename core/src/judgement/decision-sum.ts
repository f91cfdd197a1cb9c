import { COVERAGE, type DecisionRule, decide } from '../metrology/decision.ts';
import { saySettle, settle } from '../metrology/settle.ts';
import { inQuadrature, mean, sampleDeviation, stepShare } from '../metrology/uncertainty.ts';
import { len, num } from '../quantities/say.ts';
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
 * What may be said of repeated readings beside a limit: u from step, spread and calibration in quadrature, expanded by the
 * rule, then accept, too close to call or reject; and how many readings more would settle it.
 * Source: GUM (JCGM 100) 4.2, 4.3.7, 5.1.2; ISO 14253-1.
 */
export function decisionSum(input: DecisionSumInput): CalculatorResult<DecisionSumValues> {
  const v = [...input.readingsMm];
  const m = mean(v);
  const places = input.difference ? 2 : 1;
  const scatter = sampleDeviation(v);
  const step = Math.sqrt(places) * stepShare(v.length, input.stepMm);
  const standardMm = inQuadrature(step, scatter / Math.sqrt(v.length), input.otherMm ?? 0);
  const rule = input.rule ?? 'k2';
  const d = decide(m, standardMm, { lower: input.lowerMm, upper: input.upperMm }, rule);
  const bounded = input.lowerMm !== undefined || input.upperMm !== undefined;
  const answer =
    d.verdict === 'too-close' && input.otherMm === undefined
      ? settle({
          marginMm: d.marginMm,
          stepMm: input.stepMm,
          count: v.length,
          scatterMm: scatter,
          places,
          rule,
        })
      : null;
  const limitText =
    input.lowerMm !== undefined && input.upperMm !== undefined
      ? `${num(input.lowerMm)} to ${len(input.upperMm)}`
      : input.lowerMm !== undefined
        ? `${len(input.lowerMm)} or more`
        : `${len(input.upperMm ?? 0)} or less`;
  const said = `The mean ${len(m, 4)} ± ${len(d.expanded, 4)}`;
  const finding: Finding = {
    code: 'decision',
    verdict: bounded ? d.verdict : 'incomplete',
    source: rule === 'one-sided' ? 'iso-14253' : 'gum',
    acceptable: true,
    ...(bounded ? { limit: limitText } : {}),
    reason: !bounded
      ? `${said}: give a limit to judge it by.`
      : d.verdict === 'accept'
        ? `${said} lies inside the limit, doubt and all.`
        : d.verdict === 'reject'
          ? `${said} lies outside the limit, doubt and all.`
          : `${said} reaches over the limit: too close to call.`,
    ...(answer ? { remedy: saySettle(answer, 'there') } : {}),
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
        what: 'step’s share',
        sum: `${places === 2 ? '√2 × ' : ''}max(r/√12/√${v.length}, r/√12/2), r = ${len(input.stepMm, 4)} → ${len(step, 5)}`,
      },
      {
        what: 'spread’s share',
        sum: `${num(scatter, 5)} ÷ √${v.length} = ${len(scatter / Math.sqrt(v.length), 5)}`,
      },
      { what: 'u, U', sum: `${num(standardMm, 5)} × ${COVERAGE[rule]} = ${len(d.expanded, 5)}` },
    ],
    beams: [],
  };
}
