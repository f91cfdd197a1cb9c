import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { type DecisionRule, decide, type Verdict } from '../../metrology/decision.ts';
import { inQuadrature, readingUncertainty, studentT95 } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { bestStack, type Piece, pieceToBuy, type Stack, stackParts } from './stack.ts';

/** A stack measured loose and again under torque. mm. */
export type CompressionPair = { looseMm: number; torquedMm: number };
export type CompressionValues = {
  /** Share of its thickness a stack loses under torque. */
  fraction: number;
  /** Half of what it may be off by in 95 of 100; null with one pair, which says nothing of its scatter. */
  uncertainty: number | null;
};

/** Compression between nothing and half: more is a wrong reading. */
const MOST_COMPRESSED = 0.5;

/**
 * How much gaskets give under torque, learned from stacks measured loose and tight: the line through nothing, by least squares.
 * @throws RangeError with no pair, or one that is no stack
 */
export function gasketCompression(pairs: readonly CompressionPair[]): CalculatorResult<CompressionValues> {
  if (pairs.length === 0) throw new RangeError('Measure one stack loose and tight at the least.');
  for (const p of pairs)
    if (!(p.looseMm > 0) || !(p.torquedMm > 0))
      throw new RangeError('A stack has a thickness, loose and tight.');
  const squares = pairs.reduce((s, p) => s + p.looseMm ** 2, 0);
  const fraction = pairs.reduce((s, p) => s + p.looseMm * (p.looseMm - p.torquedMm), 0) / squares;
  const left = pairs.reduce((s, p) => s + (p.looseMm - p.torquedMm - fraction * p.looseMm) ** 2, 0);
  const free = pairs.length - 1;
  const uncertainty = free > 0 ? (Math.sqrt(left / free / squares) * studentT95(free)) / 2 : null;
  const odd = fraction < 0 || fraction > MOST_COMPRESSED;
  return {
    values: { fraction, uncertainty },
    findings: odd
      ? [
          {
            code: 'gaskets.compression',
            verdict: 'caution',
            reason: `By these pairs the stack loses ${(100 * fraction).toFixed(0)} % under torque: that is not believable.`,
            params: { fraction: 100 * fraction },
            source: 'practice',
            remedy: 'Measure loose and tight once more, with the same gauge.',
            acceptable: false,
          },
        ]
      : [],
    working: [
      {
        what: 'compressed by',
        sum: `Σ loose·(loose − tight) / Σ loose² = ${(100 * fraction).toFixed(1)} %${uncertainty === null ? '' : ` ± ${(200 * uncertainty).toFixed(1)} %, 95 of 100`}`,
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
export const sayStack = (pieces: readonly Piece[], counts: readonly number[]): string => {
  const parts = stackParts(pieces, counts);
  return parts.length === 0 ? 'none' : parts.map((p) => `${p.count} × ${len(p.thicknessMm)}`).join(', ');
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
  if (clearancesMm.length === 0) throw new RangeError('Measure the clearance over the gears first.');
  if (!(stackMm >= 0)) throw new RangeError('The stack has a thickness.');
  if (!(mostMm > leastMm)) throw new RangeError('The most clearance must be over the least.');
  if (!(f >= 0 && f <= MOST_COMPRESSED))
    throw new RangeError('Gaskets lose none to half of their thickness.');
  const lost = f * stackMm;
  const [small, large] = [Math.min(...clearancesMm), Math.max(...clearancesMm)];
  const smallestMm = small - lost;
  const largestMm = large - lost;
  const uncertaintyMm = inQuadrature(
    readingUncertainty(resolutionMm),
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
      what: 'under torque',
      sum: `${num(small)} − ${f} × ${num(stackMm)} = ${len(smallestMm)}, at the most ${len(largestMm)}`,
    },
    ...(band ? [{ what: 'stack wanted', sum: `${num(least)} to ${num(most)}, aim ${len(band.aimMm)}` }] : []),
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
        label: 'End clearance under torque',
        quantity: 'length',
        value: Math.abs(largestMm - mostMm) < Math.abs(smallestMm - leastMm) ? largestMm : smallestMm,
        target: (leastMm + mostMm) / 2,
        lower: leastMm,
        upper: mostMm,
        expanded: 2 * uncertaintyMm,
        doubt: doubtSaid({
          count: 1,
          stepMm: resolutionMm,
          other: input.fractionUncertainty
            ? { mm: input.fractionUncertainty * stackMm, from: 'how much the stack gives under torque' }
            : undefined,
          marginMm: Math.min(smallestMm - leastMm, mostMm - largestMm),
          rule: input.rule,
          where: 'at that gear',
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
const range = (small: number, large: number): string =>
  large - small < 0.0005 ? len(large) : `${num(small)} to ${len(large)}`;

function judged(j: Judged): Finding[] {
  const { leastMm, mostMm, pieces, rule } = j.input;
  const low = decide(j.smallestMm, j.uncertaintyMm, { lower: leastMm }, rule).verdict;
  const high = decide(j.largestMm, j.uncertaintyMm, { upper: mostMm }, rule).verdict;
  const touches = j.small <= 0;
  const way = !j.fits
    ? 'The gears stand too unequal for any stack: look at the faces, and whether the gears are home.'
    : j.stack
      ? `Put in: ${sayStack(pieces, j.stack.counts)} (${len(j.stack.sumMm)} loose).`
      : `No stack of what is on hand does it${j.buyMm === null ? '.' : `; one piece of ${len(j.buyMm)} more would.`}`;
  const limit = `over ${num(leastMm, 2)}, under ${len(mostMm, 2)}`;
  const shared = { code: 'gaskets.clearance', limit, source: 'practice' as const };
  const worst: Verdict =
    touches || low === 'reject' || high === 'reject' ? 'reject' : low !== 'accept' ? low : high;
  if (worst === 'accept')
    return [
      {
        ...shared,
        verdict: 'accept',
        reason: `End clearance ${range(j.smallestMm, j.largestMm)} under torque: the gears run free and do not slip past.`,
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
          ? 'A gear touches the straightedge: under torque it is clamped between the plates.'
          : low === 'reject'
            ? `Under torque only ${len(j.smallestMm)} is left at the tightest place: a gear would be clamped.`
            : `Under torque ${len(j.largestMm)} is open at the widest place: the pump slips past its gears.`,
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
      reason: `End clearance ${range(j.smallestMm, j.largestMm)} under torque is within the blades’ doubt of its limit.`,
      params: { smallestMm: range(j.smallestMm, j.largestMm) },
      remedy: `Feel it again with finer blades, or change the stack. ${way}`,
      acceptable: true,
    },
  ];
}
