import type { Text } from '../message/message.ts';
import { len } from '../quantities/say.ts';
import { COVERAGE, type DecisionRule, SLACK_MM } from './decision.ts';
import { doubtOfMean, HANDS, type Hand, handScatter } from './hand.ts';
import { M } from './messages.ts';

export type SettleInput = {
  /** Distance of the value to the nearest limit, mm, either side. */
  marginMm: number;
  /** Smallest step of the gauge. */
  stepMm: number;
  /** Readings taken at the place so far. */
  count: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** 2 where the value is a difference of two such places, else 1. */
  places?: 1 | 2 | undefined;
  rule?: DecisionRule | undefined;
};

export type Settle = {
  /** Readings more at each place, if they agree with those before; null where no number of them does it. */
  more: number | null;
  /** Largest step of a gauge with which one reading a place would settle it, in a hand that scatters as usual. */
  stepMm: number;
  /** Nothing is known of the hand yet: its card would settle it sooner, or at all. */
  unknown: boolean;
};

/** What is expected of the mean of so many readings, if those to come scatter as the hand is known to. */
export function expectedDoubt(
  count: number,
  { stepMm, places = 1, hand = {} }: Omit<SettleInput, 'marginMm' | 'count'>,
): number {
  const known = handScatter({ stepMm, places, ...hand });
  const usual = Math.sqrt(places) * HANDS.usual * stepMm;
  const scatterMm = known.from === 'unknown' || known.hand === 0 ? usual : known.hand;
  const free = Math.max(hand.free ?? 0, count - 1);
  return doubtOfMean({
    count,
    stepMm,
    places,
    card: hand.card,
    scatterMm: count > 1 || hand.free ? scatterMm : 0,
    free,
    scattered: count > 1,
  });
}

/**
 * How many more readings would settle a value that is too close to call, if they scatter as those before: up to as many as count.
 * Source: as `doubtOfMean`.
 *
 * @example settle({ marginMm: 0.005, stepMm: 0.005, count: 1, hand }).more // 1
 */
export function settle(input: SettleInput): Settle {
  const { stepMm, hand, places = 1 } = input;
  const k = COVERAGE[input.rule ?? 'k2'];
  const margin = Math.abs(input.marginMm);
  let more: number | null = null;
  for (let n = input.count + 1; n <= HANDS.most && more === null; n++)
    if (margin >= k * expectedDoubt(n, { stepMm, hand, places }) - SLACK_MM) more = n - input.count;
  const card = hand?.card ?? { scatter: HANDS.usual * stepMm, free: 9 };
  // The doubt of one reading grows as the step does.
  const one = doubtOfMean({ count: 1, stepMm, places, card }) / stepMm;
  const unknown = handScatter({ stepMm, places, ...hand }).from === 'unknown';
  return { more, stepMm: margin / (k * one), unknown };
}

/** The answer as a sentence for a finding's remedy. `where` says what is to be read again, as “at that place”. */
export function saySettle(s: Settle, where: Text): Text {
  if (s.more !== null && s.more > 0) {
    const more = s.more === 1 ? M.oneMoreReading : M.moreReadings({ more: s.more });
    return s.unknown ? M.handNotKnownReadOr({ more, where }) : M.wouldSettleIfTheyAgree({ more, where });
  }
  if (s.stepMm >= 0.0005)
    return s.unknown
      ? M.handNotKnownFinerGauge({ step: len(s.stepMm, 4) })
      : M.noNumberReadingsGaugeSettles({ step: len(s.stepMm, 4) });
  return M.standsLimitItselfNoGauge;
}
