import type { Text } from '../message/message.ts';
import { expr } from '../message/message.ts';
import { type DecisionRule, decide, type Verdict } from '../metrology/decision.ts';
import { type SettleInput, saySettle, settle } from '../metrology/settle.ts';
import { FEW, type TurnJudged, tooFewFor } from '../metrology/turn.ts';
import { len } from '../quantities/say.ts';
import type { LimitInForce } from '../sources/limits.ts';
import { M } from './messages.ts';
import type { Beam, Finding } from './result.ts';

export type UpperJudgement = {
  code: string;
  /** What is judged, as the subject of a sentence: “Run-out at station 1”. */
  what: Text;
  valueMm: number;
  /** Its standard uncertainty. */
  uncertaintyMm: number;
  /** The part of it that could make the value smaller, where the rest can only make it larger. */
  downwardMm?: number | undefined;
  limit: LimitInForce;
  rule?: DecisionRule | undefined;
  /** What it means when it is over, after a colon, and what to do about it. */
  means: Text;
  remedy: Text;
  /** What would be read again to settle it, with the gauge it was read with; left out where that cannot be said. */
  again?: Omit<SettleInput, 'marginMm' | 'rule'> & {
    where: Text;
  };
  /** Why it is not the gauge that cannot tell, and what would; `always`: nothing so near the limit is accepted. */
  more?: { why: Text; remedy: Text; always: boolean } | undefined;
  acceptable?: boolean;
  mmDecimals?: number;
};

/** A limit with its title, the way it is printed beside a verdict. */
export const sayLimit = (l: LimitInForce, mmDecimals = 3): Text =>
  expr`${len(l.limitMm, mmDecimals)} (${l.title})`;

/** Judge a value that may be too large: accept, too close to call, or over, in one sentence each. */
export function judgeUpper(j: UpperJudgement): Finding & { marginMm: number } {
  const told = decide(j.valueMm, j.uncertaintyMm, { upper: j.limit.limitMm }, j.rule);
  const over =
    j.downwardMm !== undefined &&
    decide(j.valueMm, j.downwardMm, { upper: j.limit.limitMm }, j.rule).verdict === 'reject';
  const d = {
    ...told,
    verdict: over
      ? ('reject' as const)
      : j.more?.always && told.verdict === 'accept'
        ? ('too-close' as const)
        : told.verdict,
  };
  const value = len(j.valueMm, j.mmDecimals ?? 3);
  const shared = {
    code: j.code,
    limit: sayLimit(j.limit, j.mmDecimals ?? 3),
    source: j.limit.source,
    acceptable: j.acceptable ?? true,
    marginMm: d.marginMm,
  };
  if (d.verdict === 'accept')
    return {
      ...shared,
      verdict: 'accept',
      reason: M.withinLimit({ what: j.what, value }),
      params: { what: j.what, valueMm: j.valueMm, limitMm: j.limit.limitMm },
    };
  if (d.verdict === 'reject')
    return {
      ...shared,
      verdict: 'reject',
      reason: M.over({ what: j.what, value, margin: len(-d.marginMm, j.mmDecimals ?? 3), means: j.means }),
      params: { what: j.what, valueMm: j.valueMm, limitMm: j.limit.limitMm },
      remedy: j.remedy,
    };
  return {
    ...shared,
    verdict: 'too-close',
    reason: j.more
      ? M.is({ what: j.what, value, why: j.more.why })
      : M.withinLimitGaugeCannotTell({ what: j.what, value, expanded: len(d.expanded, 4) }),
    params: { what: j.what, valueMm: j.valueMm, limitMm: j.limit.limitMm },
    remedy: j.more
      ? j.more.remedy
      : j.again
        ? saySettle(settle({ ...j.again, marginMm: d.marginMm, rule: j.rule }), j.again.where)
        : M.repeatUseFinerInstrument,
  };
}

/** The beam of a value that may be too large: level at nothing, on its stop at the limit, the other schools' stops drawn beside it. */
export function upperBeam(
  label: Text,
  valueMm: number,
  expanded: number,
  limit: LimitInForce,
  verdict: Verdict,
  doubt?: Text[],
): Beam {
  return {
    label,
    quantity: 'length',
    value: valueMm,
    target: 0,
    upper: limit.limitMm,
    expanded,
    verdict,
    ...(doubt ? { doubt } : {}),
    alternatives: limit.others.map((o) => ({ label: o.title, at: o.limitMm })),
  };
}

/** Where it is not the gauge but the angles between which a high spot can hide that leave a run-out open. */
export function betweenAngles(turn: TurnJudged, uRead: number, limitMm: number, angles: number) {
  const few = tooFewFor(turn, limitMm);
  if (few)
    return {
      why: M.fewAnglesTellNoSwing({ angles }),
      remedy: M.readSwingOrAngles({ angles: FEW }),
      always: true,
    };
  return turn.missedMm > 2 * uRead
    ? {
        why: M.betweenAnglesMoreCanHide({ angles, missed: len(turn.missedMm) }),
        remedy: M.readSwingOrAngles({ angles: 2 * angles }),
        always: false,
      }
    : undefined;
}
