import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { sayStack } from './gaskets.ts';
import { M } from './messages.ts';
import { bestStack, type Piece, pieceToBuy, type Stack, THICKEST_MM } from './stack.ts';

export type ShimInput = {
  pieces: readonly Piece[];
  /** Thickness wanted, and how far it may be off. mm. */
  wantedMm: number;
  toleranceMm: number;
};
export type ShimValues = { stack: Stack | null; offMm: number | null; buyMm: number | null };

/**
 * A heap of shims of a wanted thickness from the pieces on hand: within tolerance, nearest to it, then fewest pieces.
 * @throws RangeError where pieces or thickness are none
 */
export function shimStack({ pieces, wantedMm, toleranceMm }: ShimInput): CalculatorResult<ShimValues> {
  const band = { leastMm: wantedMm - toleranceMm, mostMm: wantedMm + toleranceMm, aimMm: wantedMm };
  const stack = bestStack(pieces, band);
  const buyMm = stack ? null : pieceToBuy(pieces, band);
  const offMm = stack ? Number((stack.sumMm - wantedMm).toFixed(4)) : null;
  const finding: Finding = stack
    ? {
        code: 'shims.stack',
        verdict: 'accept',
        reason: expr`${sayStack(pieces, stack.counts)}: ${len(stack.sumMm)}, ${offMm === 0 ? M.asWanted : expr`${len(Math.abs(offMm ?? 0))} ${(offMm ?? 0) > 0 ? COMMON.over : M.under}`}.`,
        params: {
          pieces: sayStack(pieces, stack.counts),
          sumMm: stack.sumMm,
          offMm: offMm === 0 ? null : Math.abs(offMm ?? 0),
          offMm2: offMm === 0 ? null : Boolean((offMm ?? 0) > 0),
        },
        source: 'geometry',
        acceptable: false,
      }
    : {
        code: 'shims.stack',
        verdict: 'reject',
        reason: M.noHeapWhatHandComes({ wanted: len(wantedMm), tolerance: len(toleranceMm) }),
        params: { wantedMm, toleranceMm },
        source: 'geometry',
        remedy: buyMm === null ? M.otherThicknessesNeeded : M.oneShimMoreWouldDo({ buy: len(buyMm) }),
        acceptable: false,
      };
  return {
    values: { stack, offMm, buyMm },
    findings: [finding],
    working: [{ what: COMMON.wanted, sum: expr`${num(wantedMm)} ± ${len(toleranceMm)}` }],
    beams: [],
  };
}

export type EndFloatInput = {
  /** Float measured on the stack that lies there now. mm. */
  floatMm: number;
  stackMm: number;
  /** Float wanted. mm. */
  leastMm: number;
  mostMm: number;
  /** What one more shim does: lifts the cap off (looser), or presses on the bearing (tighter). */
  moreShims: 'looser' | 'tighter';
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  pieces?: readonly Piece[] | undefined;
};
export type EndFloatValues = {
  wantedMm: { least: number; most: number; aim: number };
  /** Standard uncertainty of the wanted stack. mm. */
  uncertaintyMm: number;
  stack: Stack | null;
  buyMm: number | null;
};

/**
 * The stack of shims a measured end float asks for: as much as the float is off, the stack changes, one for one. Geometry.
 * @throws RangeError where the limits are not in order
 */
export function endFloat(input: EndFloatInput): CalculatorResult<EndFloatValues> {
  const { floatMm, stackMm, leastMm, mostMm, moreShims, resolutionMm } = input;
  if (!(mostMm > leastMm)) throw new MessageError(M.mostFloatMustOverLeast);
  const way = moreShims === 'looser' ? 1 : -1;
  const at = (float: number) => stackMm + way * (float - floatMm);
  const [a, b] = [at(leastMm), at(mostMm)];
  const wanted = { least: Math.min(a, b), most: Math.max(a, b), aim: (a + b) / 2 };
  // The float is a difference of two readings of the dial.
  const uncertaintyMm = Math.SQRT2 * readingUncertainty(resolutionMm, input.hand);
  const { verdict } = decide(floatMm, uncertaintyMm, { lower: leastMm, upper: mostMm });
  // The doubt of the float is kept from both ends, as far as the band is wide enough.
  const keep = Math.min(2 * uncertaintyMm, (wanted.most - wanted.least) / 4);
  const band = {
    leastMm: Math.max(0, wanted.least + keep),
    mostMm: wanted.most - keep,
    aimMm: Math.max(0, wanted.aim),
  };
  const possible = band.mostMm >= band.leastMm && band.mostMm <= THICKEST_MM;
  const stack = input.pieces && possible ? bestStack(input.pieces, band) : null;
  const buyMm = input.pieces && possible && !stack ? pieceToBuy(input.pieces, band) : null;
  const change = wanted.aim - stackMm;
  return {
    values: { wantedMm: wanted, uncertaintyMm, stack, buyMm },
    findings: [
      {
        code: 'float.stack',
        verdict,
        reason:
          verdict === 'accept'
            ? M.endFloatBetween({ float: len(floatMm), least: num(leastMm), most: len(mostMm) })
            : verdict === 'too-close'
              ? M.endFloatWithinDialsDoubt({ float: len(floatMm) })
              : M.endFloatShims({
                  float: len(floatMm),
                  float2: floatMm < leastMm ? 'tooSmall' : 'tooLarge',
                  change: len(Math.abs(change)),
                  change2: change > 0 ? 'more' : 'less',
                }),
        params: {
          floatMm: verdict === 'accept' ? floatMm : null,
          leastMm: verdict === 'accept' ? leastMm : null,
          mostMm: verdict === 'accept' ? mostMm : null,
          floatMm2: verdict === 'accept' ? null : verdict === 'too-close' ? floatMm : null,
          floatMm3: verdict === 'accept' ? null : verdict === 'too-close' ? null : floatMm,
          floatMm4: verdict === 'accept' ? null : verdict === 'too-close' ? null : Boolean(floatMm < leastMm),
          change: verdict === 'accept' ? null : verdict === 'too-close' ? null : Math.abs(change),
          change2: verdict === 'accept' ? null : verdict === 'too-close' ? null : Boolean(change > 0),
        },
        limit: M.to2({ least: num(leastMm), most: len(mostMm) }),
        source: 'maker',
        ...(verdict === 'accept' ? {} : { remedy: remedyOf(input, possible, wanted.aim, stack, buyMm) }),
        acceptable: verdict === 'too-close',
      },
    ],
    working: [
      {
        what: M.stackWanted,
        sum: M.wantedFloat({
          stack: num(stackMm),
          way: way > 0 ? 'text' : 'text2',
          float: num(floatMm),
          least: num(wanted.least),
          most: len(wanted.most),
        }),
      },
    ],
    beams: [
      {
        label: M.endFloat,
        quantity: 'length',
        value: floatMm,
        target: (leastMm + mostMm) / 2,
        lower: leastMm,
        upper: mostMm,
        expanded: 2 * uncertaintyMm,
        doubt: doubtSaid({
          places: 2,
          stepMm: resolutionMm,
          hand: input.hand,
          marginMm: Math.min(floatMm - leastMm, mostMm - floatMm),
          where: M.float,
        }),
        verdict,
      },
    ],
  };
}

function remedyOf(
  { pieces }: EndFloatInput,
  possible: boolean,
  aimMm: number,
  stack: Stack | null,
  buyMm: number | null,
): Text {
  if (!possible) return M.noHeapShimsBringsRight;
  if (stack && pieces) return COMMON.put({ pieces: sayStack(pieces, stack.counts) });
  return buyMm === null
    ? M.stackWanted2({ value: len(Math.max(0, aimMm)) })
    : M.oneShimMoreWouldDo({ buy: len(buyMm) });
}
