import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { type DecisionRule, decide } from '../../metrology/decision.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { readingUncertainty } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';

export const ENVELOPE_MEASURES = ['bore', 'depth', 'obstruction', 'studs'] as const;
export type EnvelopeMeasure = (typeof ENVELOPE_MEASURES)[number];

export type EnvelopeInput = {
  /** Measured box, mm: several readings each are averaged by whoever asks. Left out where not measured yet. */
  boreMm?: number | undefined;
  depthMm?: number | undefined;
  /** From the box face to the first thing in the way. */
  obstructionMm?: number | undefined;
  studCircleMm?: number | undefined;
  resolutionMm: number;
  /** What the seal's sheet asks for. A measure the sheet does not name is not judged. */
  sealBoreLowerMm?: number | undefined;
  sealBoreUpperMm?: number | undefined;
  sealDepthMm?: number | undefined;
  sealReachMm?: number | undefined;
  sealStudCircleMm?: number | undefined;
  /** Play of the gland's slots or holes on the stud circle, each way. */
  studPlayMm?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type EnvelopeValues = { fits: boolean | null; judged: EnvelopeMeasure[] };

type Question = {
  measure: EnvelopeMeasure;
  name: string;
  valueMm: number | undefined;
  lower?: number | undefined;
  upper?: number | undefined;
  under: string;
  over: string;
};

/**
 * The box against the seal's envelope: bore, depth, first obstruction, stud circle. The seal's sheet is the maker's: it alone
 * gives the limits.
 */
export function boxEnvelope(input: EnvelopeInput): CalculatorResult<EnvelopeValues> {
  const play = input.studPlayMm ?? 0.5;
  const studs = input.sealStudCircleMm;
  const questions: Question[] = [
    {
      measure: 'bore',
      name: 'Box bore',
      valueMm: input.boreMm,
      lower: input.sealBoreLowerMm,
      upper: input.sealBoreUpperMm,
      under: 'the seal does not go in',
      over: 'the gland’s spigot has no centring',
    },
    {
      measure: 'depth',
      name: 'Box depth',
      valueMm: input.depthMm,
      lower: input.sealDepthMm,
      under: 'the seal stands on the bottom of the box',
      over: '',
    },
    {
      measure: 'obstruction',
      name: 'First obstruction',
      valueMm: input.obstructionMm,
      lower: input.sealReachMm,
      under: 'the seal meets it before the gland meets the face',
      over: '',
    },
    {
      measure: 'studs',
      name: 'Stud circle',
      valueMm: input.studCircleMm,
      lower: studs === undefined ? undefined : studs - play,
      upper: studs === undefined ? undefined : studs + play,
      under: 'the gland does not go over the studs',
      over: 'the gland does not go over the studs',
    },
  ];
  const asked = questions.filter((q) => q.lower !== undefined || q.upper !== undefined);
  const u = readingUncertainty(input.resolutionMm);
  const findings = asked.map((q) => judgeMeasure(q, u, input));
  if (asked.length === 0)
    findings.push({
      code: 'envelope.sheet',
      verdict: 'incomplete',
      reason: 'Nothing of the seal’s envelope is given: its sheet has bore, depth, reach and stud circle.',
      params: {},
      remedy: 'Type what the seal’s sheet says.',
      acceptable: false,
    });
  const open = findings.some((f) => f.verdict === 'incomplete');
  return {
    values: {
      fits: open ? null : findings.every((f) => f.verdict === 'accept'),
      judged: asked.map((q) => q.measure),
    },
    findings,
    working: asked.flatMap((q): WorkingLine[] =>
      q.valueMm === undefined
        ? []
        : [{ what: q.name.toLowerCase(), sum: `${num(q.valueMm)} against ${sayBand(q)}` }],
    ),
    beams: boreBeam(input, u),
  };
}

/** The bore between the seal's two limits, where both are given. */
function boreBeam(input: EnvelopeInput, u: number): Beam[] {
  const { boreMm: value, sealBoreLowerMm: lower, sealBoreUpperMm: upper } = input;
  if (value === undefined || lower === undefined || upper === undefined) return [];
  const d = decide(value, u, { lower, upper }, input.rule);
  return [
    {
      label: 'Box bore',
      quantity: 'length',
      value,
      target: (lower + upper) / 2,
      lower,
      upper,
      expanded: d.expanded,
      verdict: d.verdict,
      doubt: doubtSaid({
        count: 1,
        stepMm: input.resolutionMm,
        marginMm: d.marginMm,
        rule: input.rule,
        where: 'of the bore',
      }),
    },
  ];
}

const sayBand = (q: Question): string =>
  q.lower !== undefined && q.upper !== undefined
    ? `${num(q.lower)} to ${len(q.upper)}`
    : q.lower !== undefined
      ? `${len(q.lower)} or more`
      : `${len(q.upper ?? 0)} or less`;

function judgeMeasure(q: Question, u: number, input: EnvelopeInput): Finding {
  const source: SourceId = 'maker';
  const shared = { code: `envelope.${q.measure}`, source, limit: sayBand(q), acceptable: true };
  if (q.valueMm === undefined)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: `${q.name} is not measured yet.`,
      params: { name: q.name },
      acceptable: false,
    };
  const d = decide(q.valueMm, u, { lower: q.lower, upper: q.upper }, input.rule);
  const below =
    q.lower !== undefined && q.valueMm - q.lower <= (q.upper ?? Number.POSITIVE_INFINITY) - q.valueMm;
  if (d.verdict === 'accept')
    return {
      ...shared,
      verdict: 'accept',
      reason: `${q.name} ${len(q.valueMm)} takes the seal, ${len(d.marginMm)} to spare.`,
      params: { name: q.name, valueMm: q.valueMm, marginMm: d.marginMm },
    };
  if (d.verdict === 'reject')
    return {
      ...shared,
      verdict: 'reject',
      reason: `${q.name} ${len(q.valueMm)} is ${len(-d.marginMm)} ${below ? 'short' : 'over'}: ${below ? q.under : q.over}.`,
      params: {
        name: q.name,
        valueMm: q.valueMm,
        marginMm: -d.marginMm,
        below: Boolean(below),
        under: below ? q.under : null,
        over: below ? null : q.over,
      },
      remedy: 'Another seal, another gland, or the box machined. Do not force it.',
    };
  return {
    ...shared,
    verdict: 'too-close',
    reason: `${q.name} ${len(q.valueMm)} is too close to its limit to call.`,
    params: { name: q.name, valueMm: q.valueMm },
    remedy: saySettle(
      settle({ marginMm: d.marginMm, stepMm: input.resolutionMm, count: 1, rule: input.rule }),
      'there',
    ),
  };
}
