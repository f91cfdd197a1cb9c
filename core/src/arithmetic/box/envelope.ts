import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { type DecisionRule, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { len, num } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';
import { M } from './messages.ts';

export const ENVELOPE_MEASURES = ['bore', 'depth', 'obstruction', 'studs'] as const;
export type EnvelopeMeasure = (typeof ENVELOPE_MEASURES)[number];

type Gauged = { resolutionMm: number; hand?: Hand | undefined };

export type EnvelopeInput = {
  /** What each measure was read with, where not all were read with one. */
  gauges?: Partial<Record<EnvelopeMeasure, Gauged>> | undefined;
  /** Measured box, mm: several readings each are averaged by whoever asks. Left out where not measured yet. */
  boreMm?: number | undefined;
  depthMm?: number | undefined;
  /** From the box face to the first thing in the way. */
  obstructionMm?: number | undefined;
  studCircleMm?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
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
  name: Text;
  valueMm: number | undefined;
  lower?: number | undefined;
  upper?: number | undefined;
  under: Text;
  over: Text;
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
      name: COMMON.boxBore,
      valueMm: input.boreMm,
      lower: input.sealBoreLowerMm,
      upper: input.sealBoreUpperMm,
      under: M.sealDoesNotGo,
      over: M.glandsSpigotHasNoCentring,
    },
    {
      measure: 'depth',
      name: COMMON.boxDepth,
      valueMm: input.depthMm,
      lower: input.sealDepthMm,
      under: M.sealStandsBottomBox,
      over: '',
    },
    {
      measure: 'obstruction',
      name: COMMON.firstObstruction,
      valueMm: input.obstructionMm,
      lower: input.sealReachMm,
      under: M.sealMeetsBeforeGlandMeets,
      over: '',
    },
    {
      measure: 'studs',
      name: COMMON.studCircle,
      valueMm: input.studCircleMm,
      lower: studs === undefined ? undefined : studs - play,
      upper: studs === undefined ? undefined : studs + play,
      under: M.glandDoesNotGoOver,
      over: M.glandDoesNotGoOver,
    },
  ];
  const asked = questions.filter((q) => q.lower !== undefined || q.upper !== undefined);
  const findings = asked.map((q) => judgeMeasure(q, gaugeOf(input, q.measure), input.rule));
  if (asked.length === 0)
    findings.push({
      code: 'envelope.sheet',
      verdict: 'incomplete',
      reason: M.nothingSealsEnvelopeGivenSheet,
      params: {},
      remedy: M.typeWhatSealsSheetSays,
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
        : [{ what: inline(q.name), sum: M.against({ value: num(q.valueMm), q: sayBand(q) }) }],
    ),
    beams: boreBeam(input),
  };
}

/** The gauge a measure was read with: its own, where each had one. */
const gaugeOf = (input: EnvelopeInput, measure: Question['measure']): Gauged =>
  input.gauges?.[measure] ?? { resolutionMm: input.resolutionMm, hand: input.hand };

/** The bore between the seal's two limits, where both are given. */
function boreBeam(input: EnvelopeInput): Beam[] {
  const { boreMm: value, sealBoreLowerMm: lower, sealBoreUpperMm: upper } = input;
  if (value === undefined || lower === undefined || upper === undefined) return [];
  const by = gaugeOf(input, 'bore');
  const d = decide(value, readingUncertainty(by.resolutionMm, by.hand), { lower, upper }, input.rule);
  return [
    {
      label: COMMON.boxBore,
      quantity: 'length',
      value,
      target: (lower + upper) / 2,
      lower,
      upper,
      expanded: d.expanded,
      verdict: d.verdict,
      doubt: doubtSaid({
        stepMm: by.resolutionMm,
        hand: by.hand,
        marginMm: d.marginMm,
        rule: input.rule,
        where: M.bore,
      }),
    },
  ];
}

const sayBand = (q: Question): Text =>
  q.lower !== undefined && q.upper !== undefined
    ? COMMON.to3({ lower: num(q.lower), upper: len(q.upper) })
    : q.lower !== undefined
      ? COMMON.more({ lower: len(q.lower) })
      : COMMON.less({ upper: len(q.upper ?? 0) });

function judgeMeasure(q: Question, by: Gauged, rule: DecisionRule | undefined): Finding {
  const source: SourceId = 'maker';
  const shared = { code: `envelope.${q.measure}`, source, limit: sayBand(q), acceptable: true };
  if (q.valueMm === undefined)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: COMMON.notMeasuredYet2({ name: q.name }),
      params: { name: q.name },
      acceptable: false,
    };
  const u = readingUncertainty(by.resolutionMm, by.hand);
  const d = decide(q.valueMm, u, { lower: q.lower, upper: q.upper }, rule);
  const below =
    q.lower !== undefined && q.valueMm - q.lower <= (q.upper ?? Number.POSITIVE_INFINITY) - q.valueMm;
  if (d.verdict === 'accept')
    return {
      ...shared,
      verdict: 'accept',
      reason: M.takesSealSpare({ name: q.name, value: len(q.valueMm), margin: len(d.marginMm) }),
      params: { name: q.name, valueMm: q.valueMm, marginMm: d.marginMm },
    };
  if (d.verdict === 'reject')
    return {
      ...shared,
      verdict: 'reject',
      reason: M.is({
        name: q.name,
        value: len(q.valueMm),
        margin: len(-d.marginMm),
        below: below ? 'short' : 'over',
        under: below ? q.under : q.over,
      }),
      params: {
        name: q.name,
        valueMm: q.valueMm,
        marginMm: -d.marginMm,
        below: Boolean(below),
        under: below ? q.under : null,
        over: below ? null : q.over,
      },
      remedy: M.anotherSealAnotherGlandBox,
    };
  return {
    ...shared,
    verdict: 'too-close',
    reason: M.tooCloseLimitCall({ name: q.name, value: len(q.valueMm) }),
    params: { name: q.name, valueMm: q.valueMm },
    remedy: saySettle(
      settle({
        marginMm: d.marginMm,
        stepMm: by.resolutionMm,
        count: by.hand?.count ?? 1,
        hand: by.hand,
        rule,
      }),
      COMMON.there,
    ),
  };
}
