import { type DecisionRule, decide, type Verdict } from '../metrology/decision.ts';
import { type SettleInput, saySettle, settle } from '../metrology/settle.ts';
import { len } from '../quantities/say.ts';
import type { LimitInForce } from '../sources/schools.ts';
import type { Beam, Finding } from './result.ts';

export type UpperJudgement = {
  code: string;
  /** What is judged, as the subject of a sentence: “Run-out at station 1”. */
  what: string;
  valueMm: number;
  /** Its standard uncertainty. */
  uncertaintyMm: number;
  limit: LimitInForce;
  rule?: DecisionRule | undefined;
  /** What it means when it is over, after a colon, and what to do about it. */
  means: string;
  remedy: string;
  /** What would be read again to settle it, with the gauge it was read with; left out where that cannot be said. */
  again?: Omit<SettleInput, 'marginMm' | 'rule'> & { where: string };
  acceptable?: boolean;
  mmDecimals?: number;
};

/** A limit with its title, the way it is printed beside a verdict. */
export const sayLimit = (l: LimitInForce, mmDecimals = 3): string =>
  `${len(l.limitMm, mmDecimals)} (${l.title})`;

/** Judge a value that may be too large: accept, too close to call, or over, in one sentence each. */
export function judgeUpper(j: UpperJudgement): Finding & { marginMm: number } {
  const d = decide(j.valueMm, j.uncertaintyMm, { upper: j.limit.limitMm }, j.rule);
  const value = len(j.valueMm, j.mmDecimals ?? 3);
  const shared = {
    code: j.code,
    limit: sayLimit(j.limit, j.mmDecimals ?? 3),
    source: j.limit.source,
    acceptable: j.acceptable ?? true,
    marginMm: d.marginMm,
  };
  if (d.verdict === 'accept')
    return { ...shared, verdict: 'accept', reason: `${j.what} is ${value}: within the limit.` };
  if (d.verdict === 'reject')
    return {
      ...shared,
      verdict: 'reject',
      reason: `${j.what} is ${value}, ${len(-d.marginMm, j.mmDecimals ?? 3)} over: ${j.means}`,
      remedy: j.remedy,
    };
  return {
    ...shared,
    verdict: 'too-close',
    reason: `${j.what} is ${value}, within ${len(d.expanded, 4)} of the limit: the gauge cannot tell on which side.`,
    remedy: j.again
      ? saySettle(settle({ ...j.again, marginMm: d.marginMm, rule: j.rule }), j.again.where)
      : 'Repeat it, or use a finer instrument.',
  };
}

/** The beam of a value that may be too large: level at nothing, on its stop at the limit, the other schools' stops drawn beside it. */
export function upperBeam(
  label: string,
  valueMm: number,
  expanded: number,
  limit: LimitInForce,
  verdict: Verdict,
): Beam {
  return {
    label,
    kind: 'length',
    value: valueMm,
    target: 0,
    upper: limit.limitMm,
    expanded,
    verdict,
    alternatives: limit.others.map((o) => ({ label: o.title, at: o.limitMm })),
  };
}
