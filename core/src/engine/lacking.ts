import type { Finding } from '../judgement/result.ts';
import type { Facts, Lacking, LackingWhy, StepReport } from './state.ts';
import type { StepDefinition } from './step.ts';

/** Why a number is not there, and the reasons people usually have; others are typed. */
export const LACKING = {
  'not-measured': {
    said: 'Not measured',
    reasons: ['No gauge here that reaches', 'Cannot be reached', 'Not needed on this machine'],
  },
  'snug-by-hand': {
    said: 'Snug by hand',
    reasons: ['The sheet says snug', 'It centres itself', 'No wrench reaches'],
  },
  'sheet-gives-none': {
    said: 'The sheet gives none',
    reasons: ['No torque on the sheet', 'No sheet came with the part'],
  },
} as const satisfies Record<LackingWhy, { said: string; reasons: readonly string[] }>;
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
  reason: `${LACKING[lacking.why].said}: ${lacking.reason}`,
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
    ...(step.kind.bolt ? {} : { act: `${LACKING[lacking.why].said}: ${lacking.reason}` }),
  };
}
