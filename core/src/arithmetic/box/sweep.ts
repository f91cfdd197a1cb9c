import { doubtSaid } from '../../judgement/doubt.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import type { DecisionRule } from '../../metrology/decision.ts';
import { doubtOfMean, type Hand, handOf, readingUncertainty } from '../../metrology/hand.ts';
import { type AngleReading, byAngle, fitHarmonics, type HarmonicFit } from '../../metrology/harmonics.ts';
import { judgedTurn, type TurnJudged } from '../../metrology/turn.ts';
import { inQuadrature, mean } from '../../metrology/uncertainty.ts';
import { len } from '../../quantities/say.ts';
import { tidy } from '../shaft/tolerance.ts';
import { M } from './messages.ts';

export type Sweep = {
  fit: HarmonicFit | null;
  tirMm: number | null;
  uncertaintyMm: number;
  /** What can hide between the angles read; null before two are. */
  turn: TurnJudged | null;
  highDeg: number | null;
  lowDeg: number | null;
  taken: number;
  /** Closing of the turn and readings still wanted. */
  findings: Finding[];
};

/**
 * One turn of an indicator over a face or bore: fit, TIR with its doubt, and whether the turn is whole. `wanted` angles or
 * more; the closing reading must come back within one step of the gauge.
 */
export function sweep(o: {
  readings: readonly AngleReading[];
  closingMm?: number | undefined;
  /** The whole swing of the needle over a continuous turn, each time it was read: the TIR itself. */
  swingsMm?: readonly number[] | undefined;
  /** It is to be read by its swing: no angle is missing while none is read. */
  bySwing?: boolean | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  wanted: number;
  code: string;
}): Sweep {
  const one = readingUncertainty(o.resolutionMm, o.hand);
  if (o.swingsMm && o.swingsMm.length > 0 && o.readings.length === 0) return swung(o.swingsMm, o);
  const grouped = byAngle(o.readings);
  const fit = fitHarmonics(o.readings, o.resolutionMm, o.hand, o.closingMm);
  const high = grouped.length ? grouped.reduce((a, b) => (b.valueMm > a.valueMm ? b : a)) : null;
  const low = grouped.length ? grouped.reduce((a, b) => (b.valueMm < a.valueMm ? b : a)) : null;
  const readMm = high && low && grouped.length >= 2 ? tidy(high.valueMm - low.valueMm) : null;
  const turn =
    readMm === null
      ? null
      : judgedTurn(
          readMm,
          grouped.map((g) => g.angleDeg),
          grouped.length >= o.wanted ? fit : null,
        );
  const tirMm = turn ? tidy(turn.tirMm) : null;
  const findings: Finding[] = [];
  if (o.bySwing && grouped.length === 0)
    findings.push({
      code: `${o.code}.unread`,
      verdict: 'incomplete',
      reason: M.swingNotRead,
      params: {},
      acceptable: false,
    });
  else if (grouped.length < o.wanted)
    findings.push({
      code: `${o.code}.unread`,
      verdict: 'incomplete',
      reason: M.anglesRead({ count: grouped.length, wanted: o.wanted }),
      params: { length: grouped.length, wanted: o.wanted },
      acceptable: false,
    });
  else if (o.closingMm === undefined)
    findings.push({
      code: `${o.code}.closing`,
      verdict: 'incomplete',
      reason: M.turnNotClosedReadOnce,
      params: {},
      acceptable: false,
    });
  const begun = o.readings[0]?.angleDeg;
  const first = grouped.find((g) => g.angleDeg === begun) ?? grouped[0];
  if (o.closingMm !== undefined && first && Math.abs(o.closingMm - first.valueMm) > o.resolutionMm + 1e-9)
    findings.push({
      code: `${o.code}.closing`,
      verdict: 'reject',
      reason: M.backFirstAngleGaugeReads({ closing: len(o.closingMm - first.valueMm) }),
      params: { closingMm: o.closingMm - first.valueMm },
      limit: COMMON.oneStepGauge({ resolution: len(o.resolutionMm) }),
      source: 'practice',
      remedy: COMMON.tightenGaugeBaseThenMeasure,
      acceptable: true,
    });
  return {
    fit,
    tirMm,
    uncertaintyMm: inQuadrature(one, one, (turn?.missedMm ?? 0) / 2),
    turn,
    highDeg: high?.angleDeg ?? null,
    lowDeg: low?.angleDeg ?? null,
    taken: grouped.length,
    findings,
  };
}

/** A turn read by its whole swing: nothing hides between angles, and no shape is told. */
function swung(
  swingsMm: readonly number[],
  { resolutionMm, hand }: { resolutionMm: number; hand?: Hand | undefined },
): Sweep {
  return {
    fit: null,
    tirMm: tidy(mean([...swingsMm])),
    uncertaintyMm: doubtOfMean({
      ...handOf(swingsMm, resolutionMm, hand?.card),
      stepMm: resolutionMm,
      places: 2,
    }),
    turn: null,
    highDeg: null,
    lowDeg: null,
    taken: 0,
    findings: [],
  };
}

/** Where the doubt of a swept TIR comes from, and what would settle it. */
export const sweepDoubt = (
  s: Sweep,
  input: { resolutionMm: number; hand?: Hand | undefined; rule?: DecisionRule | undefined },
  limitMm: number,
): Text[] =>
  doubtSaid({
    stepMm: input.resolutionMm,
    hand: input.hand,
    places: 2,
    other: { mm: (s.turn?.missedMm ?? 0) / 2, from: COMMON.whatCanHideBetweenAngles },
    marginMm: limitMm - (s.tirMm ?? 0),
    rule: input.rule,
    where: s.highDeg === null ? M.overWholeTurn : M.atAnd({ high: s.highDeg, low: s.lowDeg ?? 0 }),
  });
