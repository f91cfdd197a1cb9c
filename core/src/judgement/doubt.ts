import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { expr, listOf } from '../message/message.ts';
import { COVERAGE, type DecisionRule } from '../metrology/decision.ts';
import { deviationOfMean, doubtOfMean, HANDS, type Hand } from '../metrology/hand.ts';
import { expectedDoubt, saySettle, settle } from '../metrology/settle.ts';
import { inQuadrature } from '../metrology/uncertainty.ts';
import { len } from '../quantities/say.ts';
import { M } from './messages.ts';

/** Where a doubt comes from, and what would take it away: what a beam says of the thickness of its pointer. */
export type DoubtAsked = {
  stepMm: number;
  /** What is known of the hand and the repeats. */
  hand?: Hand | undefined;
  /** 2 where the value is the difference of two readings, else 1. */
  places?: 1 | 2 | undefined;
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
 * @example doubtSaid({ stepMm: 0.01, marginMm: 0.004 })[0] // '± … mm in 95 of 100.'
 */
export function doubtSaid(asked: DoubtAsked): Text[] {
  const { stepMm, hand = {}, places = 1, other, marginMm, rule = 'k2', stampedMm } = asked;
  const { where = COMMON.there, say = (v) => len(v, 4) } = asked;
  const k = COVERAGE[rule];
  const count = hand.count ?? 1;
  const seen = { ...hand, count, stepMm, places };
  const whole = deviationOfMean(seen);
  const doubt = doubtOfMean(seen);
  const now = k * inQuadrature(doubt, other?.mm ?? 0);
  const stepShare = Math.min(
    1,
    (places * stepMm ** 2) / 12 / (hand.scattered ? count : 1) / whole.deviation ** 2,
  );
  const parts: Array<[from: Text, variance: number]> = [
    [M.gaugesStep({ stamped: say(stampedMm ?? stepMm) }), stepShare * doubt ** 2],
    [whole.from === 'unknown' ? M.handNotKnown : M.whatGaugeHandScatter, (1 - stepShare) * doubt ** 2],
    ...(other ? [[other.from, other.mm ** 2] as [Text, number]] : []),
  ];
  const sum = parts.reduce((s, [, v]) => s + v, 0) || 1;
  const more = Math.min(HANDS.most, count + 2);
  const halved = {
    ...hand,
    scatterMm: (hand.scatterMm ?? 0) / 2,
    ...(hand.card ? { card: { ...hand.card, scatter: hand.card.scatter / 2 } } : {}),
  };
  const left = (half: number) => say(k * inQuadrature(half, other?.mm ?? 0));
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
    ...(more > count
      ? [
          M.gaugeHalfStepWouldLeave({
            expanded: left(doubtOfMean({ ...halved, count, stepMm: stepMm / 2, places })),
            expanded2: left(expectedDoubt(more, { stepMm, hand, places })),
            more: more - count,
          }),
        ]
      : []),
    ...(marginMm === undefined
      ? []
      : Math.abs(marginMm) >= now
        ? [M.settledLimitStandsFartherOff]
        : [
            M.cheapest({ settle: saySettle(settle({ stepMm, count, hand, places, marginMm, rule }), where) }),
          ]),
  ];
}
