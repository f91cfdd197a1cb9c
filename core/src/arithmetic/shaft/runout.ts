import { doubtSaid } from '../../judgement/doubt.ts';
import { betweenAngles, judgeUpper, sayLimit, upperBeam } from '../../judgement/judge.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { COVERAGE, type DecisionRule } from '../../metrology/decision.ts';
import { bothSeen, doubtOfMean, type Hand, handOf, handOver, spreadOver } from '../../metrology/hand.ts';
import {
  type AngleReading,
  byAngle,
  fitHarmonics,
  type HarmonicFit,
  highestOrder,
} from '../../metrology/harmonics.ts';
import { judgedTurn } from '../../metrology/turn.ts';
import { inQuadrature, mean } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { type LimitInForce, limitInForce } from '../../sources/limits.ts';
import { type RunoutMethod, runoutLimits } from './limits.ts';
import { M } from './messages.ts';
import { type RunoutShape, runoutShape, SHAPE_REMEDY, SHAPE_WORDS } from './runout-shape.ts';
import { tidy } from './tolerance.ts';

export type RunoutInput = {
  shaftMm: number;
  /** Indicator readings round one turn, the closing one left out; repeats at one angle are averaged. */
  readings: readonly AngleReading[];
  /** The whole swing of the needle over a continuous turn, each time it was read: the TIR itself. */
  swingsMm?: readonly number[] | undefined;
  /** It is to be read by its swing: no angle is missing while none is read. */
  bySwing?: boolean | undefined;
  /** The reading back at the first angle after a whole turn. */
  closingMm?: number | undefined;
  /** Graduation of the indicator. */
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  school: RunoutMethod;
  makerLimitMm?: number | undefined;
  rule?: DecisionRule | undefined;
  /** Readings wanted round the turn; 8 where nothing is said. */
  wanted?: number | undefined;
  /** Names the station in the sentences, as “station 2”. */
  where?: Text | undefined;
  /** What its findings are told apart by, where there are several. */
  station?: string | undefined;
};

export type RunoutValues = {
  tirMm: number | null;
  tirFitMm: number | null;
  highSpotDeg: number | null;
  /** Amplitude, direction and doubt of 1×, 2× and 3×, as far as the angles carry them. */
  harmonics: Array<{ order: number; amplitudeMm: number; phaseDeg: number; uncertaintyMm: number }>;
  /** What amplitudes scatter by with noise alone, and the degrees of freedom known of it; null where nothing is fitted. */
  noise: { standardMm: number; free: number } | null;
  meanMm: number | null;
  residualRmsMm: number | null;
  closureMm: number | null;
  closed: boolean | null;
  limitMm: number;
  shape: RunoutShape;
  taken: number;
  expandedMm: number;
};

/** What the line of the limit is called: of several turns it is said once. */
export const RUNOUT_LIMIT = COMMON.limit;

/** Readings at angles no farther apart than this to say a high spot cannot hide between them. */
const WIDEST_GAP_DEG = 100;

/**
 * Run-out at one station from an indicator over one turn: TIR against the limit in force, the closure of the turn, and by
 * harmonic fit the shape behind it, so that the remedy fits. Judged is the larger of TIR as read (highest less lowest of the means
 * at each angle) and as fitted; what can hide between the angles is part of its doubt.
 * Source: limits as in `runoutLimits`; fit as in `fitHarmonics`.
 * @throws RangeError for an unknown school
 */
export function runout(input: RunoutInput): CalculatorResult<RunoutValues> {
  const where = input.where ? M.at2({ where: input.where }) : '';
  const code = input.station ?? (typeof input.where === 'string' ? input.where.replace(/^station /, '') : '');
  const tag = (name: string) => (code ? `runout.${name}.${code}` : `runout.${name}`);
  const limit = limitInForce(runoutLimits(input.shaftMm), input.school, input.makerLimitMm);
  const wanted = input.wanted ?? 8;
  const grouped = byAngle(input.readings);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [{ what: RUNOUT_LIMIT, sum: sayLimit(limit) }];
  const fit = fitHarmonics(input.readings, input.resolutionMm, input.hand, input.closingMm);
  // Half a turn fits many shapes: none is named before the turn is read.
  const shape = grouped.length >= wanted ? runoutShape(fit, input.resolutionMm) : 'unfitted';
  // Back where the turn began, wherever that was: at the first angle read.
  const begun = input.readings[0]?.angleDeg;
  const first = grouped.find((g) => g.angleDeg === begun) ?? grouped[0];
  const closureMm = input.closingMm !== undefined && first ? tidy(input.closingMm - first.valueMm) : null;
  const closed = closureMm === null ? null : Math.abs(closureMm) <= input.resolutionMm + 1e-9;
  let tirMm: number | null = null;
  let uTir = 0;
  let doubt: Text[] | undefined;

  const swung = input.swingsMm && input.swingsMm.length > 0 ? swing(input, input.swingsMm, limit) : null;
  if (swung) {
    tirMm = swung.tirMm;
    uTir = swung.u;
    doubt = swung.doubt;
    findings.push({ ...swung.judged, code: tag('tir') });
    working.push(swung.working);
  } else if (grouped.length >= 2) {
    const high = grouped.reduce((a, b) => (b.valueMm > a.valueMm ? b : a));
    const low = grouped.reduce((a, b) => (b.valueMm < a.valueMm ? b : a));
    const readMm = tidy(high.valueMm - low.valueMm);
    const turn = judgedTurn(
      readMm,
      grouped.map((g) => g.angleDeg),
      grouped.length >= wanted ? fit : null,
    );
    tirMm = tidy(turn.tirMm);
    const hand = turnHand(input);
    const times = (input.hand?.count ?? 1) * Math.min(high.times, low.times);
    const u = (g: { angleDeg: number; times: number }) =>
      doubtOfMean({
        ...hand,
        count: g.times * (input.hand?.count ?? 1),
        stepMm: input.resolutionMm,
        scattered: scatteredAt(input, g),
      });
    // What lies between the angles read is half of its doubt: the bound itself at twice that.
    const uRead = inQuadrature(u(high), u(low));
    uTir = inQuadrature(uRead, turn.missedMm / 2);
    working.push({
      what: M.tir({ where }),
      sum: M.betweenAnglesUpCanHide({
        value: num(high.valueMm),
        degrees: degrees(high.angleDeg),
        value2: num(low.valueMm),
        degrees2: degrees(low.angleDeg),
        read: len(readMm),
        tir: tirMm > readMm ? M.fittedLargerJudged({ tir: len(tirMm) }) : '',
        missed: len(turn.missedMm),
      }),
    });
    const { marginMm: _, ...judged } = judgeUpper({
      code: tag('tir'),
      what: M.runOut({ where }),
      valueMm: tirMm,
      uncertaintyMm: uTir,
      downwardMm: uRead,
      limit,
      rule: input.rule,
      means: grouped.length < wanted ? M.turnNotWholeYet : expr`${SHAPE_WORDS[shape]}.`,
      remedy: grouped.length < wanted ? M.finishTurnShapeTellsWhat : SHAPE_REMEDY[shape] || M.readTurnAgain,
      more: betweenAngles(turn, uRead, limit.limitMm, grouped.length),
      again: {
        where: M.atAnd2({ degrees: degrees(high.angleDeg), degrees2: degrees(low.angleDeg) }),
        stepMm: input.resolutionMm,
        count: times,
        hand: { ...hand, count: times },
        places: 2,
      },
    });
    findings.push(judged);
    doubt = doubtSaid({
      stepMm: input.resolutionMm,
      hand: { ...hand, count: times },
      places: 2,
      other: { mm: turn.missedMm / 2, from: COMMON.whatCanHideBetweenAngles },
      marginMm: limit.limitMm - tirMm,
      rule: input.rule,
      where: M.atAnd2({ degrees: degrees(high.angleDeg), degrees2: degrees(low.angleDeg) }),
    });
  }
  if (fit && shape !== 'unfitted') findings.push(...shapeFindings(fit, shape, tag, where, working));
  if (!swung && input.bySwing && grouped.length === 0)
    findings.push({
      code: tag('unread'),
      verdict: 'incomplete',
      reason: M.swingNotRead({ where }),
      params: { where },
      acceptable: false,
    });
  else if (!swung || grouped.length > 0)
    findings.push(...turnFindings(input, grouped, wanted, closureMm, closed, tag, where));

  const expandedMm = COVERAGE[input.rule ?? 'k2'] * uTir;
  return {
    values: {
      tirMm,
      tirFitMm: fit ? tidy(fit.tirFitMm) : null,
      highSpotDeg: fit?.harmonics[0]?.phaseDeg ?? null,
      harmonics: (fit?.harmonics ?? []).map(({ order, amplitudeMm, phaseDeg, uncertaintyMm }) => ({
        order,
        amplitudeMm,
        phaseDeg,
        uncertaintyMm,
      })),
      noise: fit ? { standardMm: fit.harmonics[0]?.standardMm ?? 0, free: fit.free } : null,
      meanMm: fit?.meanMm ?? null,
      residualRmsMm: fit?.residualRmsMm ?? null,
      closureMm,
      closed,
      limitMm: limit.limitMm,
      shape,
      taken: grouped.length,
      expandedMm: tidy(expandedMm),
    },
    findings,
    working,
    beams:
      tirMm === null
        ? []
        : [
            upperBeam(
              M.runOutTir({ where }),
              tirMm,
              expandedMm,
              limit,
              findings[0]?.verdict ?? 'incomplete',
              doubt,
            ),
          ],
  };
}

const degrees = (deg: number) => `${Number(deg.toFixed(1))}°`;

/** Standard deviation of repeats about the mean of their own angle; 0 where nothing was repeated. */
function repeatsOf(readings: readonly AngleReading[]): Map<number, number[]> {
  const groups = new Map<number, number[]>();
  for (const r of readings) groups.set(r.angleDeg, [...(groups.get(r.angleDeg) ?? []), r.valueMm]);
  return groups;
}

/** What is known of the hand: its card, and what its repeats at the angles show together. */
const turnHand = ({ readings, resolutionMm, hand }: RunoutInput): Hand =>
  bothSeen(handOver([...repeatsOf(readings).values()], resolutionMm, hand?.card), hand);

const scatteredAt = ({ readings, resolutionMm }: RunoutInput, at: { angleDeg: number }): boolean =>
  spreadOver(repeatsOf(readings).get(at.angleDeg) ?? [], resolutionMm);

function shapeFindings(
  fit: HarmonicFit,
  shape: RunoutShape,
  tag: (name: string) => string,
  where: Text,
  working: WorkingLine[],
): Finding[] {
  working.push({
    what: M.fitCWaves({ where }),
    sum: M.leftRms({
      mean: num(fit.meanMm, 4),
      harmonics: listOf(
        fit.harmonics.map((h) =>
          M.at3({ order: h.order, amplitude: num(h.amplitudeMm, 4), degrees: degrees(h.phaseDeg) }),
        ),
        ', ',
      ),
      residualRms: len(fit.residualRmsMm, 4),
    }),
  });
  const [h1, h2] = fit.harmonics;
  if (h1)
    working.push({
      what: expr`1×${where}`,
      sum: M.eccentricityGives2Tir({
        amplitude: len(h1.amplitudeMm, 4),
        amplitude2: num(h1.amplitudeMm, 4),
        amplitude3: len(2 * h1.amplitudeMm, 4),
      }),
    });
  if (h2)
    working.push({
      what: expr`2×${where}`,
      sum: M.outRoundTir2Diameters({
        amplitude: num(h2.amplitudeMm, 4),
        amplitude2: len(2 * h2.amplitudeMm, 4),
        amplitude3: len(4 * h2.amplitudeMm, 4),
      }),
    });
  working.push({
    what: M.tirFit({ where }),
    sum: M.readings({ tirFit: len(fit.tirFitMm, 4), tirReadings: len(fit.tirReadingsMm, 4) }),
  });
  if (shape === 'true' || shape === 'unfitted') return [];
  const spot =
    h1 && shape !== 'oval' && shape !== 'lobed' ? M.highSpot({ degrees: degrees(h1.phaseDeg) }) : '';
  return [
    {
      code: tag('shape'),
      verdict: shape === 'rough' ? 'caution' : 'accept',
      reason: M.shape({ where, shapeWord: SHAPE_WORDS[shape], spot }),
      params: { where, SHAPE_WORDS: SHAPE_WORDS[shape], spot },
      source: 'geometry',
      acceptable: true,
    },
  ];
}

/** Is the turn whole: enough angles, none too far apart, and back where it began? */
/** The swing of the needle over a whole turn, read at its highest and its lowest: nothing hides between angles. */
function swing(input: RunoutInput, swingsMm: readonly number[], limit: LimitInForce) {
  const where = input.where ? M.at2({ where: input.where }) : '';
  const step = input.resolutionMm;
  const hand = handOf(swingsMm, step, input.hand?.card);
  const seen = { ...hand, count: swingsMm.length, stepMm: step, places: 2 as const };
  const u = doubtOfMean(seen);
  const tirMm = tidy(mean([...swingsMm]));
  const again = { stepMm: step, count: seen.count, hand, places: 2 as const };
  const { marginMm, ...judged } = judgeUpper({
    code: 'tir',
    what: M.runOut({ where }),
    valueMm: tirMm,
    uncertaintyMm: u,
    limit,
    rule: input.rule,
    means: M.swingTellsNoShape,
    remedy: M.readAnglesForShape,
    again: { ...again, where: M.overWholeTurn },
  });
  return {
    tirMm,
    u,
    judged,
    doubt: doubtSaid({ ...again, marginMm, rule: input.rule, where: M.overWholeTurn }),
    working: { what: M.tir({ where }), sum: M.swingRead({ tir: len(tirMm), count: swingsMm.length }) },
  };
}

function turnFindings(
  input: RunoutInput,
  grouped: ReadonlyArray<{ angleDeg: number }>,
  wanted: number,
  closureMm: number | null,
  closed: boolean | null,
  tag: (name: string) => string,
  where: Text,
): Finding[] {
  if (grouped.length < wanted)
    return [
      {
        code: tag('unread'),
        verdict: 'incomplete',
        reason: M.anglesRead({ count: grouped.length, wanted, where }),
        params: { length: grouped.length, wanted, where },
        acceptable: false,
      },
    ];
  const out: Finding[] = [];
  const gaps = grouped.map(
    (r, i) => ((grouped[(i + 1) % grouped.length]?.angleDeg ?? 0) - r.angleDeg + 360) % 360 || 360,
  );
  const widest = Math.max(...gaps);
  if (widest > WIDEST_GAP_DEG)
    out.push({
      code: tag('gap'),
      verdict: 'caution',
      reason: M.nothingReadOverTurnHigh({ where, degrees: degrees(widest) }),
      params: { where, widest: degrees(widest) },
      source: 'practice',
      remedy: M.readOnceTwiceMoreInside,
      acceptable: false,
    });
  if (highestOrder(grouped.length) < 2)
    out.push({
      code: tag('few'),
      verdict: 'caution',
      reason: M.anglesOnlyOnceTurnPart({ count: grouped.length, where }),
      params: { length: grouped.length, where },
      source: 'practice',
      remedy: M.readEightAnglesWhereShape,
      acceptable: false,
    });
  if (closureMm === null)
    out.push({
      code: tag('closing'),
      verdict: 'incomplete',
      reason: M.turnNotClosedReadOnce({ where }),
      params: { where },
      acceptable: false,
    });
  else
    out.push({
      code: tag('closing'),
      verdict: closed ? 'accept' : 'reject',
      reason: closed
        ? M.backFirstAngleGaugeReads({ where, resolution: len(input.resolutionMm) })
        : M.backFirstAngleGaugeReads2({ where, closure: len(closureMm) }),
      params: {
        where: closed ? where : null,
        resolutionMm: closed ? input.resolutionMm : null,
        where2: closed ? null : where,
        closureMm: closed ? null : closureMm,
      },
      source: 'practice',
      limit: COMMON.oneStepGauge({ resolution: len(input.resolutionMm) }),
      ...(closed ? {} : { remedy: COMMON.tightenGaugeBaseThenMeasure }),
      acceptable: true,
    });
  return out;
}
