import type { Finding } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr } from '../message/message.ts';
import { M } from './messages.ts';
import type { Facts, Lacking, LackingWhy, StepReport } from './state.ts';
import type { StepDefinition } from './step.ts';

/** Why a number is not there, and the reasons people usually have; others are typed. */
export const LACKING = {
  'not-measured': {
    said: M.notMeasured,
    reasons: [M.noGaugeHereReaches, M.cannotReached, M.notNeededMachine],
  },
  'snug-by-hand': {
    said: COMMON.snugHand,
    reasons: [M.sheetSaysSnug, M.centresItself, M.noWrenchReaches],
  },
  'sheet-gives-none': {
    said: M.sheetGivesNone,
    reasons: [M.noTorqueSheet, M.noSheetCamePart],
  },
} as const satisfies Record<LackingWhy, { said: Text; reasons: readonly Text[] }>;
export const LACKING_WHYS = Object.keys(LACKING) as LackingWhy[];

/** What was said to be lacking at a step, and stands. */
export const lackingAt = (facts: Pick<Facts, 'lacking'>, step: string): Lacking | undefined =>
  facts.lacking.find((l) => l.step === step && !l.until);

/** The ways in which a step can be without its number: none where the number is itself the safety limit, or the work. */
export function mayLack(step: StepDefinition): LackingWhy[] {
  if (step.kind.bolt) return ['snug-by-hand', 'sheet-gives-none'];
  return step.kind.place && !step.kind.essential ? ['not-measured'] : [];
}

/** How a step that has no number says so, on screen and on paper. */
const lackingFinding = (step: StepDefinition, lacking: Lacking): Finding => ({
  code: `${step.id}.lacking`,
  verdict: 'caution',
  reason: expr`${LACKING[lacking.why].said}: ${lacking.reason}`,
  params: { why: lacking.why, reason: lacking.reason },
  source: 'practice',
  acceptable: false,
});

/**
 * The report of a step whose number is said to be lacking: what it still wanted to be read holds nothing up any more, and the sheet says
 * why. Its stops and its questions stand.
 */
export function withLacking(step: StepDefinition, lacking: Lacking, report: StepReport): StepReport {
  const isQuestion = (f: Finding) => f.code === `${step.id}.unanswered` || f.code === `${step.id}.failed`;
  const findings = step.kind.bolt
    ? report.findings
    : report.findings.filter((f) => f.verdict !== 'incomplete' || isQuestion(f));
  return {
    ...report,
    findings: [...findings, lackingFinding(step, lacking)],
    ...(step.kind.bolt ? {} : { act: expr`${LACKING[lacking.why].said}: ${lacking.reason}` }),
  };
}
