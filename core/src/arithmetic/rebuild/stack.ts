import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';
/** Pieces of one thickness and how many are on hand. mm. */
export type Piece = { thicknessMm: number; count: number };

/** A stack made of pieces on hand: how many of each, in the order the pieces were given. mm. */
export type Stack = { counts: number[]; pieces: number; kinds: number; sumMm: number };

/** What a stack must come to, mm. */
export type StackBand = { leastMm: number; mostMm: number; aimMm: number };

/** Thicknesses are told apart to a tenth of a micrometre: two thousandths of an inch are 50.8 µm. */
const UNIT_MM = 0.0001;
/** Thicker than this no heap of shims or gaskets is asked for, mm. */
export const THICKEST_MM = 60;
/** A piece more weighs more than every difference of kinds. */
const PIECE = 1000;
const NEVER = 2 ** 31 - 1;

const units = (mm: number): number => Math.round(mm / UNIT_MM);
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

type Reach = { step: number; cost: Int32Array; taken: Uint8Array[]; thick: number[] };

/** The cheapest way to every thickness there is up to `most`: fewest pieces, then fewest kinds of them. */
function reach(pieces: readonly Piece[], mostMm: number): Reach {
  const thick = pieces.map((p) => units(p.thicknessMm));
  const step = thick.reduce(gcd, 0) || 1;
  const size = Math.floor(units(mostMm) / step) + 1;
  let cost = new Int32Array(size).fill(NEVER);
  cost[0] = 0;
  const taken: Uint8Array[] = [];
  for (const [i, p] of pieces.entries()) {
    const each = (thick[i] ?? 0) / step;
    const next = cost.slice();
    const how = new Uint8Array(size);
    for (let sum = 0; sum < size; sum++) {
      const from = cost[sum] ?? NEVER;
      if (from === NEVER) continue;
      for (let k = 1; k <= p.count && sum + k * each < size; k++) {
        const at = sum + k * each;
        const price = from + k * PIECE + 1;
        if (price < (next[at] ?? NEVER)) {
          next[at] = price;
          how[at] = k;
        }
      }
    }
    cost = next;
    taken.push(how);
  }
  return { step, cost, taken, thick };
}

/** How the cheapest way to a sum was come by. */
function countsOf(r: Reach, sum: number): number[] {
  const counts: number[] = [];
  let left = sum;
  for (let i = r.taken.length - 1; i >= 0; i--) {
    const k = r.taken[i]?.[left] ?? 0;
    counts.unshift(k);
    left -= (k * (r.thick[i] ?? 0)) / r.step;
  }
  return counts;
}

/** @throws RangeError where a heap is not one: no thickness, no whole count, or more than anyone stacks */
function looked(pieces: readonly Piece[], band: StackBand): void {
  for (const p of pieces) {
    if (!(p.thicknessMm >= 0.001)) throw new MessageError(M.pieceHasThicknessMicrometreLeast);
    if (!Number.isInteger(p.count) || p.count < 0 || p.count > 60)
      throw new MessageError(M.eachThicknessThereSoMany);
  }
  if (pieces.length > 20) throw new MessageError(M.twentyThicknessesMost);
  if (!(band.mostMm >= band.leastMm)) throw new MessageError(M.mostStackMayComeUnder);
  if (band.mostMm > THICKEST_MM) throw new MessageError(M.noStackThickerThanMm({ thickestMm: THICKEST_MM }));
}

/**
 * The stack of pieces on hand that comes into a band: nearest the aim, then fewest pieces, then fewest different thicknesses.
 * Exact: every thickness that can be made is looked at. Nothing at all is a stack where the band takes in 0.
 * @returns null where none comes into the band
 * @throws RangeError where pieces or band are none
 * @example bestStack([{ thicknessMm: 0.1, count: 4 }, { thicknessMm: 0.25, count: 2 }], { leastMm: 0.3, mostMm: 0.4, aimMm: 0.35 })
 * // { counts: [1, 1], pieces: 2, kinds: 2, sumMm: 0.35 }
 */
export function bestStack(pieces: readonly Piece[], band: StackBand): Stack | null {
  looked(pieces, band);
  if (band.mostMm < 0) return null;
  const r = reach(pieces, band.mostMm);
  const [least, aim] = [units(Math.max(0, band.leastMm)), units(band.aimMm)];
  let best: { sum: number; pieces: number; off: number; kinds: number } | null = null;
  for (let sum = Math.ceil(least / r.step); sum < r.cost.length; sum++) {
    const cost = r.cost[sum] ?? NEVER;
    if (cost === NEVER) continue;
    const one = {
      sum,
      pieces: Math.floor(cost / PIECE),
      off: Math.abs(sum * r.step - aim),
      kinds: cost % PIECE,
    };
    const better =
      best === null ||
      one.off < best.off ||
      (one.off === best.off &&
        (one.pieces < best.pieces || (one.pieces === best.pieces && one.kinds < best.kinds)));
    if (better) best = one;
  }
  if (!best) return null;
  const counts = countsOf(r, best.sum);
  return {
    counts,
    pieces: best.pieces,
    kinds: best.kinds,
    sumMm: Number((best.sum * r.step * UNIT_MM).toFixed(4)),
  };
}

/** A thinner piece than this is no purchase: it tears. Common practice, no source. */
const THINNEST_MM = 0.02;

/**
 * The thinnest single piece that, bought and put to what is on hand, would come to the aim. mm.
 * @returns null where even nothing on hand is already over
 */
export function pieceToBuy(pieces: readonly Piece[], band: StackBand): number | null {
  looked(pieces, band);
  if (band.aimMm < THINNEST_MM) return null;
  const r = reach(pieces, band.aimMm - THINNEST_MM);
  for (let sum = r.cost.length - 1; sum >= 0; sum--)
    if (r.cost[sum] !== NEVER) return Number((band.aimMm - sum * r.step * UNIT_MM).toFixed(4));
  return null;
}

/** A stack in words: “2 × 0.25, 1 × 0.05”, thickest first; marks for the lengths are left to who says it. */
export const stackParts = (
  pieces: readonly Piece[],
  counts: readonly number[],
): Array<{ thicknessMm: number; count: number }> =>
  pieces
    .map((p, i) => ({ thicknessMm: p.thicknessMm, count: counts[i] ?? 0 }))
    .filter((p) => p.count > 0)
    .sort((a, b) => b.thicknessMm - a.thicknessMm);
