import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, type DecisionRule, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty, scaledHand } from '../../metrology/hand.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { formatFrequency } from '../../quantities/frequency.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { force, len } from '../../quantities/say.ts';
import { DEFLECTION_SHARE, drivenTension, SERVICE_LEFT_OUT, WITHIN } from './belt.ts';
import { M } from './messages.ts';

export type BeltSetInput = {
  by: 'note' | 'force';
  spanMm: number;
  /** What each belt said: the note of its struck span, Hz, or the force that bent it by 1/64 of the span, N. Null: not read. */
  readings: Array<number | null>;
  /** Step of the meter, Hz or N. */
  step: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  massKgPerM?: number | undefined;
  wantedN?: number | undefined;
  powerKw?: number | undefined;
  /** What the machine asks over its power, by the maker's table of machines; 1 where left out. */
  serviceFactor?: number | undefined;
  speedMPerS?: number | undefined;
  arcDeg?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type BeltSetValues = {
  wantedN: number;
  /** What the meter should say at the wanted tension, Hz or N. */
  wantedReading: number;
  tensionsN: Array<number | null>;
  /** Half of what holds 95 in 100 of each. */
  doubtN: Array<number | null>;
  /** How far the force bends a span. */
  deflectionMm: number;
};

/** Length of a span told by a tape, and a deflection by a rule, are no better than this, standard deviation. From memory. */
const SPAN_SHARE = 0.005;
const RULE_MM = 0.3;
/** Belts of one set are alike within this; by the loosest. Common practice, no source. */
const ALIKE = 0.15;

/**
 * Belts of one drive, each by the note of its span (T = 4·m·L²·f²) or by the force that bends it by 1/64 of the span
 * (T = F·L/(4·δ)), against the tension wanted, with the doubt the meter, the tape and the rule leave; and beside one another.
 * Source: a string’s first mode and its statics, physics; wanted tension: wedge-belt practice, from memory.
 * @throws RangeError where no tension is wanted, nor power and belt speed given to work it out from; or the mass is missing by note
 */
export function beltSet(input: BeltSetInput): CalculatorResult<BeltSetValues> {
  const { by, spanMm, readings, massKgPerM = 0, rule = 'k2' } = input;
  if (by === 'note' && massKgPerM <= 0) throw new MessageError(M.massBeltKgMetreMissing);
  const wantedN = input.wantedN ?? drivenTension({ ...input, massKgPerM, belts: readings.length });
  if (wantedN === null) throw new MessageError(M.tensionWantedMissingMakersPower);
  const lengthM = spanMm / 1000;
  const deflectionMm = spanMm * DEFLECTION_SHARE;
  const tension = (r: number) =>
    by === 'note' ? 4 * massKgPerM * lengthM ** 2 * r ** 2 : (r * spanMm) / (4 * deflectionMm);
  const wantedReading =
    by === 'note' ? Math.sqrt(wantedN / (4 * massKgPerM)) / lengthM : 4 * wantedN * DEFLECTION_SHARE;
  // Note: twice the share of the frequency and of the span. Force: the share of the force, of the span, of the rule.
  const besides = by === 'note' ? 2 * SPAN_SHARE : inQuadrature(SPAN_SHARE, RULE_MM / deflectionMm);
  const share = (r: number) =>
    inQuadrature(((by === 'note' ? 2 : 1) * readingUncertainty(input.step, input.hand)) / r, besides);
  const tensionsN = readings.map((r) => (r === null ? null : tension(r)));
  const doubts = readings.map((r, i) => (r === null || r <= 0 ? null : share(r) * (tensionsN[i] ?? 0)));
  const shared = { source: 'belt-practice' as const, acceptable: true };
  const [low, high] = [(1 - WITHIN) * wantedN, (1 + WITHIN) * wantedN];
  const said = (t: number, u: number) => expr`${force(t)} ± ${force(COVERAGE[rule] * u)}`;
  const findings: Finding[] = tensionsN.flatMap((t, i): Finding[] => {
    if (t === null) return [];
    const u = doubts[i] ?? 0;
    const { verdict } = decide(t, u, { lower: low, upper: high }, rule);
    const slack = t < wantedN;
    return [
      {
        ...shared,
        code: `belt.${i + 1}`,
        verdict,
        reason: M.belt({
          i: i + 1,
          said: said(t, u),
          verdict: verdict === 'reject' ? (slack ? 'tooSlackSlipsBurns' : 'tooTightBearingsCarr') : 'none',
        }),
        params: { i, t: said(t, u), slack: verdict === 'reject' ? Boolean(slack) : null },
        limit: expr`${force(wantedN)} ± ${Math.round(100 * WITHIN)} %`,
        ...(verdict === 'accept'
          ? {}
          : verdict === 'too-close'
            ? {
                remedy: by === 'note' ? M.strikeAgainLongerSpanFiner : M.pressAgainAlongStraightedgeNote,
              }
            : {
                remedy: M.turnHandMeasureAgain({ slack: slack ? 'moveMotorOut' : 'letMotor' }),
              }),
      },
    ];
  });
  // At the right tension itself this meter would leave more doubt than the band is wide: no belt can ever be accepted.
  if (COVERAGE[rule] * share(wantedReading) > WITHIN)
    findings.push({
      ...shared,
      code: 'belt.gauge',
      verdict: 'caution',
      reason: M.spanTooShortForGauge({ doubt: Math.round(100 * COVERAGE[rule] * share(wantedReading)) }),
      params: { doubt: share(wantedReading) },
      limit: M.alikeWithin({ alike: Math.round(100 * WITHIN) }),
      remedy: by === 'note' ? M.finerMeter : M.byNoteOrFiner,
    });
  if (input.wantedN === undefined && input.serviceFactor === undefined) findings.push(SERVICE_LEFT_OUT);
  const open = tensionsN.filter((t) => t === null).length;
  if (open > 0)
    findings.push({
      ...shared,
      code: 'belt.unread',
      verdict: 'incomplete',
      reason: M.beltsStillMeasured({ open, count: readings.length }),
      params: { open, length: readings.length, open2: Boolean(open === 1) },
      acceptable: false,
    });
  const all = tensionsN.filter((t): t is number => t !== null);
  if (open === 0 && all.length > 1) {
    const [least, most] = [Math.min(...all), Math.max(...all)];
    const doubt = COVERAGE[rule] * inQuadrature(...doubts.map((d) => d ?? 0).slice(0, 2));
    if (most - least > ALIKE * least + doubt)
      findings.push({
        ...shared,
        code: 'belt.alike',
        verdict: 'caution',
        reason: M.beltsDifferTightOnesDrive({ most: force(most - least) }),
        params: { most: most - least },
        limit: M.alikeWithin({ alike: Math.round(100 * ALIKE) }),
        remedy: M.beltsChangedAsSetOne,
      });
  }
  /** The belt that stands nearest a limit, or farthest beyond one. */
  const beamOf = (): Beam[] => {
    const margin = (t: number) => Math.min(t - low, high - t);
    const at = tensionsN.reduce<number | null>((worst, t, i) => {
      const before = worst === null ? null : (tensionsN[worst] ?? null);
      return t !== null && (before === null || margin(t) < margin(before)) ? i : worst;
    }, null);
    const [t, r] = at === null ? [null, null] : [tensionsN[at] ?? null, readings[at] ?? null];
    if (at === null || t === null || r === null || r <= 0) return [];
    return [
      {
        label: M.beltOneStrand({ at: at + 1 }),
        quantity: 'force',
        value: t,
        target: wantedN,
        lower: low,
        upper: high,
        expanded: COVERAGE[rule] * share(r) * t,
        verdict: decide(t, share(r) * t, { lower: low, upper: high }, rule).verdict,
        doubt: doubtSaid({
          // What a step of the meter is worth in tension here.
          stepMm: ((by === 'note' ? 2 : 1) * t * input.step) / r,
          hand: scaledHand(input.hand, ((by === 'note' ? 2 : 1) * t) / r),
          other: {
            mm: t * besides,
            from: by === 'note' ? M.tapeAlongSpan : M.tapeRule,
          },
          marginMm: margin(t),
          rule,
          say: force,
          where: M.belt2,
        }),
      },
    ];
  };
  const working: WorkingLine[] = [
    {
      what: M.wantedTension,
      sum:
        by === 'note'
          ? formatFrequency(wantedReading)
          : M.bend({ wantedReading: force(wantedReading), deflection: len(deflectionMm, 1) }),
    },
    ...all.map((t, i) => ({
      what: M.belt3({ i: i + 1 }),
      sum:
        by === 'note'
          ? M.n4KgMHz({ massKgPerM, span: len(spanMm, 0), reading: readings[i], t: force(t) })
          : expr`${force(readings[i] ?? 0)} × ${len(spanMm, 0)} ÷ (4 × ${len(deflectionMm, 1)}) = ${force(t)}`,
    })),
  ];
  return {
    values: {
      wantedN,
      wantedReading,
      tensionsN,
      doubtN: doubts.map((u) => (u === null ? null : COVERAGE[rule] * u)),
      deflectionMm,
    },
    findings,
    working,
    beams: beamOf(),
  };
}
