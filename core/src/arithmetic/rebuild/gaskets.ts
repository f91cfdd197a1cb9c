import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { type DecisionRule, decide, type Verdict } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { inQuadrature, studentT95 } from '../../metrology/uncertainty.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import { bestStack, type Piece, pieceToBuy, type Stack, stackParts } from './stack.ts';

/** A stack measured loose and again under torque. mm. */
export type CompressionPair = { looseMm: number; torquedMm: number };
export type CompressionValues = {
  /** Share of its thickness a stack loses under torque. */
  fraction: number;
  /** Standard uncertainty: 95 in 100 lie within twice of it. */
  uncertainty: number;
};

/**
 * What one pressed stack gives otherwise than the next, as a share of its thickness, and how surely that is known before any pair is
 * measured: as from so many pairs. Our own choice, measured by `npm run proof -- uncertainty`.
 */
const GIVES = { scatter: 0.02, knownAsFrom: 3 } as const;

/** Compression between nothing and half: more is a wrong reading. */
const MOST_COMPRESSED = 0.5;

/**
 * How much gaskets give under torque, learned from stacks measured loose and tight: the line through nothing, by least squares.
 * @throws RangeError with no pair, or one that is no stack
 */
export function gasketCompression(
  pairs: readonly CompressionPair[],
  gauge?: { resolutionMm: number; hand?: Hand | undefined },
): CalculatorResult<CompressionValues> {
  if (pairs.length === 0) throw new MessageError(M.measureOneStackLooseTight);
  for (const p of pairs)
    if (!(p.looseMm > 0) || !(p.torquedMm > 0)) throw new MessageError(M.stackHasThicknessLooseTight);
  const squares = pairs.reduce((s, p) => s + p.looseMm ** 2, 0);
  const fraction = pairs.reduce((s, p) => s + p.looseMm * (p.looseMm - p.torquedMm), 0) / squares;
  const left = pairs.reduce((s, p) => s + (p.looseMm - p.torquedMm - fraction * p.looseMm) ** 2, 0);
  const free = pairs.length - 1;
  const { scatter, knownAsFrom } = GIVES;
  // A thick stack says more of the share than a thin one.
  const usual = scatter ** 2 * (squares / pairs.length);
  const all = knownAsFrom + free;
  const own = (Math.sqrt((knownAsFrom * usual + left) / all / squares) * studentT95(all)) / 2;
  // Loose and torqued are two readings of the gauge.
  const read = gauge
    ? (Math.SQRT2 * readingUncertainty(gauge.resolutionMm, gauge.hand)) / Math.sqrt(squares)
    : 0;
  const uncertainty = inQuadrature(own, read);
  const odd = fraction < 0 || fraction > MOST_COMPRESSED;
  return {
    values: { fraction, uncertainty },
    findings: odd
      ? [
          {
            code: 'gaskets.compression',
            verdict: 'caution',
            reason: M.thesePairsStackLosesUnder({ fraction: (100 * fraction).toFixed(0) }),
            params: { fraction: 100 * fraction },
            source: 'practice',
            remedy: M.measureLooseTightOnceMore,
            acceptable: false,
          },
        ]
      : [],
    working: [
      {
        what: M.compressed,
        sum: M.looseLooseTightLoose({
          fraction: (100 * fraction).toFixed(1),
          uncertainty: M.n95100({ uncertainty: (200 * uncertainty).toFixed(1) }),
        }),
      },
    ],
    beams: [],
  };
}

export type GasketInput = {
  /** Gaskets on hand. */
  pieces: readonly Piece[];
  /** The stack that lies there, loose, and the clearances over the gears measured on it, two places at each gear. mm. */
  stackMm: number;
  clearancesMm: readonly number[];
  /** The clearance wanted under torque: over the least, under the most. mm. */
  leastMm: number;
  mostMm: number;
  /** Share of its thickness the stack loses under torque, and its standard uncertainty. */
  compressedFraction?: number | undefined;
  fractionUncertainty?: number | undefined;
  /** Step of the blades. mm. */
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  rule?: DecisionRule | undefined;
};

export type GasketValues = {
  /** Clearance under torque: the smaller decides whether a gear touches, the larger whether there is too much. mm. */
  smallestMm: number;
  largestMm: number;
  /** Standard uncertainty of either. mm. */
  uncertaintyMm: number;
  /** What the loose stack may come to, mm; null where the gears stand so unequal that none does. */
  wantedMm: { least: number; most: number; aim: number } | null;
  /** The stack to put in, of the pieces on hand; null where none comes into the band. */
  stack: Stack | null;
  /** The single thickness that, bought, would do it with what is on hand. mm. */
  buyMm: number | null;
};

/** A stack in a sentence. */
export const sayStack = (pieces: readonly Piece[], counts: readonly number[]): Text => {
  const parts = stackParts(pieces, counts);
  return parts.length === 0
    ? COMMON.noneWord
    : listOf(
        parts.map((p) => expr`${p.count} × ${len(p.thicknessMm)}`),
        ', ',
      );
};

/**
 * End clearance behind gears set by a stack of gaskets: measured loose at every place, told as it will be under torque, and the
 * stack of the pieces on hand that brings it between the least and the most. The stack gives, the gears do not: clearance under
 * torque = measured − fraction · stack. Geometry; limits of the maker’s sheet, else common practice.
 * @throws RangeError where nothing is measured, or stack and limits are none
 */
export function gasketStack(input: GasketInput): CalculatorResult<GasketValues> {
  const { stackMm, clearancesMm, leastMm, mostMm, resolutionMm, pieces } = input;
  const f = input.compressedFraction ?? 0;
  if (clearancesMm.length === 0) throw new MessageError(M.measureClearanceOverGearsFirst);
  if (!(stackMm >= 0)) throw new MessageError(M.stackHasThickness);
  if (!(mostMm > leastMm)) throw new MessageError(M.mostClearanceMustOverLeast);
  if (!(f >= 0 && f <= MOST_COMPRESSED)) throw new MessageError(M.gasketsLoseNoneHalfTheir);
  const lost = f * stackMm;
  const [small, large] = [Math.min(...clearancesMm), Math.max(...clearancesMm)];
  const smallestMm = small - lost;
  const largestMm = large - lost;
  const uncertaintyMm = inQuadrature(
    readingUncertainty(resolutionMm, input.hand),
    (input.fractionUncertainty ?? 0) * stackMm,
  );
  // A stack s gives measured + (s − stack) loose, and loses f·s of it under torque.
  const wanted = (clearance: number, measured: number) => (clearance - measured + stackMm) / (1 - f);
  const [least, most] = [wanted(leastMm, small), wanted(mostMm, large)];
  // On the edge is not in the band: the aim stands in the middle, and the doubt of the blades is kept from both ends.
  const keep = Math.min(2 * uncertaintyMm, Math.max(0, (most - least) / 4));
  const band =
    most > least ? { leastMm: least + keep, mostMm: most - keep, aimMm: (least + most) / 2 } : null;
  const stack = band ? bestStack(pieces, band) : null;
  const buyMm = band && !stack ? pieceToBuy(pieces, band) : null;
  const findings = judged({
    input,
    smallestMm,
    largestMm,
    uncertaintyMm,
    small,
    stack,
    buyMm,
    fits: band !== null,
  });
  const working: WorkingLine[] = [
    {
      what: COMMON.underTorque,
      sum: M.most({
        small: num(small),
        f,
        stack: num(stackMm),
        smallest: len(smallestMm),
        largest: len(largestMm),
      }),
    },
    ...(band
      ? [{ what: M.stackWanted, sum: M.aim({ least: num(least), most: num(most), aim: len(band.aimMm) }) }]
      : []),
  ];
  return {
    values: {
      smallestMm,
      largestMm,
      uncertaintyMm,
      wantedMm: band ? { least, most, aim: band.aimMm } : null,
      stack,
      buyMm,
    },
    findings,
    working,
    beams: [
      {
        label: M.endClearanceUnderTorque,
        quantity: 'length',
        value: Math.abs(largestMm - mostMm) < Math.abs(smallestMm - leastMm) ? largestMm : smallestMm,
        target: (leastMm + mostMm) / 2,
        lower: leastMm,
        upper: mostMm,
        expanded: 2 * uncertaintyMm,
        doubt: doubtSaid({
          stepMm: resolutionMm,
          hand: input.hand,
          other: input.fractionUncertainty
            ? { mm: input.fractionUncertainty * stackMm, from: M.howMuchStackGivesUnder }
            : undefined,
          marginMm: Math.min(smallestMm - leastMm, mostMm - largestMm),
          rule: input.rule,
          where: M.gear,
        }),
        verdict: findings[0]?.verdict ?? 'accept',
      },
    ],
  };
}

type Judged = {
  input: GasketInput;
  smallestMm: number;
  largestMm: number;
  uncertaintyMm: number;
  /** The smallest reading as it was taken. */
  small: number;
  stack: Stack | null;
  buyMm: number | null;
  fits: boolean;
};

/** From the smallest to the largest, or the one they both are. */
const range = (small: number, large: number): Text =>
  large - small < 0.0005 ? len(large) : M.to({ small: num(small), large: len(large) });

function judged(j: Judged): Finding[] {
  const { leastMm, mostMm, pieces, rule } = j.input;
  const low = decide(j.smallestMm, j.uncertaintyMm, { lower: leastMm }, rule).verdict;
  const high = decide(j.largestMm, j.uncertaintyMm, { upper: mostMm }, rule).verdict;
  const touches = j.small <= 0;
  const way = !j.fits
    ? M.gearsStandTooUnequalAny
    : j.stack
      ? M.putLoose({ pieces: sayStack(pieces, j.stack.counts), sum: len(j.stack.sumMm) })
      : M.noStackWhatHandDoes({ buy: j.buyMm === null ? '.' : M.onePieceMoreWould({ buy: len(j.buyMm) }) });
  const limit = M.overUnder({ least: num(leastMm, 2), most: len(mostMm, 2) });
  const shared = { code: 'gaskets.clearance', limit, source: 'practice' as const };
  const worst: Verdict =
    touches || low === 'reject' || high === 'reject' ? 'reject' : low !== 'accept' ? low : high;
  if (worst === 'accept')
    return [
      {
        ...shared,
        verdict: 'accept',
        reason: M.endClearanceUnderTorqueGears({ range: range(j.smallestMm, j.largestMm) }),
        params: { smallestMm: range(j.smallestMm, j.largestMm) },
        acceptable: false,
      },
    ];
  if (worst === 'reject')
    return [
      {
        ...shared,
        verdict: 'reject',
        reason: touches
          ? M.gearTouchesStraightedgeUnderTorque
          : low === 'reject'
            ? M.underTorqueOnlyLeftTightest({ smallest: len(j.smallestMm) })
            : M.underTorqueOpenWidestPlace({ largest: len(j.largestMm) }),
        params: {
          smallestMm: touches ? null : low === 'reject' ? j.smallestMm : null,
          largestMm: touches ? null : low === 'reject' ? null : j.largestMm,
        },
        remedy: way,
        acceptable: false,
      },
    ];
  return [
    {
      ...shared,
      verdict: 'too-close',
      reason: M.endClearanceUnderTorqueWithin({ range: range(j.smallestMm, j.largestMm) }),
      params: { smallestMm: range(j.smallestMm, j.largestMm) },
      remedy: M.feelAgainFinerBladesChange({ way }),
      acceptable: true,
    },
  ];
}
