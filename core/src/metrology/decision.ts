import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
/** The decision rule: what may be said of a measured value beside a limit. */

export type Verdict = 'accept' | 'caution' | 'too-close' | 'reject' | 'incomplete';

/** How a verdict is said, on screen and on paper. */
export const VERDICT_WORD: Record<Verdict, Text> = {
  accept: COMMON.ok,
  caution: M.caution,
  reject: COMMON.stop,
  'too-close': M.tooCloseCall,
  incomplete: M.notYet,
};

export type DecisionRule = 'k2' | 'one-sided';

/** Expanded-uncertainty factor by rule: k = 2 (ISO 14253-1), or 1.65 for one-sided limits in its later edition. */
export const COVERAGE: Record<DecisionRule, number> = { k2: 2, 'one-sided': 1.65 };

/** Lengths are carried to a nanometre; less than that is rounding in the machine, not a judgement. */
export const SLACK_MM = 1e-6;

export type Decision = { verdict: 'accept' | 'too-close' | 'reject'; expanded: number; marginMm: number };

/**
 * Judge a value against one or two limits: inside by more than the expanded uncertainty is accept, outside by
 * more than it is reject, between is too close to call. With no uncertainty (0) the limit itself still accepts.
 * `marginMm` is the distance to the nearest limit, negative outside.
 * Source: ISO 14253-1 (guard band U = k·u).
 *
 * @example decide(0.052, 0.002, { lower: 0.045, upper: 0.06 }).verdict // 'accept'
 */
export function decide(
  value: number,
  standardUncertainty: number,
  limits: { lower?: number | undefined; upper?: number | undefined },
  rule: DecisionRule = 'k2',
): Decision {
  const expanded = COVERAGE[rule] * standardUncertainty;
  const below = limits.lower === undefined ? Number.POSITIVE_INFINITY : value - limits.lower;
  const above = limits.upper === undefined ? Number.POSITIVE_INFINITY : limits.upper - value;
  const marginMm = Math.min(below, above);
  const verdict =
    marginMm >= expanded - SLACK_MM ? 'accept' : marginMm < -expanded - SLACK_MM ? 'reject' : 'too-close';
  return { verdict, expanded, marginMm };
}

const SEVERITY: Verdict[] = ['accept', 'caution', 'too-close', 'incomplete', 'reject'];

/** The gravest of several verdicts; `accept` of none. */
export function gravest(verdicts: Verdict[]): Verdict {
  return verdicts.reduce<Verdict>((a, b) => (SEVERITY.indexOf(b) > SEVERITY.indexOf(a) ? b : a), 'accept');
}
