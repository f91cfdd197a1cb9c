import type { CalculatorResult, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { tor } from '../../quantities/say.ts';
import { tidy } from '../shaft/tolerance.ts';
import { M } from './messages.ts';

export const BOLT_LAYOUTS = ['circle', 'rectangle', 'halves'] as const;
export type BoltLayout = (typeof BOLT_LAYOUTS)[number];

export type PatternInput = { count: number; layout: BoltLayout; torqueNm: number };

export type BoltPass = {
  name: Text;
  kind: 'hand' | 'torque' | 'round';
  share: number;
  torqueNm: number | null;
  order: number[];
};

export type PatternValues = { crosswise: number[]; round: number[]; passes: BoltPass[] };

/**
 * Crosswise order on a circle, bolts numbered clockwise from 1: each bolt is followed by the one opposite, then the
 * widest gap left is halved. An odd count steps by nearly half a turn. Common practice, no source.
 * @example crosswiseCircle(8) // [1, 5, 3, 7, 2, 6, 4, 8]
 */
export function crosswiseCircle(count: number): number[] {
  if (count % 2 === 1) {
    if (count === 1) return [1];
    const step = (count - 1) / 2;
    return Array.from({ length: count }, (_, i) => ((i * step) % count) + 1);
  }
  const half = count / 2;
  return spreadOrder(half).flatMap((i) => [i + 1, i + half + 1]);
}

/** 0…n−1 so that each next one stands as far as possible from those before, around a ring of n. */
function spreadOrder(n: number): number[] {
  const order: number[] = [];
  const left = new Set(Array.from({ length: n }, (_, i) => i));
  while (left.size > 0) {
    const next = [...left].reduce((best, i) =>
      clearance(i, order, n) > clearance(best, order, n) ? i : best,
    );
    order.push(next);
    left.delete(next);
  }
  return order;
}

function clearance(i: number, taken: number[], n: number): number {
  return taken.length === 0
    ? n - i
    : Math.min(...taken.map((t) => Math.min((i - t + n) % n, (t - i + n) % n)));
}

/**
 * Crosswise order on a rectangle of two rows (a bearing cap), bolts numbered clockwise from the top left: start at the
 * middle pairs and work outwards, each bolt followed by the one diagonally across. Four bolts go 1, 3, 2, 4.
 * Common practice, no source.
 */
export function crosswiseRectangle(count: number): number[] {
  const perSide = count / 2;
  const columns = Array.from({ length: perSide }, (_, c) => c).sort(
    (a, b) => Math.abs(a - (perSide - 1) / 2) - Math.abs(b - (perSide - 1) / 2) || a - b,
  );
  const order: number[] = [];
  const add = (n: number) => {
    if (!order.includes(n)) order.push(n);
  };
  for (const c of columns) {
    add(c + 1); // top row, left to right: 1 … perSide
    add(perSide + c + 1); // diagonally across: the bottom row is numbered right to left
  }
  return order;
}

/**
 * Order over the two halves of a split part, screws numbered clockwise, half of them on each side: side about, from one to the
 * one opposite, so that the gap closes evenly. Common practice, no source.
 * @example alternateHalves(4) // [1, 3, 2, 4]
 */
export const alternateHalves = (count: number): number[] =>
  Array.from({ length: count / 2 }, (_, i) => [i + 1, i + 1 + count / 2]).flat();

/**
 * A seating loop: finger-tight, then round after round to full torque with taps in between, until nothing moves. One round to
 * begin with; whoever keeps the loop adds more. Common practice, no source.
 * @throws RangeError for fewer than 2 screws or an odd number: a split part has as many on each side
 */
export function seatingPasses(count: number, torqueNm: number): BoltPass[] {
  if (count < 2 || count % 2 === 1) throw new MessageError(M.splitPartHasEvenNumber);
  const order = alternateHalves(count);
  return [
    { name: M.fingerTight, kind: 'hand', share: 0, torqueNm: null, order },
    { name: M.round1, kind: 'round', share: 1, torqueNm, order },
  ];
}

/**
 * The whole tightening: hand → 30 % → 70 % → 100 % crosswise → 100 % once round, each with its bolt order.
 * Source: common practice.
 * @throws RangeError for fewer than 2 or more than 32 bolts, or a rectangle with an odd count
 */
export function boltPattern(input: PatternInput): CalculatorResult<PatternValues> {
  const { count, layout, torqueNm } = input;
  if (!Number.isInteger(count) || count < 1 || count > 32) throw new MessageError(M.pattern132Bolts);
  if (layout !== 'circle' && count % 2 === 1)
    throw new MessageError(
      M.hasEvenNumberBoltsHalf({ layout: layout === 'rectangle' ? 'rectangle' : 'splitPart' }),
    );
  const crosswise =
    layout === 'circle'
      ? crosswiseCircle(count)
      : layout === 'rectangle'
        ? crosswiseRectangle(count)
        : alternateHalves(count);
  const round = Array.from({ length: count }, (_, i) => i + 1);
  const pass = (name: Text, kind: BoltPass['kind'], share: number): BoltPass => ({
    name,
    kind,
    share,
    torqueNm: kind === 'hand' ? null : tidy(share * torqueNm),
    order: kind === 'round' ? round : crosswise,
  });
  const passes = [
    pass(COMMON.handTight, 'hand', 0),
    pass('30 %', 'torque', 0.3),
    pass('70 %', 'torque', 0.7),
    pass('100 %', 'torque', 1),
    pass(M.onceRound, 'round', 1),
  ];
  const working: WorkingLine[] = passes.map((p) => ({
    what: p.name,
    sum: expr`${p.torqueNm === null ? COMMON.hand : tor(p.torqueNm)}: ${p.order.join(' · ')}`,
  }));
  return { values: { crosswise, round, passes }, findings: [], working, beams: [] };
}
