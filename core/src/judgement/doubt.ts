import type { Text } from '../message/message.ts';
import { expr, listOf } from '../message/message.ts';
import { COVERAGE, type DecisionRule } from '../metrology/decision.ts';
import { saySettle, settle } from '../metrology/settle.ts';
import { deviationOfMean, doubtOfMean, inQuadrature, type Seen } from '../metrology/uncertainty.ts';
import { len } from '../quantities/say.ts';
import { M } from './messages.ts';

/** Where a doubt comes from, and what would take it away: what a beam says of the thickness of its pointer. */
export type DoubtAsked = Seen & {
  /** The step as it is stamped, where the mean of two rows steps finer. */
  stampedMm?: number | undefined;
  /** What adds to it beside gauge and hand, as half of what holds 95 in 100, and what it is. */
  other?: { mm: number; from: Text } | undefined;
  /** How far the value stands off the nearest limit; negative beyond it. */
  marginMm?: number | undefined;
  rule?: DecisionRule | undefined;
  /** How an amount is said, where it is no length. */
  say?: ((amount: number) => Text) | undefined;
  /** Where it would be read again, as “at that place”. */
  where?: Text | undefined;
};

/**
 * The doubt of a value in sentences: how thick, from what, what a finer gauge or more readings would leave of it, and what
 * settles it cheapest.
 * @example doubtSaid({ count: 1, stepMm: 0.01, marginMm: 0.004 })[0] // '± … mm in 95 of 100.'
 */
export function doubtSaid(asked: DoubtAsked): Text[] {
  const { other, marginMm, rule = 'k2', where = M.there, stampedMm, say = (v) => len(v, 4), ...seen } = asked;
  const k = COVERAGE[rule];
  const expanded = (s: Seen) => k * inQuadrature(doubtOfMean(s), other?.mm ?? 0);
  const now = expanded(seen);
  const places = seen.places ?? 1;
  const whole = deviationOfMean(seen).deviation;
  const several = seen.scattered ?? (seen.scatterMm ?? 0) > seen.stepMm / 1000;
  const stepShare = (places * seen.stepMm ** 2) / 12 / (several ? seen.count : 1);
  const parts: Array<[from: Text, variance: number]> = [
    [M.gaugesStep({ stamped: say(stampedMm ?? seen.stepMm) }), stepShare],
    [M.whatGaugeHandScatter, Math.max(0, whole ** 2 - stepShare)],
    ...(other ? [[other.from, other.mm ** 2] as [Text, number]] : []),
  ];
  const sum = parts.reduce((s, [, v]) => s + v, 0) || 1;
  const more = { ...seen, count: seen.count + 3 };
  return [
    expr`± ${say(now)}${rule === 'k2' ? M.n95100 : M.oneSided}.`,
    // A part of less than one in a hundred is not worth a word.
    M.ofIt({
      filter: listOf(
        parts
          .filter(([, v]) => v >= 0.005 * sum)
          .map(([from, v]) => expr`${Math.round((100 * v) / sum)} % ${from}`),
        ', ',
      ),
    }),
    M.gaugeHalfStepWouldLeave({
      expanded: say(expanded({ ...seen, stepMm: seen.stepMm / 2, scatterMm: (seen.scatterMm ?? 0) / 2 })),
      expanded2: say(expanded(more)),
    }),
    ...(marginMm === undefined
      ? []
      : Math.abs(marginMm) >= now
        ? [M.settledLimitStandsFartherOff]
        : [M.cheapest({ settle: saySettle(settle({ ...seen, marginMm, rule }), where) })]),
  ];
}
